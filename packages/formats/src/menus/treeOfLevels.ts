import type { Sketch } from '@zorvik/core';

/** An entry of an outline: how far it is set in, in any unit that grows with depth. */
export interface Levelled {
  readonly level: number;
  readonly sketch: Omit<Sketch, 'children'>;
}

/** The tree of an outline: each entry stands in the nearest one before it that is set in less. O(entries). */
export function treeOfLevels(entries: readonly Levelled[]): Sketch[] {
  const top: Sketch[] = [];
  const open: { level: number; children: Sketch[] }[] = [{ level: -1, children: top }];
  for (const { level, sketch } of entries) {
    while (open.length > 1 && (open.at(-1)?.level ?? -1) >= level) open.pop();
    const children: Sketch[] = [];
    open.at(-1)?.children.push({ ...sketch, children });
    open.push({ level, children });
  }
  return top;
}

/**
 * The entries of a tree in preorder, each with its depth from 0. Explicit stack: depth cannot overflow.
 * O(entries).
 */
export function* levelsOf(
  sketches: readonly Sketch[],
): Generator<{ readonly depth: number; readonly sketch: Sketch }> {
  const stack = sketches.toReversed().map((sketch) => ({ depth: 0, sketch }));
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    yield next;
    for (const child of next.sketch.children.toReversed())
      stack.push({ depth: next.depth + 1, sketch: child });
  }
}
