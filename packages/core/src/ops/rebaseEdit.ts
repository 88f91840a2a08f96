import type { ForestName } from '../model/document.ts';
import type { Spot } from '../model/forest.ts';
import type { Edit } from './edit.ts';
import { kindOf } from './registry.ts';
import { standing } from './standing.ts';

/** As much of an edit as others are led through. */
export type PastEdit = Pick<Edit, 'id' | 'undoes' | 'operations'>;

/**
 * The same edit, for a document that others have changed since its author saw it: each spot is led through
 * what happened, so that an anchor that has vanished gives way to its nearest surviving predecessor. Fields
 * need no leading: the later one wins.
 */
export function rebaseEdit<E extends Edit>(edit: E, since: readonly PastEdit[]): E {
  const past = standing(since).flatMap(({ operations }) => operations);
  if (past.length === 0) return edit;
  const through = (forest: ForestName, spot: Spot): Spot =>
    past.reduce((at, one) => kindOf(one).shift(forest, at, one), spot);
  return {
    ...edit,
    operations: edit.operations.map((operation) => kindOf(operation).rebase(operation, through)),
  };
}
