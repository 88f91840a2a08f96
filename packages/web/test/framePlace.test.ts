import { describe, expect, it } from 'vitest';
import { holderAt, placeIn, type Box, type Holder } from '../src/live/framePlace.ts';
import { fromFrame } from '../src/live/frameMessages.ts';

const box = (left: number, top: number, width: number, height: number): Box => ({ left, top, width, height });
/** A zone with three parts of 100 px beside each other, and one that has wrapped below them. */
const zone: Holder = {
  id: 'czone',
  box: box(0, 0, 400, 80),
  isRow: true,
  isRtl: false,
  parts: [
    { id: 'ca00', box: box(0, 0, 100, 40) },
    { id: 'cb00', box: box(120, 0, 100, 40) },
    { id: 'cc00', box: box(240, 0, 100, 40) },
    { id: 'cd00', box: box(0, 40, 100, 40) },
  ],
};
const cell: Holder = {
  id: 'ccell',
  box: box(500, 0, 200, 300),
  isRow: false,
  isRtl: false,
  parts: [
    { id: 'ce00', box: box(500, 0, 200, 50) },
    { id: 'cf00', box: box(500, 60, 200, 50) },
  ],
};

describe('a place between two parts', () => {
  it('is the one on the side of the part that the pointer is on', () => {
    const after = (x: number, y = 20): string | null => placeIn(zone, x, y).after;
    expect([after(10), after(80), after(130), after(200), after(399)]).toEqual([
      null,
      'ca00',
      'ca00',
      'cb00',
      'cc00',
    ]);
    expect(after(10, 60), 'in the line that has wrapped').toBe('cc00');
    expect(after(90, 60)).toBe('cd00');
  });

  it('is mirrored where the page is read from the right', () => {
    const mirrored: Holder = { ...zone, isRtl: true, parts: zone.parts.slice(0, 3).toReversed() };
    expect(placeIn(mirrored, 330, 20).after).toBeNull();
    expect(placeIn(mirrored, 5, 20).after).toBe('ca00');
  });

  it('has its line in the gap, across a column of parts too, and at the edge of what is empty', () => {
    expect(placeIn(zone, 115, 20).line).toMatchObject({ left: 108.5, width: 3, height: 40 });
    const { after, line } = placeIn(cell, 520, 55);
    expect([after, line.left, line.width, line.top]).toEqual(['ce00', 500, 200, 53.5]);
    const empty = placeIn({ ...zone, parts: [] }, 200, 20);
    expect([empty.after, empty.parent, empty.line.height]).toEqual([null, 'czone', 80]);
  });

  it('is in the holder under the pointer, the inner one first, or in one that is near', () => {
    const inner: Holder = { ...cell, id: 'cinner', box: box(520, 20, 50, 50) };
    expect(holderAt([zone, cell, inner], 530, 30)?.id).toBe('cinner');
    expect(holderAt([zone, cell], 420, 20)).toBeNull();
    expect(holderAt([zone, cell], 420, 20, 24)?.id).toBe('czone');
  });
});

describe('what the live page says', () => {
  it('is believed in its form alone', () => {
    expect(fromFrame({ kind: 'part', id: 'c00000000000000a' })).toEqual({
      kind: 'part',
      id: 'c00000000000000a',
    });
    expect(fromFrame({ kind: 'visit', path: '/shop' })).toEqual({ kind: 'visit', path: '/shop' });
    expect(fromFrame({ kind: 'fix', part: 'c00000000000000a', item: null })).toEqual({
      kind: 'fix',
      part: 'c00000000000000a',
      item: null,
    });
    expect(fromFrame({ kind: 'scroll', top: 120 })).toEqual({ kind: 'scroll', top: 120 });
    const path = { kind: 'path', stops: 12, back: 0, small: 1 };
    expect(fromFrame({ ...path, more: '<b>' })).toEqual(path);
    for (const wrong of [
      null,
      { kind: 'scroll', top: -1 },
      { kind: 'scroll', top: '120' },
      { ...path, back: 0.5 },
      { ...path, stops: undefined },
      { kind: 'fix', part: '<b>', item: null },
      { kind: 'fix', part: null },
      'ready',
      { kind: 'nothing' },
      { kind: 'part', id: '<b>' },
      { kind: 'item', id: null },
      { kind: 'move', id: 'c000', parent: 'c001' },
      { kind: 'add', parent: 'c000', after: null, x: '1', y: 2 },
      { kind: 'height', height: -1 },
      { kind: 'visit', path: 'https://elsewhere.example' },
      { kind: 'key', key: 'a' },
      { kind: 'mark', x: Number.NaN, y: 0 },
    ])
      expect(fromFrame(wrong), JSON.stringify(wrong)).toBeNull();
  });
});
