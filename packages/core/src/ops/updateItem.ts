import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { nodeAt } from '../model/forest.ts';
import { labelOf, nameOf } from '../model/labelOf.ts';
import { itemFields, type Destination } from '../schema/item.ts';
import { defineUpdate, type Update } from './kit/defineUpdate.ts';
import { missingPage } from './addItem.ts';

/** Changes fields of an item: its label, its destination, how it opens, the facts agreed on. */
export type UpdateItem = Update<'updateItem', 'items'>;

export const updateItem = defineUpdate(
  'updateItem',
  'items',
  itemFields,
  (document, { id, set }) => {
    const item = document.items.nodes.get(id);
    if (item === undefined) return sentence('itemChanged', { label: id });
    const label = labelOf(document, { ...item, ...set });
    if (set.destination !== undefined) return sentence('itemLeads', { label, target: targetOf(document, set.destination) });
    if (set.label === null) return sentence('itemTitled', { label });
    if (set.label !== undefined) return sentence('itemRenamed', { was: labelOf(document, item), label });
    return sentence('itemChanged', { label });
  },
  missingPage,
);

function targetOf(document: SiteDocument, destination: Destination): string {
  if (destination.kind === 'none') return 'nothing (a heading)';
  if (destination.kind === 'address') return destination.address;
  return document.pages.nodes.has(destination.page) ? `“${nameOf(document, 'pages', nodeAt(document.pages, destination.page).id)}”` : destination.page;
}
