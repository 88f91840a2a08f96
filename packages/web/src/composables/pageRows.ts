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
  const row = (id: Id, depth: number): PageRow => {
    const childCount = childrenOf(document.pages, id).size;
    return {
      id,
      page: nodeAt(document.pages, id),
      depth,
      childCount,
      isUnfolded: childCount > 0 && unfolded.has(id),
    };
  };
  if (typed.trim() !== '' || isWanted !== null) {
    const found = typed.trim() === '' ? storedOrder(document, 'pages') : searchPages(document, typed);
    return [...found]
      .filter((page) => isWanted === null || isWanted(page))
      .map(({ id }) => ({ ...row(id, 0), childCount: 0 }));
  }
  const rows: PageRow[] = [];
  const stack = [...childrenOf(document.pages, document.site.id)].reverse().map((id) => row(id, 0));
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    rows.push(next);
    if (!next.isUnfolded) continue;
    const below = [...childrenOf(document.pages, next.id)];
    for (const id of below.reverse()) stack.push(row(id, next.depth + 1));
  }
  return rows;
}
