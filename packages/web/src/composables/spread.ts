import { itemsOf, labelOf, type Id, type SiteDocument, type Spot } from '@zorvik/core';
import { intoRow, pointedSpot, type DropSpot } from './dropSpot.ts';
import { outlineRows, typingPlace, type OutlineRow } from './outlineRows.ts';
import { ROW_HEIGHT } from './rowHeight.ts';
import type { Area } from './useRubberBand.ts';

/**
 * Sizes in px: the least and the most width of a column, how far a level is indented, and what is above the
 * row of the bar's entries.
 */
export const COLUMN = 208;
const WIDEST_COLUMN = 320;
export const INSET = 16;
export const HEAD = 14;

/**
 * The width of each column: they share what the window has, so that labels are not cut while room is left.
 */
export function columnWidth(room: number, count: number): number {
  return Math.max(COLUMN, Math.min(WIDEST_COLUMN, Math.floor(room / Math.max(1, count))));
}
/** The share of an entry of the bar, at both its ends, in which a drop sorts; between them, it nests. */
const BAR_EDGE = 0.3;

/** A branch as it hangs from the bar. */
export interface Column {
  readonly top: Id;
  readonly at: number;
  readonly label: string;
  /** How many items hang from it, folded or not. */
  readonly count: number;
  /** The entry of the bar first, then what hangs from it, each set in from its column. */
  readonly rows: readonly OutlineRow[];
}

/** The columns of a menu in the bar's order. O(items). */
export function spreadColumns(document: SiteDocument, menu: Id, folded: ReadonlySet<Id>): Column[] {
  const columns: (Column & { readonly rows: OutlineRow[] })[] = [];
  for (const row of outlineRows(document, menu, folded)) {
    if (row.depth > 0) {
      columns.at(-1)?.rows.push({ ...row, depth: row.depth - 1 });
      continue;
    }
    columns.push({
      top: row.id,
      at: columns.length,
      label: labelOf(document, row.item),
      count: [...itemsOf(document, row.id)].length,
      rows: [row],
    });
  }
  return columns;
}

/**
 * In which column, and as which of its rows, an item is shown; null: it is inside of a folded branch, or
 * elsewhere.
 */
export function placeIn(
  columns: readonly Column[],
  id: Id,
): { readonly column: Column; readonly at: number } | null {
  for (const column of columns) {
    const at = column.rows.findIndex((row) => row.id === id);
    if (at >= 0) return { column, at };
  }
  return null;
}

/** Above which row of a column a new item at a spot is typed, and how deep; null: not in this column. */
export function addingIn(
  { top, rows }: Column,
  spot: Spot,
): { readonly at: number; readonly depth: number } | null {
  const place = typingPlace(rows.slice(1), top, spot);
  return place === null ? null : { ...place, at: place.at + 1 };
}

export interface SpreadSpot extends DropSpot {
  readonly column: number;
  /** The item that the pointer is over. */
  readonly over: Id | null;
  /** Between two entries of the bar. */
  readonly isInBar: boolean;
}

/**
 * The spot that the pointer means, `left` and `top` in px of the spread; `isOnBar`: it is at the height of
 * the bar's entries.
 */
export function spreadSpot(
  document: SiteDocument,
  menu: Id,
  columns: readonly Column[],
  dragged: readonly Id[],
  {
    left,
    top,
    isOnBar,
    sideways = 0,
    width = COLUMN,
  }: {
    readonly left: number;
    readonly top: number;
    readonly isOnBar: boolean;
    /** By how many levels the pointer has moved sideways since it came to this place. */
    readonly sideways?: number;
    readonly width?: number;
  },
): SpreadSpot {
  const number = Math.max(0, Math.min(Math.floor(left / width), columns.length));
  const column = columns[number];
  const across = left / width - number;
  const isOnEntry = column !== undefined && across >= BAR_EDGE && across <= 1 - BAR_EDGE;
  if (isOnBar && isOnEntry && !dragged.includes(column.top))
    return {
      ...intoRow(document, column.top, dragged),
      depth: 0,
      line: -1,
      column: number,
      over: column.top,
      isInBar: false,
      isInto: true,
    };
  if (column === undefined || isOnBar) {
    const gap = Math.max(0, Math.min(columns.length, Math.round(left / width)));
    const before = columns.slice(0, gap).findLast((one) => !dragged.includes(one.top));
    return {
      spot: { parent: menu, after: before?.top ?? null },
      depth: 0,
      line: 0,
      column: gap,
      over: column?.top ?? null,
      isInBar: true,
    };
  }
  const height = (top - HEAD) / ROW_HEIGHT - 1;
  const rows = column.rows.slice(1);
  const found = pointedSpot(document, { root: column.top, rows, dragged, height, sideways });
  return { ...found, column: number, over: column.rows[Math.floor(height) + 1]?.id ?? null, isInBar: false };
}

/** The items whose rows touch an area, column by column. */
export function rowsIn(columns: readonly Column[], area: Area, width = COLUMN): Id[] {
  return columns.flatMap(({ at: number, rows }) => {
    const x = number * width;
    if (x + width < area.left || x > area.right) return [];
    return rows
      .filter((_, at) => HEAD + (at + 1) * ROW_HEIGHT > area.top && HEAD + at * ROW_HEIGHT < area.bottom)
      .map(({ id }) => id);
  });
}
