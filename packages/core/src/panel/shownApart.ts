import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import { partsIn } from '../model/partsIn.ts';

/** The child items of a panel's item that a group of their own shows. */
export function shownApart(document: SiteDocument, owner: Id): Set<Id> {
  return new Set(
    partsIn(document, owner).flatMap(({ kind, item }) =>
      kind === 'group' && item !== undefined ? [item] : [],
    ),
  );
}

/**
 * The child items that no part of a composed panel shows, in their order; none where nobody composed it, or
 * where a part takes all that is left. What is held back or hidden is not missed. O(parts + children).
 */
export function notYetShown(document: SiteDocument, owner: Id): Id[] {
  const parts = partsIn(document, owner);
  if (parts.length === 0 || parts.some(({ kind }) => kind === 'groups')) return [];
  const shown = shownApart(document, owner);
  return [...childrenOf(document.items, owner)].filter((id) => {
    const { heldBack, exception } = nodeAt(document.items, id);
    return !shown.has(id) && heldBack !== true && exception?.hidden !== true;
  });
}
