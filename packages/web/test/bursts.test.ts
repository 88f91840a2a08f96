import { describe, expect, it } from 'vitest';
import { BURST, bursts } from '../src/stores/copy/bursts.ts';

describe('acts that are taken back together', () => {
  it('are of one kind and follow each other closely; another kind, a pause or an end begins anew', () => {
    let now = 0;
    let made = 0;
    const acts = bursts(
      () => now,
      () => `e${(made += 1)}`,
    );
    expect([acts.groupFor('move a'), acts.groupFor('move a')]).toEqual(['e1', 'e1']);
    now += BURST - 1;
    expect(acts.groupFor('move a'), 'counted from the last one').toBe('e1');
    now += BURST;
    expect(acts.groupFor('move a')).toBe('e2');
    expect(acts.groupFor('move b')).toBe('e3');
    expect([acts.groupFor(null), acts.groupFor('move b')]).toEqual([null, 'e4']);
    acts.end();
    expect(acts.groupFor('move b')).toBe('e5');
  });
});
