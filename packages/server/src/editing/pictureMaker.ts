import { Worker } from 'node:worker_threads';
import { no, refusal, type Result } from '@zorvik/core';
import { makeFont, type MadeFont } from './makeFont.ts';
import { makePicture, type MadePicture } from './makePicture.ts';

/** What uploaded bytes can become. */
export const makers = { picture: makePicture, font: makeFont } as const;
/** See `makers`. */
type Made = { readonly picture: MadePicture; readonly font: MadeFont };

/**
 * Makes of uploaded bytes the picture or the font that is stored, one after the other: unpacked, a picture of 5 MB
 * can take 200 MB.
 */
export interface PictureMaker {
  readonly make: (bytes: Buffer) => Promise<Result<MadePicture>>;
  readonly makeFont: (bytes: Buffer) => Promise<Result<MadeFont>>;
  readonly close: () => Promise<void>;
}

export interface ToPictureThread {
  readonly as: keyof Made;
  readonly bytes: Uint8Array;
}
export type FromPictureThread = Result<Made[keyof Made]>;

/** How long one picture may take, in ms. */
const PATIENCE = 20_000;
/** An idle thread ends after this time, in ms, and gives its memory back. */
const REST = 60_000;
/** MB of JavaScript's own memory; unpacked pictures stand outside of it. */
const MOST_MEMORY = 512;

/** In the thread that asks, between its other work: for tests, and where there is no built thread. */
export function picturesHere(): PictureMaker {
  const made = oneAtATime((ask: ToPictureThread): Promise<FromPictureThread> =>
    makers[ask.as](Buffer.from(ask.bytes)),
  );
  return makerBy(made, () => Promise.resolve());
}

/** In a thread of its own, with a time limit: whatever is in a drawing, nobody else has to wait for it. */
export function picturesInThread(file: string, patience = PATIENCE): PictureMaker {
  let worker: Worker | null = null;
  let resting: ReturnType<typeof setTimeout> | undefined;
  /** Takes the answer that is waited for. */
  let answer: (made: FromPictureThread) => void = () => undefined;
  let asking: keyof Made = 'picture';

  const end = async (): Promise<void> => {
    clearTimeout(resting);
    const ended = worker;
    worker = null;
    await ended?.terminate();
  };
  const giveUp = (problem: string): void => {
    // It may be in the middle of it: the next picture gets a new thread.
    void end();
    answer(no(refusal(asking === 'font' ? 'notFont' : 'notPicture', { problem })));
  };

  function started(): Worker {
    const thread = new Worker(file, { resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY } });
    thread.on('message', (made: FromPictureThread) => answer(withBuffers(made)));
    thread.on('error', () => thread === worker && giveUp('it takes too much memory to read'));
    return thread;
  }

  async function asked(ask: ToPictureThread): Promise<FromPictureThread> {
    clearTimeout(resting);
    worker ??= started();
    asking = ask.as;
    const made = new Promise<FromPictureThread>((done) => (answer = done));
    const timer = setTimeout(
      () => giveUp(`it takes longer than ${Math.round(patience / 1000)} s to read`),
      patience,
    );
    worker.postMessage(ask);
    return made.finally(() => clearTimeout(timer));
  }

  const make = oneAtATime(async (ask: ToPictureThread) => {
    const made = await asked(ask);
    resting = setTimeout(() => void end(), REST);
    resting.unref();
    return made;
  });
  return makerBy(make, end);
}

/** What is asked for as a font comes back as one. */
function makerBy(
  made: (ask: ToPictureThread) => Promise<FromPictureThread>,
  close: PictureMaker['close'],
): PictureMaker {
  return {
    make: (bytes) => made({ as: 'picture', bytes }) as Promise<Result<MadePicture>>,
    makeFont: (bytes) => made({ as: 'font', bytes }) as Promise<Result<MadeFont>>,
    close,
  };
}

/** Bytes come over from another thread as plain arrays. */
function withBuffers(made: FromPictureThread): FromPictureThread {
  if (!made.ok) return made;
  const files = made.value.files.map((file) => ({ ...file, bytes: Buffer.from(file.bytes) }));
  return { ok: true, value: { ...made.value, files } };
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
