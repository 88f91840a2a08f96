import type { Forest, Id, Item, SiteDocument } from '@zorvik/core';
import { menuOf } from '@zorvik/core';

const known = new WeakMap<Forest<Item>, ReadonlyMap<Id, ReadonlySet<string>>>();

/** For each page that items lead to, the names of the menus that they stand in. O(items) once for each state of the items. */
export function pageUse(document: SiteDocument): ReadonlyMap<Id, ReadonlySet<string>> {
  const present = known.get(document.items);
  if (present !== undefined) return present;
  const use = new Map<Id, Set<string>>();
  for (const { id, destination } of document.items.nodes.values()) {
    if (destination.kind !== 'page') continue;
    const names = use.get(destination.page) ?? new Set();
    names.add(menuOf(document, id).name);
    use.set(destination.page, names);
  }
  known.set(document.items, use);
  return use;
}
