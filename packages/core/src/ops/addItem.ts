import type { Id } from '../base/ids.ts';
import { refusal, type Refusal } from '../base/refusal.ts';
import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import type { Faced } from '../model/faceOf.ts';
import type { Follow } from '../schema/follow.ts';
import { labelOf } from '../model/labelOf.ts';
import { ItemShape } from '../schema/item.ts';
import { defineAdd, parentName, topOf, type Branch } from './kit/defineAdd.ts';

/** Adds an item, or a whole branch of items, to a menu. */
export type AddItem = Branch<'addItem', 'items'>;

export const addItem = defineAdd(
  'addItem',
  'removeItem',
  'items',
  ItemShape,
  (document, operation) => {
    const parent = parentName(document, 'items', operation);
    const count = operation.branch.length;
    return count > 1
      ? sentence('itemsAdded', { count, parent })
      : sentence('itemAdded', { label: labelOf(document, topOf(operation)), parent });
  },
  missingTarget,
);

/** An item, or a shared link, may lead to pages of its own site only, and show shared links of it. */
export function missingTarget(
  document: SiteDocument,
  item: Faced & { readonly follow?: Follow },
): Refusal | null {
  const { destination, link } = item;
  const label = labelOf(document, item);
  if (destination.kind === 'page' && !document.pages.nodes.has(destination.page))
    return refusal('wrongPage', { id: destination.page, label });
  if (link !== undefined && !document.sharedLinks.nodes.has(link))
    return refusal('wrongLink', { id: link, label });
  return wrongSource(document, item, label);
}

/** What follows may follow pages and menus of its own site only; a menu that follows itself gets nothing. */
export function wrongSource(
  document: SiteDocument,
  { id, follow }: { readonly id?: Id; readonly follow?: Follow | undefined },
  label: string,
): Refusal | null {
  if (follow === undefined) return null;
  const { of } = follow;
  if (of.kind === 'menu')
    return of.menu === id || document.menus.nodes.has(of.menu) ? null : refusal('wrongMenu', { id: of.menu });
  return of.page === null || document.pages.nodes.has(of.page)
    ? null
    : refusal('wrongPage', { id: of.page, label });
}
