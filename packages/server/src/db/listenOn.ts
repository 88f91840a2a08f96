import type { Client } from 'pg';
import { CHANNEL, type Hear, type Notice } from './notices.ts';

/** How long to wait before connecting again, in ms. */
const PAUSE = 1000;

/**
 * Listens on a connection of its own: a pooled one would be given away. A connection that breaks is made
 * anew; what was told meanwhile is lost, so the listener hears null then.
 */
export async function listenOn(connect: () => Client, hear: Hear): Promise<() => Promise<void>> {
  let isOver = false;
  let current: Client | null = null;
  let pause: ReturnType<typeof setTimeout> | undefined;

  async function open(): Promise<void> {
    const client = connect();
    client.on('notification', ({ payload }) => hear(JSON.parse(payload ?? '') as Notice));
    // One break can come as several errors; each needs a listener, or it ends the process.
    client.on('error', () => lose(client));
    client.on('end', () => lose(client));
    await client.connect();
    await client.query(`listen ${CHANNEL}`);
    if (isOver) await client.end();
    else current = client;
  }

  function lose(client: Client): void {
    if (isOver || current !== client) return;
    current = null;
    client.end().catch(() => undefined);
    again();
  }

  function again(): void {
    pause = setTimeout(() => {
      open()
        .then(() => hear(null))
        .catch(() => void (isOver || again()));
    }, PAUSE);
  }

  await open();
  return async () => {
    isOver = true;
    clearTimeout(pause);
    await current?.end();
  };
}
