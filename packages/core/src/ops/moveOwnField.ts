import { sentence } from '../base/sentences.ts';
import { nameOf } from '../model/labelOf.ts';
import { defineMove, type Move } from './kit/defineMove.ts';

/** Puts a field of the site's own elsewhere in their order. */
export type MoveOwnField = Move<'moveOwnField'>;

export const moveOwnField = defineMove('moveOwnField', 'ownFields', (document, { id }) =>
  sentence('fieldMoved', { label: nameOf(document, 'ownFields', id) }),
);
