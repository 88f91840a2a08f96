import { describe, expect, it } from 'vitest';
import { seededRandom } from '../src/base/seededRandom.ts';
import { borderOf, pxOf, sidesOf, unitsOf } from '../src/fit/lengths.ts';
import { breaksAt, roomFor, rowsOf, type Line } from '../src/fit/rows.ts';
import { below } from '../testing/pick.ts';

/** Rows as one would write them down: box by box. */
function plainBreaks({ widths, gap }: Line, room: number): number[] {
  const breaks: number[] = [];
  let used = 0;
  widths.forEach((width, at) => {
    if (at === 0) used = width;
    else if (used + gap + width <= room) used += gap + width;
    else {
      breaks.push(at);
      used = width;
    }
  });
  return breaks;
}

function randomLine(seed: number): Line {
  const random = seededRandom(seed);
  const count = below(random, 41);
  return {
    widths: Array.from({ length: count }, () => 20 + below(random, 300)),
    gap: below(random, 3) === 0 ? 0 : below(random, 40),
  };
}

describe('rows of boxes', () => {
  it('are those of a box put behind the other while it fits, for every room', () => {
    for (let seed = 1; seed <= 60; seed += 1) {
      const line = randomLine(seed);
      const most = roomFor(line) + 50;
      const found = rowsOf(line, 0, most);
      let at = 0;
      for (let room = 0; room <= most; room += 1) {
        while (found[at + 1] !== undefined && (found[at + 1]?.from ?? 0) <= room) at += 1;
        const wanted = plainBreaks(line, room);
        expect(found[at]?.breaks, `seed ${seed}, room ${room}`).toEqual(wanted);
        if (room % 97 === 0) expect(breaksAt(line, room)).toEqual(wanted);
      }
    }
  });

  it('are told once for each change, from the least room to the most', () => {
    const line: Line = { widths: [100, 50, 60], gap: 10 };
    expect(rowsOf(line, 0, 300)).toEqual([
      { from: 0, breaks: [1, 2] },
      { from: 120, breaks: [1] },
      { from: 160, breaks: [2] },
      { from: 230, breaks: [] },
    ]);
    expect(rowsOf(line, 130, 165)).toEqual([
      { from: 130, breaks: [1] },
      { from: 160, breaks: [2] },
    ]);
    expect(rowsOf({ widths: [], gap: 10 }, 0, 300)).toEqual([{ from: 0, breaks: [] }]);
    expect(rowsOf({ widths: [900], gap: 10 }, 0, 300)).toEqual([{ from: 0, breaks: [] }]);
  });

  it('take no longer for more room, but for more changes', () => {
    const line: Line = { widths: Array.from({ length: 300 }, (_, at) => 1000 + at), gap: 64 };
    expect(rowsOf(line, 0, 1e9).length).toBeLessThan(300 * 300);
    expect(rowsOf(line, 1e8, 1e9)).toHaveLength(1);
  });
});

describe('lengths', () => {
  it('are cut to layout units, and borders to whole px', () => {
    expect(['0', '.4rem', '1.25em', '-9.6px'].map((one) => unitsOf(one, 20))).toEqual([0, 409, 1600, -614]);
    expect(['auto', 'none', '=var(--x)', '12'].map((one) => pxOf(one, 16))).toEqual([null, null, null, null]);
    expect(['0', '.3px', '1px', '1.76px', '2.6px'].map((one) => borderOf(one, 16) / 64)).toEqual([
      0, 1, 1, 1, 2,
    ]);
    expect(sidesOf('8px')).toEqual(['8px', '8px']);
    expect(sidesOf('8px 0')).toEqual(['8px', '0']);
  });
});
