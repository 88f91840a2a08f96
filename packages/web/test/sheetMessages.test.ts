import { describe, expect, it } from 'vitest';
import { fromSheet } from '../src/live/sheetMessages.ts';

const things = new Set(['entry', 'barEntry']);
const states = new Set(['normal', 'hover']);
const row = {
  key: 'barEntry c1',
  things: ['entry', 'barEntry'],
  part: 'c1ab',
  item: null,
  variant: null,
  states: ['normal', 'hover'],
};
const found = (rows: unknown): unknown => fromSheet({ kind: 'found', rows }, things, states);

describe('what the state sheet tells', () => {
  it('is believed in its form', () => {
    expect(fromSheet({ kind: 'ready' }, things, states)).toEqual({ kind: 'ready' });
    expect(found([row])).toEqual({ kind: 'found', rows: [row] });
    expect(found([])).toEqual({ kind: 'found', rows: [] });
  });

  it.each([
    ['no message', null],
    ['another kind', { kind: 'visit' }],
    ['rows that are no list', { kind: 'found', rows: 'all' }],
    ['too many rows', { kind: 'found', rows: Array.from({ length: 501 }, () => row) }],
    ['a thing that nobody knows', { kind: 'found', rows: [{ ...row, things: ['constructor'] }] }],
    ['a state that nobody knows', { kind: 'found', rows: [{ ...row, states: ['normal', 'x'] }] }],
    ['a part that is no id', { kind: 'found', rows: [{ ...row, part: '"><script>' }] }],
    ['a variant that is no key', { kind: 'found', rows: [{ ...row, variant: 'A b' }] }],
    ['a row without things', { kind: 'found', rows: [{ ...row, things: [] }] }],
    ['an endless key', { kind: 'found', rows: [{ ...row, key: 'x'.repeat(200) }] }],
    ['a row that is none', { kind: 'found', rows: [null] }],
  ])('is not believed otherwise: %s', (_, message) => {
    expect(fromSheet(message, things, states)).toBeNull();
  });
});
