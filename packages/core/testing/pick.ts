import type { RandomBits } from '../src/base/ids.ts';

/** A whole number from 0 up to, not including, `end`. */
export function below(random: RandomBits, end: number): number {
  return Math.floor((random() / 2 ** 32) * end);
}

/** Any one of them; undefined of none. */
export function pick<T>(random: RandomBits, from: readonly T[]): T | undefined {
  return from[below(random, from.length)];
}
