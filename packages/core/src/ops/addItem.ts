import { refusal, type Refusal } from '../base/refusal.ts';
import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { labelOf } from '../model/labelOf.ts';
import { ItemShape, type Item } from '../schema/item.ts';
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
    return count > 1 ? sentence('itemsAdded', { count, parent }) : sentence('itemAdded', { label: labelOf(document, topOf(operation)), parent });
  },
  missingPage,
);

/** An item may lead to pages of its own site only. */
export function missingPage(document: SiteDocument, item: Item): Refusal | null {
  const { destination } = item;
  if (destination.kind !== 'page' || document.pages.nodes.has(destination.page)) return null;
  return refusal('wrongPage', { id: destination.page, label: labelOf(document, item) });
}
