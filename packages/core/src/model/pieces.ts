import { FORMAT } from '../schema/format.ts';
import type { Site } from '../schema/site.ts';
import {
  forestNames,
  newDocument,
  withForest,
  type ForestName,
  type NodeOf,
  type SiteDocument,
} from './document.ts';
import { withNodesLast, type Forest } from './forest.ts';
import { storedOrder } from './storedOrder.ts';

/**
 * Some nodes of one forest of a stored document; parents come before their children, siblings in their order.
 */
export type DocumentPiece = {
  readonly [F in ForestName]: { readonly forest: F; readonly nodes: readonly NodeOf[F][] };
}[ForestName];

/** A document piece by piece, each small enough to be read between two frames. O(nodes) in all. */
export function* piecesOf(document: SiteDocument, most: number): Generator<DocumentPiece> {
  for (const forest of forestNames) {
    let nodes: NodeOf[ForestName][] = [];
    for (const node of storedOrder(document, forest)) {
      nodes.push(node);
      if (nodes.length < most) continue;
      yield { forest, nodes } as DocumentPiece;
      nodes = [];
    }
    if (nodes.length > 0) yield { forest, nodes } as DocumentPiece;
  }
}

/** The document with one more piece. */
export function withPiece(document: SiteDocument, { forest, nodes }: DocumentPiece): SiteDocument {
  return withForest<ForestName>(
    document,
    forest,
    withNodesLast(document[forest] as Forest<NodeOf[ForestName]>, nodes),
  );
}

/**
 * What the pieces are put into. Throws on a format that this version does not know: pieces cannot be upgraded
 * one by one.
 */
export function emptyOf(site: Site, format: number): SiteDocument {
  if (format !== FORMAT)
    throw new Error(`The document has format ${format}; this Zorvik reads ${FORMAT}. Load the page again.`);
  return newDocument(site);
}
