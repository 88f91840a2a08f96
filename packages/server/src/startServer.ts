import { createServer } from 'node:http';
import { Worker } from 'node:worker_threads';
import type { Config } from './config.ts';
import { delivery } from './delivery/delivery.ts';
import { deliveryOnly } from './delivery/deliveryOnly.ts';
import type { LoadedEdition } from './delivery/loadEdition.ts';
import { listening, stopListening } from './listening.ts';
import type { Parts } from './startEditor.ts';
import type { EditorWork, FromEditor, ToEditor } from './threads.ts';

export interface RunningServer {
  /** Where the editor answers. */
  readonly address: string;
  /** Where editions are delivered. */
  readonly deliveryAddress: string;
  /** Settles when the server has ended: cleanly, or with the error that ended its editing thread. */
  readonly ended: Promise<void>;
  readonly close: () => Promise<void>;
}

/**
 * Delivery runs in this thread, from memory and at an address of its own; the editor in another. So an import, a database that is
 * busy, or any other heavy work there never holds up what a site's visitors read.
 */
export async function startServer(config: Config, parts: Parts, threadFile: URL): Promise<RunningServer> {
  const editor = startThread(threadFile, { config, parts });
  const editions = delivery(editor.load);
  editor.onForget((siteKey) => (siteKey === null ? editions.forgetAll() : editions.forget(siteKey)));
  const server = createServer(deliveryOnly(editions));
  try {
    // The database first: who starts a second Zorvik on a folder is to read that, and not that a port is taken.
    await editor.opened;
    const deliveryAddress = await listening(server, { host: config.deliveryHost, port: config.deliveryPort, variable: 'DELIVERY_PORT' });
    const address = await editor.begin(deliveryAddress);
    return {
      address,
      deliveryAddress,
      ended: editor.ended,
      close: async () => void (await Promise.all([stopListening(server), editor.close()])),
    };
  } catch (error) {
    await Promise.all([stopListening(server), editor.close()]);
    throw error;
  }
}

interface EditorThread {
  /** The database is open. Fails with a sentence where it cannot be. */
  readonly opened: Promise<void>;
  /** Lets it listen, and gives its address. */
  readonly begin: (deliveryAddress: string) => Promise<string>;
  readonly load: (siteKey: string) => Promise<LoadedEdition>;
  readonly onForget: (act: (siteKey: string | null) => void) => void;
  readonly ended: Promise<void>;
  /** Lets requests under way finish and closes the database. */
  readonly close: () => Promise<void>;
}

function startThread(file: URL, work: EditorWork): EditorThread {
  const worker = new Worker(file, { workerData: work });
  const tell = (message: ToEditor): void => worker.postMessage(message);
  const waiting = new Map<number, { readonly done: (edition: LoadedEdition) => void; readonly fail: (error: Error) => void }>();
  let tickets = 0;
  let forget: (siteKey: string | null) => void = () => undefined;
  const ended = new Promise<void>((done, fail) => {
    worker.once('error', fail);
    worker.once('exit', () => done());
  });
  // Whoever closes, or waits for the end, hears of it; until then it must not go unhandled.
  ended.catch(() => undefined);
  const tooSoon = ended.then(() => Promise.reject(new Error('The editing thread ended before it was ready.')));
  tooSoon.catch(() => undefined);
  const opened = later<undefined>();
  const ready = later<string>();
  worker.on('message', (message: FromEditor) => {
    if (message.kind === 'opened') opened.done(undefined);
    else if (message.kind === 'ready') ready.done(message.address);
    else if (message.kind === 'failed') for (const step of [opened, ready]) step.fail(new Error(message.message));
    else if (message.kind === 'forget') {
      forget(message.siteKey);
      tell({ kind: 'forgotten', ticket: message.ticket });
    } else {
      const asked = waiting.get(message.ticket);
      waiting.delete(message.ticket);
      if (message.kind === 'edition') asked?.done(message.edition);
      else asked?.fail(new Error(message.message));
    }
  });
  return {
    opened: Promise.race([opened.promise, tooSoon]),
    begin(address) {
      tell({ kind: 'deliveryAt', address });
      return Promise.race([ready.promise, tooSoon]);
    },
    load: (siteKey) =>
      new Promise((done, fail) => {
        tickets += 1;
        waiting.set(tickets, { done, fail });
        tell({ kind: 'load', ticket: tickets, siteKey });
      }),
    onForget: (act) => void (forget = act),
    ended,
    async close() {
      tell({ kind: 'close' });
      await ended;
    },
  };
}

interface Later<T> {
  readonly promise: Promise<T>;
  readonly done: (value: T) => void;
  readonly fail: (error: Error) => void;
}

function later<T>(): Later<T> {
  let settle: Pick<Later<T>, 'done' | 'fail'> | undefined;
  const promise = new Promise<T>((done, fail) => (settle = { done, fail }));
  promise.catch(() => undefined);
  return { promise, done: (value) => settle?.done(value), fail: (error) => settle?.fail(error) };
}
