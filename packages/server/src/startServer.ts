import { randomBytes } from 'node:crypto';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { Worker } from 'node:worker_threads';
import { DELIVERY } from '@zorvik/contract';
import type { Config } from './config.ts';
import { tellAddress } from './db/folderLock.ts';
import { delivery } from './delivery/delivery.ts';
import type { LoadedEdition } from './delivery/loadEdition.ts';
import { listening, stopListening } from './listening.ts';
import { passOn } from './passOn.ts';
import type { Parts } from './startEditor.ts';
import type { EditorWork, FromEditor, ToEditor } from './threads.ts';

export interface RunningServer {
  readonly address: string;
  readonly port: number;
  /** Settles when the server has ended: cleanly, or with the error that ended its editing thread. */
  readonly ended: Promise<void>;
  readonly close: () => Promise<void>;
}

/**
 * The public side, in this thread: it listens, delivers editions from memory, and passes all else on to the editing thread. So an
 * import, a database that is busy, or any other heavy work there never holds up what a site's visitors read.
 */
export async function startServer(config: Config, parts: Parts, threadFile: URL): Promise<RunningServer> {
  const path = socketPath();
  const editor = await startThread(threadFile, { config, parts, path });
  const publicSide = delivery(editor.load);
  editor.onForget((siteKey) => (siteKey === null ? publicSide.forgetAll() : publicSide.forget(siteKey)));
  const pass = passOn(path);
  const server = createServer((request, response) => {
    if (request.url?.startsWith(`${DELIVERY}/`) !== true) return pass(request, response);
    publicSide.answer(request, response).catch(() => response.destroy());
  });
  try {
    await listening(server, { host: config.host, port: config.port });
  } catch (error) {
    await editor.close();
    throw error;
  }
  const { port } = server.address() as AddressInfo;
  const host = config.host.includes(':') ? `[${config.host}]` : config.host;
  const address = `http://${host}:${port}`;
  if (config.databaseUrl === null) await tellAddress(resolve(config.dataFolder), address);
  return {
    address,
    port,
    ended: editor.ended,
    async close() {
      // Event streams end only when the editing thread ends them: both stop together.
      await Promise.all([stopListening(server), editor.close()]);
    },
  };
}

/** Where the two threads meet: a name without a file where the system has such, else a file that the listener removes. */
function socketPath(): string {
  const name = `zorvik-${process.pid}-${randomBytes(6).toString('hex')}`;
  return process.platform === 'linux' ? `\0${name}` : join(tmpdir(), `${name}.sock`);
}

interface EditorThread {
  readonly load: (siteKey: string) => Promise<LoadedEdition>;
  readonly onForget: (act: (siteKey: string | null) => void) => void;
  readonly ended: Promise<void>;
  readonly close: () => Promise<void>;
}

async function startThread(file: URL, work: EditorWork): Promise<EditorThread> {
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
  const ready = new Promise<void>((done, fail) => {
    worker.on('message', (message: FromEditor) => {
      if (message.kind === 'ready') done();
      else if (message.kind === 'failed') fail(new Error(message.message));
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
  });
  await Promise.race([ready, ended.then(() => Promise.reject(new Error('The editing thread ended before it was ready.')))]);
  return {
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
