import type { Id } from '../base/ids.ts';
import type { Item } from '../schema/item.ts';
import type { SiteDocument } from './document.ts';

/** The items that show a shared link, in no particular order. O(items). */
export function usersOf(document: SiteDocument, link: Id): Item[] {
  return [...document.items.nodes.values()].filter((item) => item.link === link);
}
