import { sentence } from '../base/sentences.ts';
import { nameOf } from '../model/labelOf.ts';
import { defineMove, isReordering, targetName, type Move } from './kit/defineMove.ts';

/**
 * Puts a page, with all below it, under another page or elsewhere among its siblings. Its address stays: the
 * site decides that.
 */
export type MovePage = Move<'movePage'>;

export const movePage = defineMove('movePage', 'pages', (document, operation) =>
  sentence(isReordering(operation) ? 'pageReordered' : 'pageMoved', {
    label: nameOf(document, 'pages', operation.id),
    parent: targetName(document, 'pages', operation),
  }),
);
