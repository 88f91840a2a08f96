import { sentence } from '../base/sentences.ts';
import { nameOf } from '../model/labelOf.ts';
import { defineMove, isReordering, targetName, type Move } from './kit/defineMove.ts';

/** Puts an item, with all below it, behind another sibling, under another item, or into another menu. */
export type MoveItem = Move<'moveItem'>;

export const moveItem = defineMove('moveItem', 'items', (document, operation) =>
  sentence(isReordering(operation) ? 'itemReordered' : 'itemMoved', {
    label: nameOf(document, 'items', operation.id),
    parent: targetName(document, 'items', operation),
  }),
);
