import type { Edit } from './edit.ts';

/**
 * The edits without those that were taken back among them, and without what took them back: an anchor that
 * went and came back is an anchor still. Led through both, it would be lost on the way (the "mirrors" of
 * prosemirror-transform answer the same question).
 */
export function standing<E extends Pick<Edit, 'id' | 'undoes'>>(edits: readonly E[]): E[] {
  const left = new Map(edits.map((edit) => [edit.id, edit]));
  for (const { id, undoes } of edits.toReversed()) {
    if (undoes === null || !left.has(id) || !left.has(undoes)) continue;
    left.delete(id);
    left.delete(undoes);
  }
  return [...left.values()];
}
