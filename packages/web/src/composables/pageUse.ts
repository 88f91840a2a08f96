import { childrenOf, faceOf, itemsOf, nodeAt, type Id, type SiteDocument } from '@zorvik/core';

/** How often each menu leads to a page, by the page's id and then the menu's; menus in their order. */
export type PageUse = ReadonlyMap<Id, ReadonlyMap<Id, number>>;

let last: { readonly of: readonly unknown[]; readonly use: PageUse } | null = null;

/** Which menus lead to which pages, and how often. O(items) once for each state of them. */
export function pageUse(document: SiteDocument): PageUse {
  const of = [document.items, document.sharedLinks, document.menus];
  if (last?.of.every((one, at) => one === of[at]) === true) return last.use;
  const use = new Map<Id, Map<Id, number>>();
  for (const menu of childrenOf(document.menus, document.site.id)) {
    for (const id of itemsOf(document, menu)) {
      const { destination } = faceOf(document, nodeAt(document.items, id));
      if (destination.kind !== 'page') continue;
      const counts = use.get(destination.page) ?? new Map<Id, number>();
      use.set(destination.page, counts.set(menu, (counts.get(menu) ?? 0) + 1));
    }
  }
  last = { of, use };
  return use;
}

/** The names of the menus that lead to a page, with how often where that is more than once. */
export function whereUsed(document: SiteDocument, page: Id): string[] {
  return [...(pageUse(document).get(page) ?? [])].map(
    ([menu, count]) => `${document.menus.nodes.get(menu)?.name ?? ''}${count > 1 ? ` ×${count}` : ''}`,
  );
}
