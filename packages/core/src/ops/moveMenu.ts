import { sentence } from '../base/sentences.ts';
import { nameOf } from '../model/labelOf.ts';
import { defineMove, type Move } from './kit/defineMove.ts';

/** Puts a menu elsewhere in the order of the site's menus. */
export type MoveMenu = Move<'moveMenu'>;

export const moveMenu = defineMove('moveMenu', 'menus', (document, { id }) =>
  sentence('menuMoved', { label: nameOf(document, 'menus', id) }),
);
