import { Worker } from 'node:worker_threads';
import type { Placing } from '@zorvik/core';
import type { ReadingLimits } from './siteReading.ts';
import type { OpenReading, ReadingProgress, ReadTree, SiteReader, Steer } from './siteReader.ts';

/** What a reading's thread is started with. */
export interface ReadingWork {
  readonly address: string;
  readonly limits: ReadingLimits;
}

export type ToReading =
  | { readonly kind: 'steer'; readonly act: Steer }
  | { readonly kind: 'tree'; readonly ticket: number; readonly trust: Placing | null };

export type FromReading =
  | { readonly kind: 'progress'; readonly progress: ReadingProgress }
  /** It is done, has failed or was ended; its tree can be asked for. */
  | { readonly kind: 'ended'; readonly progress: ReadingProgress }
  | { readonly kind: 'tree'; readonly ticket: number; readonly tree: ReadTree };

/** MB that what is read may take; a site that needs more ends its reading, and nothing else. */
const MOST_MEMORY = 2048;

/**
 * Reads in a thread of its own: pages are parsed and put in their tree there, however large or broken they
 * are, while editing goes on. It lives until what was read is taken in or let go of.
 */
export function readInThread(file: string): OpenReading {
  return (address, limits) => startReading(file, { address, limits });
}

function startReading(file: string, work: ReadingWork): SiteReader {
  const worker = new Worker(file, {
    workerData: work,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY },
  });
  const tell = (message: ToReading): void => worker.postMessage(message);
  const waiting = new Map<
    number,
    { readonly done: (tree: ReadTree) => void; readonly fail: (error: Error) => void }
  >();
  let progress: ReadingProgress = { state: 'running', read: 0, waiting: 1, reason: null, problems: [] };
  let tickets = 0;
  let end: () => void = () => undefined;
  const ended = new Promise<void>((done) => (end = done));
  worker.on('message', (message: FromReading) => {
    if (message.kind === 'tree') {
      waiting.get(message.ticket)?.done(message.tree);
      waiting.delete(message.ticket);
      return;
    }
    // What was ended here stays so, whatever was on its way.
    if (progress.state !== 'cancelled') ({ progress } = message);
    if (message.kind === 'ended') end();
  });
  const breakOff = (reason: string): void => {
    // The first reason is the right one: a thread that breaks off ends, too.
    if (progress.state === 'running' || progress.state === 'paused')
      progress = { ...progress, state: 'failed', reason };
    for (const { fail } of waiting.values()) fail(new Error(reason));
    waiting.clear();
    end();
  };
  worker.on('error', (error: Error) => breakOff(`the reader stopped (${error.message})`));
  worker.on('exit', () => breakOff('the reading was stopped'));
  worker.unref();
  return {
    origin: new URL(work.address).origin,
    progress: () => progress,
    steer(act) {
      if (act === 'cancel' && (progress.state === 'running' || progress.state === 'paused')) {
        progress = { ...progress, state: 'cancelled' };
        void worker.terminate();
      } else tell({ kind: 'steer', act });
    },
    tree: (trust) =>
      new Promise((done, fail) => {
        tickets += 1;
        waiting.set(tickets, { done, fail });
        tell({ kind: 'tree', ticket: tickets, trust });
      }),
    ended,
    close: () => void worker.terminate(),
  };
}
