/**
 * Boxes that stand one behind the other and wrap, as flex containers do (CSS Flexible Box Layout 1, 9.3): all sizes in
 * layout units, of which 64 are a CSS pixel, as browsers count.
 */
export interface Line {
  /** The width of each box, its margins included. */
  readonly widths: readonly number[];
  /** Between two boxes of a row. */
  readonly gap: number;
}

/** From which room on, up to the next one, boxes stand in the same rows. */
export interface RowsBetween {
  /** In layout units. */
  readonly from: number;
  /** Where each row after the first begins, as places of boxes: none where all stand in one row. */
  readonly breaks: readonly number[];
}

/** Where rows begin in so much room, and the room that the longest row of more than one box takes. O(rows log boxes). */
interface Broken {
  readonly breaks: readonly number[];
  /** With less room than this, boxes stand in other rows. */
  readonly least: number;
}

/**
 * The rows of boxes for every room: from the least to the most room, what holds from where on. A box that is alone in a row stays there however little
 * room there is. O(changes * rows * log boxes): it goes from one change to the next, and never over widths.
 */
export function rowsOf(line: Line, least: number, most: number): RowsBetween[] {
  const ends = endsOf(line);
  const found: RowsBetween[] = [];
  for (let room = most; ;) {
    const broken = brokenAt(ends, line.gap, room);
    const from = Math.max(least, broken.least);
    found.push({ from, breaks: broken.breaks });
    if (broken.least <= least) return found.reverse();
    room = broken.least - 1;
  }
}

/** Where rows begin in so much room. O(rows log boxes). */
export function breaksAt(line: Line, room: number): readonly number[] {
  return brokenAt(endsOf(line), line.gap, room).breaks;
}

/** The room that all boxes take in one row. */
export function roomFor({ widths, gap }: Line): number {
  return widths.reduce((sum, width) => sum + width, 0) + gap * Math.max(0, widths.length - 1);
}

/** Where each box ends when all stand in one row, with a gap behind each. */
function endsOf({ widths, gap }: Line): readonly number[] {
  const ends = [0];
  for (const width of widths) ends.push((ends.at(-1) ?? 0) + width + gap);
  return ends;
}

function brokenAt(ends: readonly number[], gap: number, room: number): Broken {
  const count = ends.length - 1;
  const breaks: number[] = [];
  let least = -Infinity;
  for (let first = 0; first < count;) {
    const start = ends[first] ?? 0;
    // The last box whose end, without the gap behind it, is within the room; the first one always is.
    const next = Math.max(first + 1, lastWithin(ends, start + room + gap));
    if (next - first > 1) least = Math.max(least, (ends[next] ?? 0) - start - gap);
    if (next < count) breaks.push(next);
    first = next;
  }
  return { breaks, least };
}

/** The place of the last end that is no greater than a limit. O(log ends). */
function lastWithin(ends: readonly number[], limit: number): number {
  let [low, high] = [0, ends.length - 1];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if ((ends[middle] ?? 0) <= limit) low = middle;
    else high = middle - 1;
  }
  return low;
}
