import { Worker } from 'node:worker_threads';
import type { LoadedEdition } from './delivery/loadEdition.ts';
import type { AnswerPreview } from './editing/answerPreview.ts';
import type { OutOfDate } from './delivery/publicSide.ts';
import type { EditorWork, FromEditor, ToEditor } from './threads.ts';

/** The editor's thread, as the thread that started it sees it. */
export interface EditorThread {
  /** The database is open. Fails with a sentence where it cannot be opened. */
  readonly opened: Promise<void>;
  /** Lets it listen, and gives its address. */
  readonly begin: (deliveryAddress: string) => Promise<string>;
  /** Loads a site's edition. Fails when the thread ends before it has answered. */
  readonly load: (siteKey: string) => Promise<LoadedEdition>;
  /** Answers at an address of a preview. Fails in the same way. */
  readonly preview: AnswerPreview;
  /** Settles when the thread has ended: null when it ended by itself, else the error that ended it. */
  readonly ended: Promise<Error | null>;
  /** Lets requests under way finish and closes the database. */
  readonly close: () => Promise<void>;
}

/** Lets delivery read editions anew; a promise settles when it has. */
export type Forget = (outOfDate: OutOfDate) => void | Promise<void>;

interface Waiting {
  readonly done: (answer: Extract<FromEditor, { kind: 'edition' | 'previewed' }>) => void;
  readonly fail: (error: Error) => void;
}

/**
 * Starts the editor's thread. `forget` is called when editions are out of date.
 */
export function startEditorThread(file: URL, work: EditorWork, forget: Forget): EditorThread {
  const worker = new Worker(file, { workerData: work });
  const tell = (message: ToEditor): void => worker.postMessage(message);
  const waiting = new Map<number, Waiting>();
  let tickets = 0;
  const opened = later<undefined>();
  const ready = later<string>();
  const ended = new Promise<Error | null>((done) => {
    worker.once('error', done);
    worker.once('exit', () => done(null));
  });
  void ended.then((error) => {
    const gone = error ?? new Error('The editing thread ended before it was ready.');
    for (const step of [opened, ready, ...waiting.values()]) step.fail(gone);
    waiting.clear();
  });
  worker.on('message', (message: FromEditor) => {
    if (message.kind === 'opened') opened.done(undefined);
    else if (message.kind === 'ready') ready.done(message.address);
    else if (message.kind === 'failed')
      for (const step of [opened, ready]) step.fail(new Error(message.message));
    else if (message.kind === 'forget') {
      const { ticket } = message;
      void Promise.resolve(forget(message)).then(() => tell({ kind: 'forgotten', ticket }));
    } else {
      const asked = waiting.get(message.ticket);
      waiting.delete(message.ticket);
      if (message.kind === 'unanswered') asked?.fail(new Error(message.message));
      else asked?.done(message);
    }
  });
  /** Asks the thread, and takes what was asked for from its answer. */
  const ask = <T>(
    question: (ticket: number) => ToEditor,
    taken: (answer: Parameters<Waiting['done']>[0]) => T | null,
  ): Promise<T> =>
    new Promise((done, fail) => {
      tickets += 1;
      waiting.set(tickets, {
        done(answer) {
          const value = taken(answer);
          if (value === null) fail(new Error('The editing thread answered something else.'));
          else done(value);
        },
        fail,
      });
      tell(question(tickets));
    });
  return {
    opened: opened.promise,
    begin(address) {
      tell({ kind: 'deliveryAt', address });
      return ready.promise;
    },
    load: (siteKey) =>
      ask(
        (ticket) => ({ kind: 'load', ticket, siteKey }),
        (answer) => (answer.kind === 'edition' ? answer.edition : null),
      ),
    preview: (path) =>
      ask(
        (ticket) => ({ kind: 'preview', ticket, path }),
        (answer) => (answer.kind === 'previewed' ? answer.reply : null),
      ),
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
  // Whoever waits for it gets the error; nobody need be waiting.
  promise.catch(() => undefined);
  return { promise, done: (value) => settle?.done(value), fail: (error) => settle?.fail(error) };
}
