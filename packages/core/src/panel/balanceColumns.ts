/** What stands in a column already, and what comes between two groups: in the unit of the heights. */
export interface ColumnChoices {
  /** Height that each column has before anything is put into it; not there: none. */
  readonly taken?: readonly number[];
  readonly gap?: number;
}

/**
 * Parts a row of groups into columns without changing their order and without parting a group, so that the
 * highest column is as low as it can be, and of all such ways the one whose columns are most alike (least sum
 * of squared heights). Gives how many groups each column has.
 *
 * The linear partition problem by dynamic programming (Skiena, "The Algorithm Design Manual", 8.5), twice:
 * for the lowest height that is possible, and then for the most alike columns that keep to it. O(groups² *
 * columns).
 */
export function balanceColumns(
  heights: readonly number[],
  columns: number,
  { taken = [], gap = 0 }: ColumnChoices = {},
): number[] {
  const total = [0];
  for (const height of heights) total.push((total.at(-1) ?? 0) + height);
  const heightOf = (column: number, from: number, to: number): number => {
    const own = taken[column] ?? 0;
    const gaps = Math.max(0, to - from - (own > 0 ? 0 : 1)) * gap;
    return own + (total[to] ?? 0) - (total[from] ?? 0) + gaps;
  };
  const lowest = partition(heights.length, columns, (before, column, from, to) =>
    Math.max(before, heightOf(column, from, to)),
  );
  // Sums of the same numbers may differ in their last digit by the way they were made.
  const most = lowest.cost * (1 + 1e-9) + 1e-9;
  return partition(heights.length, columns, (before, column, from, to) => {
    const height = heightOf(column, from, to);
    return height > most ? Infinity : before + height * height;
  }).sizes;
}

/**
 * The cheapest way to part `count` things into columns, where `cost` adds one more column to what the ones
 * before it cost.
 */
function partition(
  count: number,
  columns: number,
  cost: (before: number, column: number, from: number, to: number) => number,
): { cost: number; sizes: number[] } {
  let best = Array.from({ length: count + 1 }, (_, to) => (to === 0 ? 0 : Infinity));
  const cuts: number[][] = [];
  for (let column = 0; column < columns; column += 1) {
    const next: number[] = [];
    const cut: number[] = [];
    for (let to = 0; to <= count; to += 1) {
      let [least, at] = [Infinity, to];
      for (let from = to; from >= 0; from -= 1) {
        const before = best[from] ?? Infinity;
        if (before === Infinity) continue;
        const one = cost(before, column, from, to);
        if (one < least) [least, at] = [one, from];
      }
      next.push(least);
      cut.push(at);
    }
    best = next;
    cuts.push(cut);
  }
  const sizes: number[] = [];
  let to = count;
  for (let column = columns - 1; column >= 0; column -= 1) {
    const from = cuts[column]?.[to] ?? 0;
    sizes.unshift(to - from);
    to = from;
  }
  return { cost: best[count] ?? 0, sizes };
}

/**
 * The same where the order may change: each group, the highest first, goes where least stands. Gives the
 * groups of each column, by their places, in the order that they came in. At most 4/3 - 1/(3 * columns) times
 * as high as it could be (Graham, "Bounds on Multiprocessing Timing Anomalies", 1969), gaps and what is taken
 * aside. O(groups * (log groups + columns)).
 */
export function packColumns(
  heights: readonly number[],
  columns: number,
  { taken = [], gap = 0 }: ColumnChoices = {},
): number[][] {
  const packed: number[][] = Array.from({ length: columns }, () => []);
  const filled = packed.map((_, column) => taken[column] ?? 0);
  const byHeight = heights
    .map((height, at) => ({ height, at }))
    .sort((a, b) => b.height - a.height || a.at - b.at);
  for (const { height, at } of byHeight) {
    const column = filled.indexOf(Math.min(...filled));
    const before = filled[column] ?? 0;
    filled[column] = before + height + (before > 0 ? gap : 0);
    packed[column]?.push(at);
  }
  return packed.map((groups) => groups.sort((a, b) => a - b));
}
