import { sentence } from '../base/sentences.ts';
import { nameOf } from '../model/labelOf.ts';
import { defineMove, type Move } from './kit/defineMove.ts';

/** Puts a shared link elsewhere in their order. */
export type MoveSharedLink = Move<'moveSharedLink'>;

export const moveSharedLink = defineMove('moveSharedLink', 'sharedLinks', (document, { id }) =>
  sentence('linkMoved', { label: nameOf(document, 'sharedLinks', id) }),
);
