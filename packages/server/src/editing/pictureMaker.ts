import { Worker } from 'node:worker_threads';
import { no, refusal, type Result } from '@zorvik/core';
import { makePicture, type MadePicture } from './makePicture.ts';

/**
 * Makes of uploaded bytes the picture that is stored, one after the other: unpacked, a picture of 5 MB can
 * take 200 MB.
 */
export interface PictureMaker {
  readonly make: (bytes: Buffer) => Promise<Result<MadePicture>>;
  readonly close: () => Promise<void>;
}

export interface ToPictureThread {
  readonly bytes: Uint8Array;
}
export type FromPictureThread = Result<MadePicture>;

/** How long one picture may take, in ms. */
const PATIENCE = 20_000;
/** An idle thread ends after this time, in ms, and gives its memory back. */
const REST = 60_000;
/** MB of JavaScript's own memory; unpacked pictures stand outside of it. */
const MOST_MEMORY = 512;

/** In the thread that asks, between its other work: for tests, and where there is no built thread. */
export function picturesHere(): PictureMaker {
  return { make: oneAtATime(makePicture), close: () => Promise.resolve() };
}

/** In a thread of its own, with a time limit: whatever is in a drawing, nobody else has to wait for it. */
export function picturesInThread(file: string, patience = PATIENCE): PictureMaker {
  let worker: Worker | null = null;
  let resting: ReturnType<typeof setTimeout> | undefined;
  /** Takes the answer that is waited for. */
  let answer: (made: Result<MadePicture>) => void = () => undefined;

  const end = async (): Promise<void> => {
    clearTimeout(resting);
    const ended = worker;
    worker = null;
    await ended?.terminate();
  };
  const giveUp = (problem: string): void => {
    // It may be in the middle of it: the next picture gets a new thread.
    void end();
    answer(no(refusal('notPicture', { problem })));
  };

  function started(): Worker {
    const thread = new Worker(file, { resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY } });
    thread.on('message', (made: FromPictureThread) => answer(withBuffers(made)));
    thread.on('error', () => thread === worker && giveUp('it takes too much memory to read'));
    return thread;
  }

  async function asked(bytes: Buffer): Promise<Result<MadePicture>> {
    clearTimeout(resting);
    worker ??= started();
    const made = new Promise<Result<MadePicture>>((done) => (answer = done));
    const timer = setTimeout(
      () => giveUp(`it takes longer than ${Math.round(patience / 1000)} s to read`),
      patience,
    );
    worker.postMessage({ bytes } satisfies ToPictureThread);
    return made.finally(() => clearTimeout(timer));
  }

  const make = oneAtATime(async (bytes: Buffer) => {
    const made = await asked(bytes);
    resting = setTimeout(() => void end(), REST);
    resting.unref();
    return made;
  });
  return { make, close: end };
}

/** Bytes come over from another thread as plain arrays. */
function withBuffers(made: FromPictureThread): Result<MadePicture> {
  if (!made.ok) return made;
  const { picture, files } = made.value;
  return {
    ok: true,
    value: { picture, files: files.map((file) => ({ ...file, bytes: Buffer.from(file.bytes) })) },
  };
}

/** The same work, but none is begun before the one before it is done. */
export function oneAtATime<T, R>(work: (given: T) => Promise<R>): (given: T) => Promise<R> {
  let last: Promise<unknown> = Promise.resolve();
  return (given) => {
    const next = last.then(() => work(given));
    last = next.catch(() => undefined);
    return next;
  };
}
