import { countsSideways } from '../src/composables/useDropZone.ts';
import { describe, expect, it } from 'vitest';
import { outlined } from '@zorvik/core/testing';
import {
  addingIn,
  COLUMN,
  HEAD,
  placeIn,
  rowsIn,
  spreadColumns,
  spreadSpot,
} from '../src/composables/spread.ts';
import { ROW_HEIGHT } from '../src/composables/rowHeight.ts';

const { document, ids, menu } = outlined('A\n  A1\n    A11\n  A2\nB\nC\n  C1');
const id = (label: string): string => ids.get(label) as string;
const label = (one: string): string => [...ids].find(([, known]) => known === one)?.[0] ?? one;
const columns = spreadColumns(document, menu, new Set());

describe('the spread of a menu', () => {
  it('has a column for each entry of the bar, with all that hangs from it, set in from there', () => {
    expect(
      columns.map(({ label: name, count, rows }) => [
        name,
        count,
        rows.map((row) => `${row.depth} ${label(row.id)}`),
      ]),
    ).toEqual([
      ['A', 3, ['0 A', '0 A1', '1 A11', '0 A2']],
      ['B', 0, ['0 B']],
      ['C', 1, ['0 C', '0 C1']],
    ]);
    const folded = spreadColumns(document, menu, new Set([id('A')]));
    expect([folded[0]?.rows.length, folded[0]?.count], 'folded, it still counts').toEqual([1, 3]);
  });

  it('knows where each item is', () => {
    expect([
      placeIn(columns, id('A2'))?.at,
      placeIn(columns, id('C1'))?.column.at,
      placeIn(columns, 'i000'),
    ]).toEqual([3, 2, null]);
  });

  it('opens the place in which a new item is typed behind what is below its neighbour', () => {
    const [a, b] = columns;
    expect(addingIn(a!, { parent: id('A'), after: id('A1') })).toEqual({ at: 3, depth: 0 });
    expect(addingIn(a!, { parent: id('A1'), after: id('A11') })).toEqual({ at: 3, depth: 1 });
    expect(addingIn(a!, { parent: id('A'), after: null })).toEqual({ at: 1, depth: 0 });
    expect(addingIn(b!, { parent: id('A'), after: id('A1') })).toBeNull();
    expect(
      addingIn(b!, { parent: menu, after: id('B') }),
      'beside an entry of the bar is no place in a column',
    ).toBeNull();
  });

  it('takes the items whose rows an area touches', () => {
    const area = (left: number, top: number, right: number, bottom: number) =>
      rowsIn(columns, { left, top, right, bottom }).map(label);
    expect(area(10, HEAD + ROW_HEIGHT + 2, COLUMN - 2, HEAD + 3 * ROW_HEIGHT - 2)).toEqual(['A1', 'A11']);
    expect(area(10, 0, 3 * COLUMN, HEAD + ROW_HEIGHT - 1)).toEqual(['A', 'B', 'C']);
    expect(area(COLUMN + 10, HEAD + 2 * ROW_HEIGHT, COLUMN + 20, 900)).toEqual([]);
  });
});

describe('a drop in the spread', () => {
  /** `row` counts from 0 below the bar's entry; halves are between two. */
  const drop = (
    dragged: string,
    column: number,
    row: number,
    across: number,
    isOnBar = false,
    sideways = 0,
  ) => {
    const { spot, isInBar } = spreadSpot(document, menu, columns, [id(dragged)], {
      left: column * COLUMN + across,
      top: HEAD + (row + 1) * ROW_HEIGHT,
      isOnBar,
      sideways,
    });
    return {
      into: spot.parent === menu ? 'the bar' : label(spot.parent),
      after: spot.after === null ? null : label(spot.after),
      isInBar,
    };
  };

  it('nests on the middle of a row, wherever across the column, and sorts between two', () => {
    for (const across of [10, 100, 200]) {
      expect(drop('B', 2, 0.5, across)).toEqual({ into: 'C1', after: null, isInBar: false });
      expect(drop('B', 0, 0.5, across)).toEqual({ into: 'A1', after: 'A11', isInBar: false });
      expect(drop('B', 2, 1, across)).toEqual({ into: 'C', after: 'C1', isInBar: false });
      expect(drop('B', 2, 0.9, across)).toEqual({ into: 'C', after: 'C1', isInBar: false });
      expect(drop('B', 0, 0.1, across)).toEqual({ into: 'A', after: null, isInBar: false });
    }
    // Below the entry of the bar whose first child it would be.
    expect(drop('B', 0, 0, 60)).toEqual({ into: 'A', after: null, isInBar: false });
    // A row above one that stands in it: between them is its first place.
    expect(drop('B', 0, 0.9, 60)).toEqual({ into: 'A1', after: null, isInBar: false });
  });

  it('goes deeper or less deep by a move sideways', () => {
    expect(drop('B', 2, 1, 60, false, 1)).toEqual({ into: 'C1', after: null, isInBar: false });
    expect(drop('B', 2, 1, 60, false, 9), 'no deeper than in the row above').toMatchObject({ into: 'C1' });
    expect(drop('B', 2, 1, 60, false, -9), 'no less deep than the column').toMatchObject({ into: 'C' });
  });

  it('nests on the middle of an entry of the bar, and sorts near its ends', () => {
    expect(drop('C', 0, -0.5, COLUMN / 2, true)).toEqual({
      into: 'A',
      after: expect.anything(),
      isInBar: false,
    });
    expect(drop('A', 0, -0.5, COLUMN / 2, true), 'not in itself').toMatchObject({ into: 'the bar' });
  });

  it('stays as deep as it was over what is dragged itself', () => {
    for (const row of [0.2, 0.5, 0.8, 1.2, 1.5, 1.8])
      expect(drop('A1', 0, row, 60), String(row)).toMatchObject({ into: 'A' });
  });

  it('goes between two entries on the bar, or right of all columns', () => {
    expect(drop('C', 0, 0, 30, true)).toEqual({ into: 'the bar', after: null, isInBar: true });
    expect(drop('C', 1, 0, 10, true)).toEqual({ into: 'the bar', after: 'A', isInBar: true });
    expect(drop('A', 3, 2, 50)).toEqual({ into: 'the bar', after: 'C', isInBar: true });
    expect(drop('C', 3, 2, 50), 'behind the one before it, when it is the last itself').toEqual({
      into: 'the bar',
      after: 'B',
      isInBar: true,
    });
  });

  it('never goes into the dragged branch', () => {
    for (let row = 0; row < 6; row += 1)
      for (const across of [10, 60, 190])
        expect(['A1', 'A11']).not.toContain(drop('A1', 0, row, across).into);
  });
});

describe('a move sideways', () => {
  it('counts from where the pointer came to rest between two rows', () => {
    const levels = countsSideways();
    // On its way across a column.
    expect([levels('a', 0, 0), levels('a', 60, 16), levels('a', 120, 32)]).toEqual([0, 0, 0]);
    // It rests, and moves on.
    expect([
      levels('a', 130, 400),
      levels('a', 141, 416),
      levels('a', 165, 432),
      levels('a', 80, 900),
    ]).toEqual([0, 1, 2, -2]);
    // Another place begins anew; so does one that it comes back to.
    expect([levels('b', 80, 916), levels('a', 130, 932), levels(null, 130, 948)]).toEqual([0, 0, 0]);
  });
});
