import { eachRef } from '../refs/refsOf.ts';
import type { Part } from '../schema/part.ts';
import { notesFiles } from '../schema/ref.ts';
import { preorder } from '../walk/preorder.ts';
import type { ResolvedItem, ResolvedMenu, ResolvedPart } from './resolved.ts';

/** The uploaded files that visitors of a menu get, by their hashes. O(items + parts). */
export function filesShown({ items }: Pick<ResolvedMenu, 'items'>): Set<string> {
  const files = new Set<string>();
  const note = notesFiles(files);
  for (const { node } of preorder<ResolvedItem>(items, ({ children }) => children)) {
    for (const { node: part } of preorder<ResolvedPart>(node.rows ?? [], ({ parts = [] }) => parts))
      // What shows files is delivered as it is stored; only links are resolved, and those are not asked for.
      eachRef('parts', part as Partial<Part>, note, ['source']);
  }
  return files;
}
