import type { ServerResponse } from 'node:http';
import type { ServerMessage } from '@zorvik/contract';

/** The open event streams of this process, one for each browser. */
export interface Hub {
  /**
   * Turns a response into a stream that gets every message from now on, until its browser leaves or the
   * server stops.
   */
  readonly join: (response: ServerResponse) => void;
  readonly tell: (message: ServerMessage) => void;
  /** Ends all streams; their browsers ask for new ones when the server is back. */
  readonly close: () => void;
  readonly streams: () => number;
}

/** A line now and then keeps what stands between from ending a quiet stream, in ms. */
const BEAT = 20_000;
/**
 * A browser that does not read is let go when this much waits for it, in bytes: it asks anew, and catches up.
 */
const MOST_WAITING = 1_000_000;
/** More streams than this are not held open: the oldest goes, and its browser asks again. */
const MOST_STREAMS = 500;

export function hub(): Hub {
  const streams = new Set<ServerResponse>();
  const send = (text: string): void => {
    for (const stream of streams) {
      if (stream.writableLength > MOST_WAITING) stream.destroy();
      else stream.write(text);
    }
  };
  const beat = setInterval(() => send(': still here\n\n'), BEAT);
  beat.unref();
  return {
    join(response) {
      // no-transform keeps compression away: it would hold messages back.
      response.writeHead(200, {
        'Content-Type': 'text/event-stream; charset=utf-8',
        'Cache-Control': 'no-store, no-transform',
        'X-Accel-Buffering': 'no',
      });
      response.write('retry: 1000\n\n');
      streams.add(response);
      const [oldest] = streams;
      if (streams.size > MOST_STREAMS) oldest?.end();
      response.on('close', () => streams.delete(response));
    },
    tell: (message) => send(`data: ${JSON.stringify(message)}\n\n`),
    close() {
      clearInterval(beat);
      for (const stream of streams) stream.end();
      streams.clear();
    },
    streams: () => streams.size,
  };
}
