import { childrenOf, nodeAt, preorder, type Forest, type Id, type Page, type SiteDocument } from '@zorvik/core';
import { exactSearch, type PageSearch } from '../workers/findPages.ts';

const searches = new WeakMap<Forest<Page>, PageSearch>();

/** Pages by words in any order, best first. For fields that suggest while one types; the page finder asks a worker. O(pages). */
export function searchPages(document: SiteDocument, typed: string): readonly Page[] {
  const { pages, site } = document;
  const search =
    searches.get(pages) ?? exactSearch([...preorder(childrenOf(pages, site.id), (id: Id) => childrenOf(pages, id))].map(({ node }) => nodeAt(pages, node)));
  searches.set(pages, search);
  return search.find(typed).map((id) => nodeAt(pages, id));
}
