import { eachRef } from '../refs/refsOf.ts';
import type { Part } from '../schema/part.ts';
import { notesFiles } from '../schema/ref.ts';
import { preorder } from '../walk/preorder.ts';
import type { ResolvedItem, ResolvedMenu, ResolvedPart } from './resolved.ts';

/** The uploaded files that visitors of a menu get, by their hashes. O(items + parts). */
export function filesShown({ items }: Pick<ResolvedMenu, 'items'>): Set<string> {
  const files = new Set<string>();
  for (const { node } of preorder<ResolvedItem>(items, ({ children }) => children))
    for (const file of filesOfParts(
      [...preorder<ResolvedPart>(node.rows ?? [], ({ parts = [] }) => parts)].map((one) => one.node),
    ))
      files.add(file);
  return files;
}

/** The uploaded files that these parts themselves show, by their hashes. */
export function filesOfParts(parts: readonly ResolvedPart[]): Set<string> {
  const files = new Set<string>();
  const note = notesFiles(files);
  // What shows files is delivered as it is stored; only links are resolved, and those are not asked for.
  for (const part of parts) eachRef('parts', part as Partial<Part>, note, ['source']);
  return files;
}
