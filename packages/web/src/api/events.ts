import { routes, type ServerMessage } from '@zorvik/contract';

export interface EventHearer {
  readonly hear: (message: ServerMessage) => void;
  /** The stream is there, for the first time or again. */
  readonly opened: () => void;
  readonly lost: () => void;
}

/**
 * The server's event stream. The browser asks for a new one by itself when it breaks; where it gives up, so
 * do we, a little later.
 */
export function openEvents({ hear, opened, lost }: EventHearer): () => void {
  if (typeof EventSource === 'undefined') return () => undefined;
  let source: EventSource | null = null;
  let again: ReturnType<typeof setTimeout> | undefined;
  const open = (): void => {
    const own = new EventSource(routes.events.path);
    source = own;
    own.onopen = opened;
    own.onmessage = ({ data }: MessageEvent<string>) => hear(JSON.parse(data) as ServerMessage);
    own.onerror = () => {
      lost();
      if (own.readyState === EventSource.CLOSED) again = setTimeout(open, 2000);
    };
  };
  open();
  return () => {
    clearTimeout(again);
    source?.close();
  };
}
