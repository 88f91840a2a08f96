import { describe, expect, it } from 'vitest';
import { simulateOnDatabase } from './simulateOnDatabase.ts';

/** Each of these goes through the database with every edit, and through its files with every crash. */
const SEEDS = 5;

describe('saving on a database', () => {
  it(`${SEEDS} times windows work over a bad network on a server that is closed and opened again: all agree in the end`, async () => {
    let kept = 0;
    let crashes = 0;
    for (let seed = 1; seed <= SEEDS; seed += 1) {
      const seen = await simulateOnDatabase(seed);
      kept += seen.kept;
      crashes += seen.crashes;
    }
    expect(kept).toBeGreaterThan(SEEDS * 10);
    expect(crashes, 'the server went away now and then').toBeGreaterThan(2);
  }, 300_000);
});
