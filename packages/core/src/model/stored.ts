import { FORMAT, type StoredDocument } from '../schema/format.ts';
import { ofEachForest } from '../schema/forests.ts';
import {
  forestNames,
  newDocument,
  withForest,
  type ForestName,
  type NodeOf,
  type SiteDocument,
} from './document.ts';
import { emptyForest, withNodesLast } from './forest.ts';
import { findBreach } from './findBreach.ts';
import { storedOrder } from './storedOrder.ts';

/** A document as plain data, for keeping. `readStored` gives it back. */
export function toStored(document: SiteDocument): StoredDocument {
  return {
    format: FORMAT,
    site: document.site,
    ...ofEachForest((name) => [...storedOrder(document, name)] as never[]),
  };
}

/**
 * How a document of an older format becomes one of the next: the entry at 1 leads from format 1 to format 2,
 * and so on.
 */
const upgrades: Readonly<Record<number, (older: unknown) => unknown>> = {
  // Read from rows, a site of format 1 has the new lists already, and they are empty.
  1: (older) => ({ sharedLinks: [], ownFields: [], ...(older as object), format: 2 }),
  2: (older) => ({ leftFindings: [], ...(older as object), format: 3 }),
  3: (older) => ({ parts: [], presets: [], ...(older as object), format: 4 }),
};

/**
 * The document that was stored, brought up to the present format. Throws on a newer format and on a document
 * that breaks an invariant: what we stored ourselves is never bad input.
 */
export function readStored(stored: { readonly format: number }): SiteDocument {
  if (stored.format > FORMAT)
    throw new Error(
      `The document has format ${stored.format}; this Zorvik reads up to ${FORMAT}. Use the newer one.`,
    );
  let current: unknown = stored;
  for (let format = stored.format; format < FORMAT; format += 1) current = upgrades[format]?.(current);
  const { site, ...lists } = current as StoredDocument;
  const document = forestNames.reduce<SiteDocument>(
    (made, name) =>
      withForest<ForestName>(made, name, withNodesLast(emptyForest<NodeOf[ForestName]>(), lists[name])),
    newDocument(site),
  );
  const breach = findBreach(document);
  if (breach !== null) throw new Error(`The stored document is not sound: ${breach}.`);
  return document;
}
