import type { SiteDocument } from '@zorvik/core';
import { documentFeed, type DocumentPiece } from './documentFeed.ts';

/** A question to a worker that keeps a copy of the document, and its answer: told apart by their tickets. */
interface Ticketed {
  readonly ticket: number;
}

export interface AskedWorker<Asked, Found extends Ticketed> {
  /** Asks something about a document; null: something newer was asked meanwhile. */
  readonly ask: (document: SiteDocument, asked: Asked) => Promise<Found | null>;
  readonly close: () => void;
}

/** Feeds a worker with the document, piece by piece, and hears its answer to what was asked last. */
export function askedWorker<Asked extends object, Found extends Ticketed>(
  worker: Worker,
): AskedWorker<Asked, Found> {
  const feed = documentFeed();
  let ticket = 0;
  let waiting: ((found: Found | null) => void) | null = null;
  worker.onmessage = ({ data }: MessageEvent<Found>) => {
    if (data.ticket !== ticket) return;
    waiting?.(data);
    waiting = null;
  };
  return {
    ask(document, asked) {
      waiting?.(null);
      ticket += 1;
      const own = ticket;
      void feed(document, (piece) =>
        worker.postMessage({ ...piece, ...asked, ticket: own } satisfies DocumentPiece & Ticketed),
      );
      return new Promise((done) => (waiting = done));
    },
    close: () => worker.terminate(),
  };
}
