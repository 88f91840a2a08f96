import { ancestors, type Id, type Page, type SiteDocument } from '@zorvik/core';
import { shownPages, type PageRow } from './pageRows.ts';

/** More pages than this begin folded: nobody scrolls through them all. */
const MOST_UNFOLDED = 500;

/**
 * The pages of a site as a tree that is browsed, from top to bottom, without what is in a folded branch. `toggled`: what was
 * folded, or unfolded, against how the tree begins. O(pages that are shown).
 */
export function pageBranches(document: SiteDocument, toggled: ReadonlySet<Id>, most: number): PageRow[] {
  const beginsOpen = document.pages.nodes.size <= MOST_UNFOLDED;
  const rows: PageRow[] = [];
  for (const row of shownPages(document, (id, depth) => (beginsOpen || depth === 0) !== toggled.has(id))) {
    if (rows.length === most) break;
    rows.push(row);
  }
  return rows;
}

/** The titles of the pages above a page, from the top, without the home page. O(depth). */
export function titlesAbove({ pages }: SiteDocument, page: Page): string[] {
  return [...ancestors<Page>(page, ({ parent }) => pages.nodes.get(parent))]
    .filter(({ address }) => address !== '/')
    .map(({ title }) => title)
    .reverse();
}
