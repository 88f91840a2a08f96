import { pino, type Logger } from 'pino';
import type { Config } from './config.ts';
import { delivery } from './delivery/delivery.ts';
import { deliveryOnly } from './delivery/deliveryOnly.ts';
import { keepEditor } from './keepEditor.ts';
import { listening, serverFor, stopListening } from './listening.ts';
import type { Parts } from './startEditor.ts';

export interface RunningServer {
  /** Where the editor answers. */
  readonly address: string;
  /** Where editions are delivered. */
  readonly deliveryAddress: string;
  readonly close: () => Promise<void>;
}

/**
 * Delivery runs in this thread, from memory and at its own address; the editor in another. So an import, a
 * busy database, or any other heavy work there never holds up what a site's visitors read, and an error that
 * ends the editor's thread does not end delivery: the editor is started again.
 */
export async function startServer(
  config: Config,
  parts: Parts,
  threadFile: URL,
  log: Logger = pino({ level: config.logLevel }),
): Promise<RunningServer> {
  const editor = keepEditor(threadFile, { config, parts }, log);
  const editions = delivery(editor.load);
  editor.onForget(({ siteKey, edition }) => {
    if (siteKey === null) return editions.forgetAll();
    return edition === null ? editions.forget(siteKey) : editions.renew(siteKey, edition);
  });
  // Nobody sends delivery a body: it need not wait for one.
  const server = serverFor(deliveryOnly(editions, editor.preview), { head: 10_000, whole: 15_000 });
  try {
    // The database first: who starts a second Zorvik on a folder is to read that, and not that a port is
    // taken.
    await editor.opened;
    const deliveryAddress = await listening(server, {
      host: config.deliveryHost,
      port: config.deliveryPort,
      variable: 'DELIVERY_PORT',
    });
    const address = await editor.begin(deliveryAddress);
    return {
      address,
      deliveryAddress,
      close: async () => void (await Promise.all([stopListening(server), editor.close()])),
    };
  } catch (error) {
    await Promise.all([stopListening(server), editor.close()]);
    throw error;
  }
}
