import { refusal, type Refusal } from '../base/refusal.ts';
import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { nameOf } from '../model/labelOf.ts';
import { usesOf } from '../model/usesOf.ts';
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

/** Refuses when anything on the site links to one of these pages, or takes its content from there. */
export function stillUsed(document: SiteDocument, pages: readonly Page[]): Refusal | null {
  const [first] = pages;
  if (first === undefined) return null;
  const uses = usesOf(document, 'page', new Set(pages.map(({ id }) => id)));
  const count = new Set(uses.map(({ id }) => id)).size;
  return count === 0 ? null : refusal('stillUsed', { label: nameOf(document, 'pages', first.id), count });
}
