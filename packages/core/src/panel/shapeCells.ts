import { GRID_COLUMNS } from '../schema/part.ts';

/**
 * The spans of a row's cells once the edge between a cell and what is behind it is put elsewhere: the next
 * cell gives way, or takes what was given up; the last one takes what is free of the twelve columns, or
 * leaves it free. Each cell keeps at least one column. The same array when nothing changes.
 */
export function shapeCells(spans: readonly number[], at: number, wanted: number): readonly number[] {
  const span = spans[at] ?? 0;
  const next = spans[at + 1];
  const room = next === undefined ? GRID_COLUMNS - total(spans) : next - 1;
  const made = Math.max(1, Math.min(wanted, span + Math.max(0, room)));
  if (made === span) return spans;
  return spans.map((one, place) => (place === at ? made : place === at + 1 ? one + span - made : one));
}

/** Columns of a row that no cell takes. */
export function freeColumns(spans: readonly number[]): number {
  return Math.max(0, GRID_COLUMNS - total(spans));
}

/**
 * The spans with one more cell behind `at`: it takes what is free, else half of a cell that can give way,
 * that one first; null: all have one column.
 */
export function spansWithCell(
  spans: readonly number[],
  at: number,
): { readonly spans: readonly number[]; readonly own: number } | null {
  const free = freeColumns(spans);
  if (free > 0) return { spans, own: free };
  const widest = spans.indexOf(Math.max(...spans));
  const giver = (spans[at] ?? 0) > 1 ? at : widest;
  const own = Math.floor((spans[giver] ?? 0) / 2);
  return own < 1 ? null : { spans: spans.map((span, place) => (place === giver ? span - own : span)), own };
}

/** The spans without a cell: what it took goes to the one before it, or to the one behind. */
export function spansWithout(spans: readonly number[], at: number): readonly number[] {
  const heir = at > 0 ? at - 1 : 1;
  return spans
    .map((span, place) => (place === heir ? span + (spans[at] ?? 0) : span))
    .filter((_, place) => place !== at);
}

function total(spans: readonly number[]): number {
  return spans.reduce((sum, span) => sum + span, 0);
}
