import { describe, expect, it } from 'vitest';
import { seedsWithin } from '../testing/seedsWithin.ts';
import { simulateInMemory } from '../testing/simulateInMemory.ts';

/** More by `npm run simulate -- --seeds N`. */
const BUDGET = { least: 250, most: 1000, time: 5_000 };

describe('laws of saving', () => {
  it('windows that work over a bad network agree in the end, nothing acknowledged is lost, and undo takes nothing from others', async () => {
    let tried = 0;
    let kept = 0;
    let refused = 0;
    for (const seed of seedsWithin(BUDGET)) {
      const seen = await simulateInMemory(seed);
      tried += 1;
      kept += seen.kept;
      refused += seen.refused;
    }
    expect(kept, 'enough was saved for this to mean something').toBeGreaterThan(tried * 10);
    expect(refused, 'and enough was refused').toBeGreaterThan(tried);
  }, 300_000);
});
