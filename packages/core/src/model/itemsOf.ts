import type { Id } from '../base/ids.ts';
import { preorder } from '../walk/preorder.ts';
import type { SiteDocument } from './document.ts';
import { childrenOf } from './forest.ts';

/** The items below a menu, or below an item, from top to bottom. O(items there). */
export function* itemsOf({ items }: SiteDocument, parent: Id): Generator<Id> {
  for (const { node } of preorder<Id>(childrenOf(items, parent), (id) => childrenOf(items, id))) yield node;
}
