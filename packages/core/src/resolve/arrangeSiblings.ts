import type { Id } from '../base/ids.ts';
import type { Pin } from '../schema/follow.ts';

/** A child that is followed and stands where the rule puts it. */
export interface Followed {
  readonly id: Id;
  /** The page, or the item of another menu, that it stands for. */
  readonly of: Id;
}

/** A child that somebody put in a place: an item of one's own, or a followed one that is pinned. */
export interface Placed {
  readonly id: Id;
  /** Null: behind all others. */
  readonly pin: Pin | null;
}

/**
 * The order of siblings of which some are followed. Those that are placed stand behind their anchors, several
 * of them in the order given; where the anchor is gone, and where there is none, behind all. O(n).
 */
export function arrangeSiblings(followed: readonly Followed[], placed: readonly Placed[]): Id[] {
  const anchors = new Set<Id | null>([null, ...followed.map(({ of }) => of)]);
  const behind = new Map<Id | null, Id[]>();
  const last: Id[] = [];
  const lost: Id[] = [];
  for (const { id, pin } of placed) {
    if (pin === null) last.push(id);
    else if (!anchors.has(pin.after)) lost.push(id);
    else behind.set(pin.after, [...(behind.get(pin.after) ?? []), id]);
  }
  return [
    ...(behind.get(null) ?? []),
    ...followed.flatMap(({ id, of }) => [id, ...(behind.get(of) ?? [])]),
    ...lost,
    ...last,
  ];
}
