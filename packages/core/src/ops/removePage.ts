import { refusal, type Refusal } from '../base/refusal.ts';
import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { pagesNamed } from '../model/partProblem.ts';
import { nameOf } from '../model/labelOf.ts';
import { PageShape, type Page } from '../schema/page.ts';
import { topOf, type Branch } from './kit/defineAdd.ts';
import { defineRemove } from './kit/defineRemove.ts';

/**
 * Takes back the addition of a page. People retire pages; only undoing an addition removes one, and not while
 * an item leads to it.
 */
export type RemovePage = Branch<'removePage', 'pages'>;

export const removePage = defineRemove(
  'removePage',
  'addPage',
  'pages',
  PageShape,
  (_, operation) => sentence('pageRemoved', { label: topOf(operation).title }),
  stillUsed,
);

/** Refuses when items, or parts of panels, lead to any of these pages. O(items + parts). */
export function stillUsed(document: SiteDocument, pages: readonly Page[]): Refusal | null {
  const ids = new Set(pages.map((page) => page.id));
  const [first] = pages;
  let count = 0;
  for (const { nodes } of [document.items, document.sharedLinks]) {
    for (const { destination } of nodes.values())
      if (destination.kind === 'page' && ids.has(destination.page)) count += 1;
  }
  for (const { nodes } of [document.items, document.menus]) {
    for (const { follow } of nodes.values())
      if (follow?.of.kind === 'pages' && follow.of.page !== null && ids.has(follow.of.page)) count += 1;
  }
  for (const part of document.parts.nodes.values())
    if (pagesNamed(part).some((id) => ids.has(id))) count += 1;
  return count === 0 || first === undefined
    ? null
    : refusal('stillUsed', { label: nameOf(document, 'pages', first.id), count });
}
