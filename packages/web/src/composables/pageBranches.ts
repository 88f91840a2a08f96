import { childrenOf, nodeAt, type Id, type Page, type SiteDocument } from '@zorvik/core';

/** A page of the tree that is browsed: how deep it is, from 0, and whether there are pages below it. */
export interface PageBranch {
  readonly page: Page;
  readonly depth: number;
  readonly hasPages: boolean;
  readonly isOpen: boolean;
}

/** More pages than this begin folded: nobody scrolls through them all. */
const MOST_UNFOLDED = 500;

/**
 * The pages of a site as a tree, from top to bottom, without what is in a folded branch. `toggled`: what was folded, or
 * unfolded, against how the tree begins. O(pages that are shown).
 */
export function pageBranches(document: SiteDocument, toggled: ReadonlySet<Id>, most: number): PageBranch[] {
  const { pages, site } = document;
  const beginsOpen = pages.nodes.size <= MOST_UNFOLDED;
  const rows: PageBranch[] = [];
  const stack = [{ ids: childrenOf(pages, site.id)[Symbol.iterator](), depth: 0 }];
  while (stack.length > 0 && rows.length < most) {
    const level = stack.at(-1);
    const next = level?.ids.next();
    if (level === undefined || next === undefined || next.done === true) {
      stack.pop();
      continue;
    }
    const page = nodeAt(pages, next.value);
    const children = childrenOf(pages, page.id);
    const isOpen = (beginsOpen || level.depth === 0) !== toggled.has(page.id);
    rows.push({ page, depth: level.depth, hasPages: children.size > 0, isOpen });
    if (isOpen && children.size > 0) stack.push({ ids: children[Symbol.iterator](), depth: level.depth + 1 });
  }
  return rows;
}

/** The titles of the pages above a page, from the top, without the home page. O(depth). */
export function titlesAbove({ pages }: SiteDocument, page: Page): string[] {
  const titles: string[] = [];
  for (let at = pages.nodes.get(page.parent); at !== undefined; at = pages.nodes.get(at.parent))
    if (at.address !== '/') titles.unshift(at.title);
  return titles;
}
