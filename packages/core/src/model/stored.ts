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
    format: document.format,
    site: document.site,
    ...ofEachForest((name) => [...storedOrder(document, name)] as never[]),
  };
}

/** Up to this format, the next one only had more lists. */
export const ONLY_MORE_LISTS = 4;

/**
 * The document that was stored, in the format that it was stored in (formats 1 to 3 are read as 4). Throws on
 * one of the present format that breaks an invariant: what we stored ourselves is never bad input. Others are
 * asked when they have been upgraded.
 */
export function readStored(stored: { readonly format: number }): SiteDocument {
  const { format, site, ...lists } = stored as StoredDocument;
  const document = forestNames.reduce<SiteDocument>(
    (made, name) =>
      withForest<ForestName>(
        made,
        name,
        withNodesLast(
          emptyForest<NodeOf[ForestName]>(),
          (lists[name] as readonly NodeOf[ForestName][] | undefined) ?? [],
        ),
      ),
    newDocument(site, Math.max(format, ONLY_MORE_LISTS)),
  );
  const breach = document.format === FORMAT ? findBreach(document) : null;
  if (breach !== null) throw new Error(`The stored document is not sound: ${breach}.`);
  return document;
}
