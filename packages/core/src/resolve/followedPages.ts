import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { isEqual } from '../base/isEqual.ts';
import { childrenOf, nodeAt, type Forest } from '../model/forest.ts';
import type { Follow } from '../schema/follow.ts';
import type { Page } from '../schema/page.ts';
import { preorder } from '../walk/preorder.ts';

/** How two titles are ordered: the platform knows the alphabet of a language, core does not. */
export type CompareTitles = (a: string, b: string) => number;

/**
 * The pages that a rule takes of those below a page, in its order and without its limit: the next level, or
 * all levels of a list.
 */
export function followedPages(
  document: SiteDocument,
  rule: Follow,
  below: Id,
  compareTitles: CompareTitles,
): Page[] {
  const isTaken = ({ kind, state, categories = [] }: Page): boolean =>
    (state === 'live' || (state === 'draft' && rule.drafts === true)) &&
    (rule.kinds === undefined || rule.kinds.includes(kind)) &&
    (rule.categories === undefined || rule.categories.some((one) => categories.includes(one)));
  const pages: Page[] = [];
  for (const id of candidates(document, rule, below)) {
    const page = nodeAt(document.pages, id);
    if (isTaken(page)) pages.push(page);
  }
  const compare = comparers[rule.order];
  // A stable sort: what is alike stays in the order of the site.
  return compare === null ? pages : pages.sort((a, b) => compare(a, b, compareTitles));
}

const comparers: Readonly<
  Record<Follow['order'], ((a: Page, b: Page, compareTitles: CompareTitles) => number) | null>
> = {
  site: null,
  title: (a, b, compareTitles) => compareTitles(a.title, b.title),
  visits: (a, b) => (b.visits ?? 0) - (a.visits ?? 0),
  // Days in ISO 8601 are in order as text; without one, a page counts as older than all.
  date: ({ date: a = '' }, { date: b = '' }) => (a < b ? 1 : a > b ? -1 : 0),
};

/**
 * Whether rules with these orders take the same pages in the same order from both. What changes most, and is
 * typed letter by letter, is titles, which matter only to a rule from A to Z. O(changes * log32 n).
 */
export function isSameToFollow(
  was: Forest<Page>,
  now: Forest<Page>,
  orders: ReadonlySet<Follow['order']>,
): boolean {
  if (orders.size === 0) return true;
  if (was.children !== now.children && !now.children.differing(was.children).next().done) return false;
  for (const [id, page] of now.nodes.differing(was.nodes)) {
    const before = was.nodes.get(id);
    if (page === undefined || before === undefined) return false;
    if (
      before.state !== page.state ||
      before.kind !== page.kind ||
      !isEqual(before.categories, page.categories)
    )
      return false;
    if ([...orders].some((order) => !isSameInOrder[order](before, page))) return false;
  }
  return true;
}

const isSameInOrder: Readonly<Record<Follow['order'], (a: Page, b: Page) => boolean>> = {
  site: () => true,
  title: (a, b) => a.title === b.title,
  visits: (a, b) => a.visits === b.visits,
  date: (a, b) => a.date === b.date,
};

function* candidates({ pages }: SiteDocument, { flat, depth }: Follow, below: Id): Generator<Id> {
  const children = childrenOf(pages, below);
  if (flat !== true) return yield* children;
  // What is gone hides what stands below it, as it does in a tree.
  const isThere = (id: Id): boolean => nodeAt(pages, id).state !== 'gone';
  for (const { node, depth: level } of preorder<Id>(children, (id) =>
    isThere(id) ? childrenOf(pages, id) : [],
  ))
    if (level < depth) yield node;
}
