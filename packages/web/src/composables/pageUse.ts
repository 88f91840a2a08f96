import { childrenOf, linksIn, type Id, type SiteDocument } from '@zorvik/core';

/** How many items, and how many parts of panels, of one menu link to a page. */
export interface UseInMenu {
  items: number;
  parts: number;
}

/** What links to each page, by the page's id and then the menu's; menus in their order. */
export type PageUse = ReadonlyMap<Id, ReadonlyMap<Id, Readonly<UseInMenu>>>;

let last: { readonly of: readonly unknown[]; readonly use: PageUse } | null = null;

/** Which menus link to which pages, and how often. O(items + parts) once for each state of them. */
export function pageUse(document: SiteDocument): PageUse {
  const of = [document.items, document.sharedLinks, document.parts, document.menus];
  if (last?.of.every((one, at) => one === of[at]) === true) return last.use;
  const use = new Map<Id, Map<Id, UseInMenu>>();
  for (const menu of childrenOf(document.menus, document.site.id)) {
    for (const { to, value: page, part } of linksIn(document, menu)) {
      if (to !== 'page') continue;
      const byMenu = use.get(page) ?? new Map<Id, UseInMenu>();
      const counts = byMenu.get(menu) ?? { items: 0, parts: 0 };
      counts[part === null ? 'items' : 'parts'] += 1;
      use.set(page, byMenu.set(menu, counts));
    }
  }
  last = { of, use };
  return use;
}

/** How often menus link to a page, panels included. */
export function timesUsed(document: SiteDocument, page: Id): number {
  return [...(pageUse(document).get(page)?.values() ?? [])].reduce(
    (sum, { items, parts }) => sum + items + parts,
    0,
  );
}

/** The names of the menus that link to a page, with how often where that is more than once. */
export function whereUsed(document: SiteDocument, page: Id): string[] {
  return [...(pageUse(document).get(page) ?? [])].map(([menu, { items, parts }]) => {
    const name = document.menus.nodes.get(menu)?.name ?? '';
    const times = items > 1 ? ` ×${items}` : '';
    return `${name}${times}${parts === 0 ? '' : items === 0 ? ' (in a panel)' : ' (also in a panel)'}`;
  });
}
