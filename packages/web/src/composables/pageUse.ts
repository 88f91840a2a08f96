import { childrenOf, nodeAt, preorder, type Id, type SiteDocument } from '@zorvik/core';

const known = new WeakMap<SiteDocument, ReadonlyMap<Id, ReadonlySet<string>>>();

/** For each page that items lead to, the names of the menus that they stand in, in the menus' order. O(items) once for each document. */
export function pageUse(document: SiteDocument): ReadonlyMap<Id, ReadonlySet<string>> {
  const present = known.get(document);
  if (present !== undefined) return present;
  const use = new Map<Id, Set<string>>();
  for (const menu of childrenOf(document.menus, document.site.id)) {
    const { name } = nodeAt(document.menus, menu);
    for (const { node } of preorder<Id>(childrenOf(document.items, menu), (id) => childrenOf(document.items, id))) {
      const { destination } = nodeAt(document.items, node);
      if (destination.kind !== 'page') continue;
      const names = use.get(destination.page) ?? new Set();
      use.set(destination.page, names.add(name));
    }
  }
  known.set(document, use);
  return use;
}
