import type { Id } from '@zorvik/core';

/**
 * Acts of the same kind on the same thing that follow one another within this many ms are taken back
 * together.
 */
export const BURST = 2000;

/** Tells which acts are taken back together. */
export interface Bursts {
  /** The group of an act now; null: it stands alone. `kind`: what is done and to what. */
  readonly groupFor: (kind: string | null) => Id | null;
  /** What comes next is another burst. */
  readonly end: () => void;
}

/** `now`: a clock in ms; `mint`: a new group. */
export function bursts(now: () => number, mint: () => Id): Bursts {
  let last: { readonly kind: string; readonly group: Id; readonly at: number } | null = null;
  return {
    groupFor(kind) {
      const at = now();
      const goesOn = last !== null && last.kind === kind && at - last.at < BURST;
      last = kind === null ? null : { kind, group: goesOn && last !== null ? last.group : mint(), at };
      return last?.group ?? null;
    },
    end: () => (last = null),
  };
}
