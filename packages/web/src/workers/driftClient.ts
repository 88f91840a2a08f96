import type { Finding, SiteDocument } from '@zorvik/core';
import { documentFeed, type DocumentPiece } from './documentFeed.ts';

/** A piece of the document. The last one is answered. */
export interface ToDrift extends DocumentPiece {
  readonly ticket: number;
  /** Addresses outside that do not answer, with the reason; null: the same as before. */
  readonly dead: readonly (readonly [string, string])[] | null;
}
export interface LeftFinding {
  readonly finding: Finding;
  readonly reason: string;
}
export interface FromDrift {
  readonly ticket: number;
  readonly open: readonly Finding[];
  readonly left: readonly LeftFinding[];
}

export interface DriftClient {
  /** Asks for the drift of a document; null: something newer was asked meanwhile. */
  readonly look: (document: SiteDocument, dead: ReadonlyMap<string, string>) => Promise<FromDrift | null>;
  readonly close: () => void;
}

export function driftClient(): DriftClient {
  const worker = new Worker(new URL('./drift.worker.ts', import.meta.url), { type: 'module' });
  const feed = documentFeed();
  let knownDead: ReadonlyMap<string, string> | null = null;
  let ticket = 0;
  let waiting: ((found: FromDrift | null) => void) | null = null;
  worker.onmessage = ({ data }: MessageEvent<FromDrift>) => {
    if (data.ticket !== ticket) return;
    waiting?.(data);
    waiting = null;
  };

  return {
    look(document, dead) {
      waiting?.(null);
      ticket += 1;
      const own = ticket;
      const deadSent = dead === knownDead ? null : [...dead];
      knownDead = dead;
      void feed(document, (piece) =>
        worker.postMessage({ ...piece, ticket: own, dead: deadSent } satisfies ToDrift),
      );
      return new Promise((done) => (waiting = done));
    },
    close: () => worker.terminate(),
  };
}
