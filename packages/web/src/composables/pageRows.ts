import { childrenOf, nodeAt, storedOrder, type Id, type Page, type SiteDocument } from '@zorvik/core';
import { searchPages } from './pageSearch.ts';

/** One row of the page tree. In search results all stand on one level. */
export interface PageRow {
  readonly id: Id;
  readonly page: Page;
  readonly depth: number;
  readonly childCount: number;
  readonly isUnfolded: boolean;
}

/** The rows of the page tree from top to bottom: what is unfolded, or what a search found. O(rows). */
export function pageRows(
  document: SiteDocument,
  unfolded: ReadonlySet<Id>,
  typed: string,
  isWanted: ((page: Page) => boolean) | null = null,
): PageRow[] {
  if (typed.trim() === '' && isWanted === null) return [...shownPages(document, (id) => unfolded.has(id))];
  const found = typed.trim() === '' ? storedOrder(document, 'pages') : searchPages(document, typed);
  return [...found]
    .filter((page) => isWanted === null || isWanted(page))
    .map(({ id }) => ({ ...rowOf(document, id, 0, unfolded.has(id)), childCount: 0 }));
}

/**
 * The pages of a site from top to bottom, without what is in a folded branch. Children are read one by one, so that of a
 * large site only what is taken costs anything. O(rows that are taken).
 */
export function* shownPages(
  document: SiteDocument,
  isUnfolded: (id: Id, depth: number) => boolean,
): IterableIterator<PageRow> {
  const { pages, site } = document;
  const levels = [childrenOf(pages, site.id)[Symbol.iterator]()];
  for (let level = levels.at(-1); level !== undefined; level = levels.at(-1)) {
    const next = level.next();
    if (next.done === true) {
      levels.pop();
      continue;
    }
    const depth = levels.length - 1;
    const row = rowOf(document, next.value, depth, isUnfolded(next.value, depth));
    yield row;
    if (row.isUnfolded) levels.push(childrenOf(pages, row.id)[Symbol.iterator]());
  }
}

function rowOf({ pages }: SiteDocument, id: Id, depth: number, isUnfolded: boolean): PageRow {
  const childCount = childrenOf(pages, id).size;
  return { id, page: nodeAt(pages, id), depth, childCount, isUnfolded: childCount > 0 && isUnfolded };
}
