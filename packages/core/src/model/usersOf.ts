import type { Id } from '../base/ids.ts';
import type { Item } from '../schema/item.ts';
import type { SiteDocument } from './document.ts';

/** The items that show a shared link, in no particular order. O(items), once for all links of a document. */
export function usersOf({ items }: SiteDocument, link: Id): readonly Item[] {
  let byLink = known.get(items);
  if (byLink === undefined) {
    byLink = new Map<Id, Item[]>();
    for (const item of items.nodes.values()) {
      if (item.link === undefined) continue;
      const users = byLink.get(item.link);
      if (users === undefined) byLink.set(item.link, [item]);
      else users.push(item);
    }
    known.set(items, byLink);
  }
  return byLink.get(link) ?? [];
}
const known = new WeakMap<SiteDocument['items'], Map<Id, Item[]>>();
