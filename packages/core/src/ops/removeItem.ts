import { refusal, type Refusal } from '../base/refusal.ts';
import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf } from '../model/forest.ts';
import { labelOf } from '../model/labelOf.ts';
import { ItemShape, type Item } from '../schema/item.ts';
import { topOf, type Branch } from './kit/defineAdd.ts';
import { defineRemove } from './kit/defineRemove.ts';

/** Removes an item with all below it. An edit takes the parts of their panels out first. */
export type RemoveItem = Branch<'removeItem', 'items'>;

export const removeItem = defineRemove(
  'removeItem',
  'addItem',
  'items',
  ItemShape,
  (document, operation) => {
    const label = labelOf(document, topOf(operation));
    const count = operation.branch.length - 1;
    return count > 0 ? sentence('itemsRemoved', { label, count }) : sentence('itemRemoved', { label });
  },
  holdsPanel,
);

function holdsPanel(document: SiteDocument, branch: readonly Item[]): Refusal | null {
  const composed = branch.find(({ id }) => childrenOf(document.parts, id).size > 0);
  return composed === undefined ? null : refusal('holdsPanel', { label: labelOf(document, composed) });
}
