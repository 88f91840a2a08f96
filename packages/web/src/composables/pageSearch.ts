import { childrenOf, nodeAt, preorder, type Forest, type Id, type Page, type SiteDocument } from '@zorvik/core';
import { exactSearch, type PageSearch } from '../workers/findPages.ts';

const searches = new WeakMap<Forest<Page>, { readonly pages: readonly Page[]; readonly search: PageSearch }>();

/** Pages by words in any order, best first. For fields that suggest while one types; the page finder asks a worker. O(pages). */
export function searchPages(document: SiteDocument, typed: string): readonly Page[] {
  const { pages, site } = document;
  let known = searches.get(pages);
  if (known === undefined) {
    const all = [...preorder(childrenOf(pages, site.id), (id: Id) => childrenOf(pages, id))].map(({ node }) => nodeAt(pages, node));
    known = { pages: all, search: exactSearch(all) };
    searches.set(pages, known);
  }
  const { pages: all, search } = known;
  return search.find(typed).flatMap((at) => all[at] ?? []);
}
