import { childrenOf, isWithin, type Id, type SiteDocument, type Spot } from '@zorvik/core';
import type { OutlineRow } from './outlineRows.ts';

/** Where a drop would put what is dragged, and where the line that shows it is drawn. */
export interface DropSpot {
  readonly spot: Spot;
  readonly depth: number;
  /** The line stands above the row with this index; the number of rows puts it below the last. */
  readonly line: number;
}

/**
 * The spot that the pointer means: between two rows (`gap`, an index into `rows`), as deep as it is moved to the side (`depth`,
 * which is brought within what the two rows allow). The dragged branch counts as already taken out.
 */
export function dropSpot(document: SiteDocument, menu: Id, rows: readonly OutlineRow[], dragged: Id, gap: number, depth: number): DropSpot {
  const isDragged = (row: OutlineRow): boolean => isWithin(document.items, row.id, dragged);
  let above = gap - 1;
  while (above >= 0 && isDragged(rows[above] as OutlineRow)) above -= 1;
  let below = gap;
  while (below < rows.length && isDragged(rows[below] as OutlineRow)) below += 1;
  const prev = rows[above];
  const next = rows[below];
  if (prev === undefined) return { spot: { parent: menu, after: null }, depth: 0, line: 0 };
  const deep = Math.max(next?.depth ?? 0, Math.min(depth, prev.depth + 1));
  return { spot: spotAt(document, prev, deep), depth: deep, line: above + 1 };
}

function spotAt(document: SiteDocument, prev: OutlineRow, depth: number): Spot {
  if (depth > prev.depth) return { parent: prev.id, after: prev.isFolded ? childrenOf(document.items, prev.id).last() : null };
  let sibling = prev.item;
  for (let at = prev.depth; at > depth; at -= 1) {
    const outer = document.items.nodes.get(sibling.parent);
    if (outer === undefined) break;
    sibling = outer;
  }
  return { parent: sibling.parent, after: sibling.id };
}
