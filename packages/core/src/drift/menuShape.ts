import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { faceOf } from '../model/faceOf.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import type { Item } from '../schema/item.ts';
import { preorder } from '../walk/preorder.ts';

/** What the rules of drift ask of a menu as a whole. */
export interface MenuShape {
  /** The item that leads to a page; of several, the first. */
  readonly itemOfPage: (page: Id) => Id | null;
  /** The item that shows a shared link; of several, the first. */
  readonly itemOfLink: (link: Id) => Id | null;
}

/**
 * A menu's items from top to bottom, and which of them is the first to lead to each page and to show each
 * shared link.
 */
export interface MenuWalk {
  readonly order: readonly Id[];
  readonly byPage: ReadonlyMap<Id, Id>;
  readonly byLink: ReadonlyMap<Id, Id>;
}

/** Walks through a menu, what is followed in it too. O(items). */
export function walkMenu(filled: SiteDocument, menu: Id): MenuWalk {
  const below = (id: Id): Iterable<Id> => childrenOf(filled.items, id);
  const order: Id[] = [];
  const byPage = new Map<Id, Id>();
  const byLink = new Map<Id, Id>();
  for (const { node } of preorder<Id>(below(menu), below)) {
    order.push(node);
    const item = nodeAt(filled.items, node);
    const { destination } = faceOf(filled, item);
    if (destination.kind === 'page' && !byPage.has(destination.page)) byPage.set(destination.page, node);
    if (item.link !== undefined && item.exception === undefined && !byLink.has(item.link))
      byLink.set(item.link, node);
  }
  return { order, byPage, byLink };
}

/** Whether an item that changed leaves the walk through its menu as it is. */
export function isSameInWalk(was: Item, now: Item): boolean {
  const isSamePage =
    was.destination.kind === 'page' &&
    now.destination.kind === 'page' &&
    was.destination.page === now.destination.page;
  const leadsToNone = was.destination.kind !== 'page' && now.destination.kind !== 'page';
  return (
    was.parent === now.parent &&
    was.link === now.link &&
    (isSamePage || leadsToNone) &&
    (was.exception === undefined) === (now.exception === undefined)
  );
}

/** Ids whose first item is another one in the second of two maps. */
export function differingFirsts(was: ReadonlyMap<Id, Id>, now: ReadonlyMap<Id, Id>): Id[] {
  return [
    ...[...now].filter(([key, item]) => was.get(key) !== item).map(([key]) => key),
    ...[...was.keys()].filter((key) => !now.has(key)),
  ];
}
