import { eachRef } from '../refs/refsOf.ts';
import type { Part } from '../schema/part.ts';
import { preorder } from '../walk/preorder.ts';
import type { ResolvedItem, ResolvedMenu, ResolvedPart } from './resolved.ts';

/** The uploaded files that visitors of a menu get, by their hashes. O(items + parts). */
export function filesShown({ items }: Pick<ResolvedMenu, 'items'>): Set<string> {
  const files = new Set<string>();
  for (const { node } of preorder<ResolvedItem>(items, ({ children }) => children)) {
    for (const { node: part } of preorder<ResolvedPart>(node.rows ?? [], ({ parts = [] }) => parts)) {
      // Of what names files, resolving leaves all as it was.
      const { picture } = part as Pick<Part, 'picture'>;
      if (picture !== undefined)
        eachRef('parts', { picture }, (to, value) => to === 'file' && files.add(value));
    }
  }
  return files;
}
