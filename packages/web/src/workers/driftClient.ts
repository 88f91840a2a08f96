import { changesBetween, type DocumentChanges, type Finding, type SiteDocument } from '@zorvik/core';

/** Some of what changed. The last piece of it is answered. */
export interface ToDrift {
  readonly ticket: number;
  /** Another document than before: from nothing. */
  readonly isAnew: boolean;
  readonly isLast: boolean;
  readonly changes: DocumentChanges;
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

/** So many nodes are handed over between two frames. */
const PIECE = 4000;

export function driftClient(): DriftClient {
  const worker = new Worker(new URL('./drift.worker.ts', import.meta.url), { type: 'module' });
  let known: SiteDocument | null = null;
  let knownDead: ReadonlyMap<string, string> | null = null;
  let ticket = 0;
  let waiting: ((found: FromDrift | null) => void) | null = null;
  worker.onmessage = ({ data }: MessageEvent<FromDrift>) => {
    if (data.ticket !== ticket) return;
    waiting?.(data);
    waiting = null;
  };

  async function tell(document: SiteDocument, dead: ReadonlyMap<string, string>, own: number): Promise<void> {
    const isAnew = known === null || known.site.id !== document.site.id;
    const changes = changesBetween(isAnew ? null : known, document);
    known = document;
    const pieces = piecesOf(changes);
    const deadSent = dead === knownDead ? null : [...dead];
    knownDead = dead;
    for (const [at, piece] of pieces.entries()) {
      // What was begun is told to its end, so that the copy there stays whole; only its answer is not waited
      // for.
      worker.postMessage({
        ticket: own,
        isAnew: isAnew && at === 0,
        isLast: at === pieces.length - 1,
        changes: piece,
        dead: deadSent,
      } satisfies ToDrift);
      if (at < pieces.length - 1) await new Promise((done) => setTimeout(done));
    }
  }

  let telling: Promise<void> = Promise.resolve();
  return {
    look(document, dead) {
      waiting?.(null);
      ticket += 1;
      const own = ticket;
      telling = telling.then(() => tell(document, dead, own));
      return new Promise((done) => (waiting = done));
    },
    close: () => worker.terminate(),
  };
}

function piecesOf({ format, site, forests }: DocumentChanges): DocumentChanges[] {
  const pieces: DocumentChanges[] = [];
  for (const { forest, nodes, orders } of forests) {
    for (let at = 0; at < Math.max(nodes.length, orders.length); at += PIECE) {
      pieces.push({
        format,
        site,
        forests: [{ forest, nodes: nodes.slice(at, at + PIECE), orders: orders.slice(at, at + PIECE) }],
      });
    }
  }
  return pieces.length === 0 ? [{ format, site, forests: [] }] : pieces;
}
