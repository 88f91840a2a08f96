import type { Id } from '../base/ids.ts';
import type { Item } from '../schema/item.ts';
import type { SiteDocument } from './document.ts';
import { nodeAt } from './forest.ts';
import { usesOf } from './usesOf.ts';

/** The items that show a shared link, in no particular order. O(document without pages). */
export function usersOf(document: SiteDocument, link: Id): Item[] {
  return usesOf(document, 'sharedLink', new Set([link])).map(({ id }) => nodeAt(document.items, id));
}
