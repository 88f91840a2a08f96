import { describe, expect, it } from 'vitest';
import { seedsWithin } from '@zorvik/core/testing';
import { simulateOnDatabase } from './simulateOnDatabase.ts';

/**
 * Each of these goes through the database with every edit, and through its files with every crash. More by
 * `npm run simulate -- --database N`.
 */
const BUDGET = { least: 3, most: 5, time: 6_000 };

describe('saving on a database', () => {
  it('windows that work over a bad network on a server that is closed and opened again agree in the end', async () => {
    let tried = 0;
    let kept = 0;
    let crashes = 0;
    for (const seed of seedsWithin(BUDGET)) {
      const seen = await simulateOnDatabase(seed);
      tried += 1;
      kept += seen.kept;
      crashes += seen.crashes;
    }
    expect(kept).toBeGreaterThan(tried * 10);
    expect(crashes, 'the server went away now and then').toBeGreaterThan(1);
  }, 300_000);
});
