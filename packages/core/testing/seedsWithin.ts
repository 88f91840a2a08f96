/** How many seeds a law tries. */
export interface SeedBudget {
  /** At least this many, however long they take: without them the law would mean little. */
  readonly least: number;
  /** At most this many; `npm run simulate` tries more. */
  readonly most: number;
  /** After this time, in ms, no further seed is begun. */
  readonly time: number;
}

/** Seeds from 1 on, as many as the budget allows: a slow machine tries fewer and does not run out of time. */
export function* seedsWithin({ least, most, time }: SeedBudget): Generator<number> {
  const end = performance.now() + time;
  for (let seed = 1; seed <= most && (seed <= least || performance.now() < end); seed += 1) yield seed;
}
