import { describe, expect, it } from 'vitest';
import { simulateInMemory } from '../testing/simulateInMemory.ts';

/** More by `npm run simulate -- --seeds N`. */
const SEEDS = 1000;

describe('laws of saving', () => {
  it(`${SEEDS} times windows work over a bad network: in the end all agree, nothing acknowledged is lost, undo takes nothing from others`, async () => {
    let kept = 0;
    let refused = 0;
    for (let seed = 1; seed <= SEEDS; seed += 1) {
      const seen = await simulateInMemory(seed);
      kept += seen.kept;
      refused += seen.refused;
    }
    expect(kept, 'enough was kept for this to mean something').toBeGreaterThan(SEEDS * 10);
    expect(refused, 'and enough refused').toBeGreaterThan(SEEDS);
  }, 300_000);
});
