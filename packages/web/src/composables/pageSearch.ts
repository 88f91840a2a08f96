import { storedOrder, type Forest, type Page, type SiteDocument } from '@zorvik/core';
import { exactSearch, type PageSearch } from '../workers/findPages.ts';

const searches = new WeakMap<
  Forest<Page>,
  { readonly pages: readonly Page[]; readonly search: PageSearch }
>();

/**
 * Pages by words in any order, best first. For fields that suggest while one types; the page finder asks a
 * worker. O(pages).
 */
export function searchPages(document: SiteDocument, typed: string): readonly Page[] {
  const { pages } = document;
  let known = searches.get(pages);
  if (known === undefined) {
    const all = [...storedOrder(document, 'pages')];
    known = { pages: all, search: exactSearch(all) };
    searches.set(pages, known);
  }
  const { pages: all, search } = known;
  return search.find(typed).flatMap((at) => all[at] ?? []);
}
