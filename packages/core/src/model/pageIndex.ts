import { foldText } from '../base/foldText.ts';
import type { Id } from '../base/ids.ts';
import type { Page } from '../schema/page.ts';
import type { SiteDocument } from './document.ts';
import { isWithin } from './isWithin.ts';

/** Finds pages by what a text says of them. Pages that are gone are not found. */
export interface PageIndex {
  readonly byAddress: (address: string) => Page | null;
  /** By title, whatever its case and marks. Of several, the one below `near` counts, then the first. */
  readonly byTitle: (title: string, near: Id | null) => Page | null;
}

/**
 * O(pages) to make, O(1) to ask but for pages of the same title. As long as no page and no origin changes, it is made once.
 */
export function pageIndex(document: SiteDocument): PageIndex {
  const { pages, site } = document;
  const before = known.get(pages);
  if (before?.origin === site.origin) return before.index;
  const index = newIndex(document);
  known.set(pages, { origin: site.origin, index });
  return index;
}
const known = new WeakMap<SiteDocument['pages'], { readonly origin: string; readonly index: PageIndex }>();

function newIndex(document: SiteDocument): PageIndex {
  const { pages, site } = document;
  const there = [...pages.nodes.values()].filter(({ state }) => state !== 'gone');
  const addresses = new Map<string, Page>();
  for (const page of there) {
    const address = plainAddress(page.address, '');
    if (!addresses.has(address)) addresses.set(address, page);
  }
  // Who asks for addresses alone does not wait for the titles of a hundred thousand pages to be folded.
  let titles: ReadonlyMap<string, readonly Page[]> | null = null;
  return {
    byAddress: (address) => addresses.get(plainAddress(address, site.origin)) ?? null,
    byTitle(title, near) {
      titles ??= byFoldedTitle(there);
      const folded = foldText(title);
      const alike = folded === '' ? [] : (titles.get(folded) ?? []);
      const close =
        near === null ? undefined : alike.find(({ id }) => id !== near && isWithin(pages, id, near));
      return close ?? alike[0] ?? null;
    },
  };
}

function byFoldedTitle(pages: readonly Page[]): ReadonlyMap<string, readonly Page[]> {
  const titles = new Map<string, Page[]>();
  for (const page of pages) {
    const title = foldText(page.title);
    const alike = titles.get(title);
    if (alike === undefined) titles.set(title, [page]);
    else alike.push(page);
  }
  return titles;
}

/** Without the site's own host, an anchor, and a slash at the end. */
function plainAddress(address: string, origin: string): string {
  const own =
    origin !== '' && (address === origin || address.startsWith(`${origin}/`))
      ? address.slice(origin.length)
      : address;
  const path = own.split('#')[0] ?? '';
  return path.replace(/\/+$/, '') || '/';
}
