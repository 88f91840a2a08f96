import type { ForestName } from '../model/document.ts';
import type { Spot } from '../model/forest.ts';
import type { Edit } from './edit.ts';
import { kindOf } from './registry.ts';

/** As much of an edit as others are led through. */
export type PastEdit = Pick<Edit, 'id' | 'undoes' | 'operations'>;

/**
 * The same edit, for a document that others have changed since its author saw it: each spot is led through what happened, so that
 * an anchor that has vanished gives way to its nearest surviving predecessor. Fields need no leading: the later one wins.
 */
export function rebaseEdit<E extends Edit>(edit: E, since: readonly PastEdit[]): E {
  const past = standing(since).flatMap(({ operations }) => operations);
  if (past.length === 0) return edit;
  const through = (forest: ForestName, spot: Spot): Spot => past.reduce((at, one) => kindOf(one).shift(forest, at, one), spot);
  return { ...edit, operations: edit.operations.map((operation) => kindOf(operation).rebase(operation, through)) };
}

/**
 * The edits without those that were taken back among them, and without what took them back: an anchor that went and came back is an
 * anchor still. Led through both, it would be lost on the way (the "mirrors" of prosemirror-transform answer the same question).
 */
function standing(edits: readonly PastEdit[]): PastEdit[] {
  const left = new Map(edits.map((edit) => [edit.id, edit]));
  for (const { id, undoes } of edits.toReversed()) {
    if (undoes === null || !left.has(id) || !left.has(undoes)) continue;
    left.delete(id);
    left.delete(undoes);
  }
  return [...left.values()];
}
