import { sentence } from '../base/sentences.ts';
import { labelOf } from '../model/labelOf.ts';
import { ItemShape } from '../schema/item.ts';
import { topOf, type Branch } from './kit/defineAdd.ts';
import { defineRemove } from './kit/defineRemove.ts';

/** Removes an item with all below it. */
export type RemoveItem = Branch<'removeItem', 'items'>;

export const removeItem = defineRemove('removeItem', 'addItem', 'items', ItemShape, (document, operation) => {
  const label = labelOf(document, topOf(operation));
  const count = operation.branch.length - 1;
  return count > 0 ? sentence('itemsRemoved', { label, count }) : sentence('itemRemoved', { label });
});
