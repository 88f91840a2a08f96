import { childrenOf, isWithin, type Id, type SiteDocument, type Spot } from '@zorvik/core';
import type { OutlineRow } from './outlineRows.ts';

/** Where a drop would put what is dragged, and where the line that shows it is drawn. */
export interface DropSpot {
  readonly spot: Spot;
  readonly depth: number;
  /** The line stands above the row with this index; the number of rows puts it below the last. */
  readonly line: number;
}

export interface ToDrop {
  /** What the rows stand in: a menu, or the branch of a bar's entry. */
  readonly root: Id;
  readonly rows: readonly OutlineRow[];
  /** Items that are dragged; none when something new is. They count as already taken out. */
  readonly dragged: readonly Id[];
  /** Between which rows the pointer is: an index into `rows`. */
  readonly gap: number;
  /** How deep the pointer means it; it is brought within what the two rows allow. */
  readonly depth: number;
}

/** The spot that the pointer means. Depths count from the least that rows have. */
export function dropSpot(document: SiteDocument, { root, rows, dragged, gap, depth }: ToDrop): DropSpot {
  const isDragged = (row: OutlineRow): boolean => dragged.some((id) => isWithin(document.items, row.id, id));
  let above = gap - 1;
  while (above >= 0 && isDragged(rows[above] as OutlineRow)) above -= 1;
  let below = gap;
  while (below < rows.length && isDragged(rows[below] as OutlineRow)) below += 1;
  const prev = rows[above];
  const next = rows[below];
  if (prev === undefined) return { spot: { parent: root, after: null }, depth: 0, line: 0 };
  const deep = Math.max(next?.depth ?? 0, Math.min(depth, prev.depth + 1), 0);
  return { spot: spotAt(document, prev, deep), depth: deep, line: above + 1 };
}

function spotAt(document: SiteDocument, prev: OutlineRow, depth: number): Spot {
  if (depth > prev.depth)
    return { parent: prev.id, after: prev.isFolded ? childrenOf(document.items, prev.id).last() : null };
  let sibling = prev.item;
  for (let at = prev.depth; at > depth; at -= 1) {
    const outer = document.items.nodes.get(sibling.parent);
    if (outer === undefined) break;
    sibling = outer;
  }
  return { parent: sibling.parent, after: sibling.id };
}
