import type { Id } from '@zorvik/core';

/** A box on the page, in px. */
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** A zone or a cell of the frame, with what stands in it, in its order. */
export interface Holder {
  readonly id: Id;
  readonly box: Box;
  /** Its parts stand one beside the other; else one below the other. */
  readonly isRow: boolean;
  readonly isRtl: boolean;
  readonly parts: readonly { readonly id: Id; readonly box: Box }[];
}

/** A place between two parts: behind `after` in `parent`, and the line that shows it. */
export interface FramePlace {
  readonly parent: Id;
  readonly after: Id | null;
  readonly line: Box;
}

const THICK = 3;

/** The place in a holder that is nearest to the pointer. O(parts). */
export function placeIn({ id, box, isRow, isRtl, parts }: Holder, x: number, y: number): FramePlace {
  const isBefore = (one: Box): boolean => {
    if (!isRow) return y < one.top + one.height / 2;
    // Where parts wrap, only those of the same line are beside the pointer.
    if (y < one.top) return true;
    if (y > one.top + one.height) return false;
    const middle = one.left + one.width / 2;
    return isRtl ? x > middle : x < middle;
  };
  const at = parts.findIndex((part) => isBefore(part.box));
  const next = at < 0 ? undefined : parts[at];
  const last = at < 0 ? parts.at(-1) : parts[at - 1];
  return { parent: id, after: last?.id ?? null, line: lineAt({ box, isRow, isRtl }, last?.box, next?.box) };
}

function lineAt(
  { box, isRow, isRtl }: Pick<Holder, 'box' | 'isRow' | 'isRtl'>,
  last: Box | undefined,
  next: Box | undefined,
): Box {
  if (!isRow) {
    const above = last === undefined ? (next?.top ?? box.top) - 6 : last.top + last.height;
    const below = next?.top ?? above + 6;
    return { left: box.left, top: (above + below) / 2 - THICK / 2, width: box.width, height: THICK };
  }
  const beside = last ?? next ?? box;
  const end = (one: Box): number => (isRtl ? one.left : one.left + one.width);
  const start = (one: Box): number => (isRtl ? one.left + one.width : one.left);
  const gap = isRtl ? -6 : 6;
  const isSameLine = last !== undefined && next !== undefined && next.top < last.top + last.height;
  const before = last === undefined ? (next === undefined ? start(box) : start(next) - gap) : end(last);
  const behind =
    isSameLine || last === undefined ? (next === undefined ? before + gap : start(next)) : before + gap;
  return {
    left: (before + behind) / 2 - THICK / 2,
    top: beside.top,
    width: THICK,
    height: Math.max(24, beside.height),
  };
}

/** The holder under the pointer; else the nearest one within `reach` px. O(holders). */
export function holderAt(holders: readonly Holder[], x: number, y: number, reach = 0): Holder | null {
  let found: Holder | null = null;
  let nearest = reach;
  for (const holder of holders) {
    const { left, top, width, height } = holder.box;
    const distance = Math.hypot(
      Math.max(left - x, 0, x - left - width),
      Math.max(top - y, 0, y - top - height),
    );
    // Of several, the inner one comes later.
    if (distance <= nearest) [found, nearest] = [holder, distance];
  }
  return found;
}
