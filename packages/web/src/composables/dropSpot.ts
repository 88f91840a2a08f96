import { childrenOf, isWithin, type Id, type SiteDocument, type Spot } from '@zorvik/core';
import type { OutlineRow } from './outlineRows.ts';

/** Where a drop would put what is dragged, and where the line that shows it is drawn. */
export interface DropSpot {
  readonly spot: Spot;
  readonly depth: number;
  /** The line stands above the row with this index; the number of rows puts it below the last. */
  readonly line: number;
  /** It is nested in the row with that index, which is marked as a whole. */
  readonly isInto?: true;
}

/** The share of a row, at its top and at its bottom, in which a drop sorts; between them, it nests. */
const EDGE = 0.28;

/** What the pointer is over. */
export interface Pointed {
  readonly root: Id;
  readonly rows: readonly OutlineRow[];
  readonly dragged: readonly Id[];
  /** The height of the pointer, in rows: 2.5 is the middle of the third one. */
  readonly height: number;
  /** By how many levels the pointer has moved sideways since it came to this place. */
  readonly sideways: number;
}

/** Whether a row is dragged itself, or stands in something that is. */
function isTaken(document: SiteDocument, dragged: readonly Id[], id: Id): boolean {
  return dragged.some((one) => isWithin(document.items, id, one));
}

/**
 * The spot that the pointer means: on the middle of a row it nests, near the edges it sorts, as deep as the row there; a
 * move sideways makes it deeper or less deep.
 */
export function pointedSpot(
  document: SiteDocument,
  { root, rows, dragged, height, sideways }: Pointed,
): DropSpot {
  const at = Math.floor(height);
  const share = height - at;
  const row = rows[at];
  if (row !== undefined && share >= EDGE && share <= 1 - EDGE && !isTaken(document, dragged, row.id))
    return { ...intoRow(document, row.id, dragged), depth: row.depth + 1, line: at, isInto: true };
  const gap = Math.max(0, Math.min(rows.length, row === undefined ? at : Math.round(height)));
  const depth = depthAt(rows, gap, row, share, (one) => isTaken(document, dragged, one));
  return dropSpot(document, { root, rows, dragged, gap, depth: depth + sideways });
}

/** How deep something is beside a row: as deep as that; over what is dragged itself, as deep as it was. */
function depthAt(
  rows: readonly OutlineRow[],
  gap: number,
  row: OutlineRow | undefined,
  share: number,
  isDragged: (id: Id) => boolean,
): number {
  if (row !== undefined && isDragged(row.id))
    return rows
      .slice(0, rows.indexOf(row) + 1)
      .reduce((depth, one) => (isDragged(one.id) ? Math.min(depth, one.depth) : Infinity), Infinity);
  return share < 0.5 ? (row?.depth ?? 0) : Math.max(rows[gap - 1]?.depth ?? 0, rows[gap]?.depth ?? 0);
}

/** The end of what stands in an item. */
export function intoRow({ items }: SiteDocument, id: Id, dragged: readonly Id[]): Pick<DropSpot, 'spot'> {
  const after = [...childrenOf(items, id)].findLast((child) => !dragged.includes(child)) ?? null;
  return { spot: { parent: id, after } };
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
  const isDragged = (row: OutlineRow): boolean => isTaken(document, dragged, row.id);
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
