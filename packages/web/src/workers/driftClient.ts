import type { Finding, SiteDocument } from '@zorvik/core';
import { askedWorker } from './askedWorker.ts';
import type { DocumentPiece } from './documentFeed.ts';

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
  const worker = askedWorker<Pick<ToDrift, 'dead'>, FromDrift>(
    new Worker(new URL('./drift.worker.ts', import.meta.url), { type: 'module' }),
  );
  let knownDead: ReadonlyMap<string, string> | null = null;
  return {
    look(document, dead) {
      const deadSent = dead === knownDead ? null : [...dead];
      knownDead = dead;
      return worker.ask(document, { dead: deadSent });
    },
    close: worker.close,
  };
}
