import { childrenOf, nodeAt, type Id, type Item, type SiteDocument, type Spot } from '@zorvik/core';

/** One row of the outline: an item that is not inside of a folded branch. */
export interface OutlineRow {
  readonly id: Id;
  readonly item: Item;
  /** 0 on the top level. */
  readonly depth: number;
  readonly childCount: number;
  readonly isFolded: boolean;
  /** Its place among its siblings, from 1, and how many they are. */
  readonly place: number;
  readonly siblings: number;
}

/** The rows of a menu from top to bottom. O(visible items). */
export function outlineRows(document: SiteDocument, menu: Id, folded: ReadonlySet<Id>): OutlineRow[] {
  const rows: OutlineRow[] = [];
  const stack: {
    readonly id: Id;
    readonly depth: number;
    readonly place: number;
    readonly siblings: number;
  }[] = [];
  const push = (parent: Id, depth: number): void => {
    const children = [...childrenOf(document.items, parent)];
    for (let at = children.length - 1; at >= 0; at -= 1)
      stack.push({ id: children[at] as Id, depth, place: at + 1, siblings: children.length });
  };
  push(menu, 0);
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    const childCount = childrenOf(document.items, next.id).size;
    const isFolded = childCount > 0 && folded.has(next.id);
    rows.push({ ...next, item: nodeAt(document.items, next.id), childCount, isFolded });
    if (childCount > 0 && !isFolded) push(next.id, next.depth + 1);
  }
  return rows;
}

/**
 * Above which of the rows below `root` a new item at a spot is typed, and how deep; null: that is not among
 * them.
 */
export function typingPlace(
  rows: readonly OutlineRow[],
  root: Id,
  { parent, after }: Spot,
): { readonly at: number; readonly depth: number } | null {
  if (after === null && parent === root) return { at: 0, depth: 0 };
  const at = rows.findIndex(({ id }) => id === (after ?? parent));
  const row = rows[at];
  if (row === undefined) return null;
  if (after === null) return { at: at + 1, depth: row.depth + 1 };
  // Behind all that is below the neighbour.
  let end = at + 1;
  while ((rows[end]?.depth ?? -1) > row.depth) end += 1;
  return { at: end, depth: row.depth };
}
