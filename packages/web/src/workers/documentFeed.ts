import { changesBetween, type DocumentChanges, type SiteDocument } from '@zorvik/core';

/** Some of what changed in a document since a worker was told of it last. */
export interface DocumentPiece {
  /** Another document than before: from nothing. */
  readonly isAnew: boolean;
  readonly isLast: boolean;
  readonly changes: DocumentChanges;
}

/** So many nodes are handed over between two frames. */
const PIECE = 4000;

/**
 * Keeps a worker's copy of a document in step with what it is given: `post` sends a piece. What was begun is told
 * to its end, so that the copy stays whole; others have their turn between two pieces.
 */
export function documentFeed(): (
  document: SiteDocument,
  post: (piece: DocumentPiece) => void,
) => Promise<void> {
  let known: SiteDocument | null = null;
  let telling: Promise<void> = Promise.resolve();
  const tell = async (document: SiteDocument, post: (piece: DocumentPiece) => void): Promise<void> => {
    const isAnew = known === null || known.site.id !== document.site.id;
    const pieces = piecesOf(changesBetween(isAnew ? null : known, document));
    known = document;
    for (const [at, changes] of pieces.entries()) {
      const isLast = at === pieces.length - 1;
      post({ isAnew: isAnew && at === 0, isLast, changes });
      if (!isLast) await new Promise((done) => setTimeout(done));
    }
  };
  return (document, post) => {
    telling = telling.then(() => tell(document, post));
    return telling;
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
