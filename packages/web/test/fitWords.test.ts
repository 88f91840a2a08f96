import { describe, expect, it } from 'vitest';
import type { FitProblem, LaneState } from '@zorvik/core';
import { outlined } from '@zorvik/core/testing';
import { suggestionWords } from '../src/composables/suggestionWords.ts';
import { fromContact } from '../src/live/contactMessages.ts';
import { asForced, asStill } from '../src/live/visitorChecks.ts';
import { problemWords, rangeWords, stateWords, tallWords, toneOf } from '../src/stores/laneWords.ts';

const rows = (count: number, more: object = {}): LaneState =>
  ({ is: 'rows', rows: count, firsts: [], ...more }) as LaneState;
const list = (more: object = {}): LaneState =>
  ({ is: 'list', place: 'usual', broken: [], wanted: 100, ...more }) as LaneState;
const panel = (more: object = {}): LaneState =>
  ({ is: 'panel', form: 'grid', columns: 3, place: 'usual', ...more }) as LaneState;

describe('what something is at some widths', () => {
  it.each([
    [rows(1), 'one row', 'fine'],
    [rows(3), '3 rows', 'look'],
    [rows(1, { isApart: true }), 'a separate row', 'look'],
    [rows(1, { does: { is: 'scrolls' } }), 'scrolls', 'does'],
    [rows(1, { does: { is: 'shrunk', step: 1, of: 4 } }), 'smaller (1 of 4)', 'does'],
    [rows(2, { does: { is: 'shrunk', step: 4, of: 4 } }), 'smallest, still 2 rows', 'look'],
    [rows(1, { does: { is: 'folded', shown: 3, of: 6 } }), '3 of 6, then “More”', 'does'],
    [list(), 'as wide as its labels', 'fine'],
    [list({ place: 'flipped' }), 'shifted', 'does'],
    [list({ broken: ['i1'] }), '1 label on two lines', 'look'],
    [list({ place: 'beyond', broken: ['i1', 'i2'] }), 'beyond the screen, 2 labels on two lines', 'broken'],
    [panel(), '3 columns', 'fine'],
    [panel({ form: 'two', columns: 2, place: 'narrowed' }), 'two per row, narrowed', 'does'],
    [panel({ form: 'stacked', columns: null }), 'stacked', 'does'],
    [panel({ columns: null }), 'as composed', 'fine'],
    [{ is: 'columns', columns: 1 }, '1 column', 'fine'],
    [{ is: 'inDrawer' }, 'in the drawer', 'plain'],
    [{ is: 'takesOver' }, 'takes over', 'fine'],
  ] as const)('is said in words, and never by colour alone: %j', (state, words, tone) => {
    expect([stateWords(state as LaneState), toneOf(state as LaneState)]).toEqual([words, tone]);
  });

  it('has its widths in words', () => {
    const span = { least: 320, most: 1920 };
    const of = (from: number, to: number): string => rangeWords({ from, to }, span);
    expect([of(320, 1920), of(700, 700), of(320, 767), of(768, 1920), of(768, 831)]).toEqual([
      'at every width',
      'at 700 px',
      'up to 767 px',
      'from 768 px on',
      'from 768 to 831 px',
    ]);
  });

  it('is told by what is worst about it', () => {
    const worst = (...states: LaneState[]): string => problemWords({ states } as unknown as FitProblem);
    expect(worst(rows(2), rows(3))).toBe('2 to 3 rows');
    expect(worst(rows(2))).toBe('2 rows');
    expect(worst(rows(2, { isApart: true }), rows(1, { isApart: true }))).toBe('1 to 2 separate rows');
    expect(worst(rows(1, { isApart: true }))).toBe('a separate row');
    expect(worst(list({ broken: ['i1'] }), list({ place: 'beyond' }))).toBe('beyond the screen');
  });
});

describe('a suggestion', () => {
  const { document, ids } = outlined('The garden and the orchard > /a\nNews > /b');
  const before = [{ from: 768, to: 900 }];

  it('says what it does, what comes of it, and what it costs', () => {
    const words = (fix: object, left: object[] = [], more: object = {}): string => {
      const { what, effect } = suggestionWords(document, { part: 'c1', fix, before, left, ...more } as never);
      return `${what}: ${effect}`;
    };
    expect(words({ kind: 'takeover', below: 918 })).toBe(
      'Let the drawer take over below 918 px: in one row at every width; the bar is in the drawer from 768 to 917 px',
    );
    expect(
      words({ kind: 'label', item: ids.get('The garden and the orchard'), label: 'The garden' }, [
        { from: 768, to: 800 },
      ]),
    ).toBe('Shorten “The garden and the orchard” to “The garden”: in one row from 801 px on, 100 px sooner');
    expect(words({ kind: 'policy', does: 'fold', devices: ['medium', 'wide'] })).toBe(
      'Let it fold into “More”: in one row at every width; on medium and wide screens',
    );
    expect(words({ kind: 'gap', px: 12 }, [{ from: 780, to: 900 }])).toBe(
      'Reduce the gap between entries to 12 px: in one row at 12 more widths',
    );
    expect(words({ kind: 'width', item: 'i1', px: 214 }, [], { item: 'i1' })).toBe(
      'Make the dropdown 214 px wide: every label on one line',
    );
  });
});

describe('a style sheet as some visitors have it', () => {
  const css =
    '@media (forced-colors:active) and (min-width:1px){a{}}@media (forced-colors: none){b{}}@media (prefers-reduced-motion){i{}}@media (prefers-reduced-motion:no-preference){u{}}';

  it('has the rules for forced colours, and none for others', () => {
    expect(asForced(css)).toContain('@media (min-width:0) and (min-width:1px){a{}}@media (max-width:0){b{}}');
    expect(asForced(css)).toContain('@media (prefers-reduced-motion){i{}}');
  });

  it('has the rules for less motion, and none for others', () => {
    expect(asStill(css)).toContain('@media (min-width:0){i{}}@media (max-width:0){u{}}');
    expect(asStill(css)).toContain('(forced-colors: none)');
  });
});

describe('a height', () => {
  it('is told by the screens that are lower, and what happens there', () => {
    const over = [
      { device: 'narrow', screen: 640 },
      { device: 'wide', screen: 390 },
    ] as const;
    expect(tallWords({ over, scrollsInside: true })).toBe(
      'taller than 640 px on narrow and 390 px on wide screens; scrolls inside',
    );
    expect(tallWords({ over: over.slice(0, 1), scrollsInside: false })).toBe(
      'taller than 640 px on narrow screens; the page has to scroll',
    );
  });
});

describe('a column of the contact sheet', () => {
  it('is believed only in its form', () => {
    const drop = { height: 200, scrollsInside: false, isInDrawer: true };
    const finding = { mode: 'touch', fault: 'small', name: 'Search' };
    const whole = { kind: 'drawn', drops: [drop], findings: [finding] };
    expect(fromContact({ kind: 'ready', more: 1 })).toEqual({ kind: 'ready' });
    expect(fromContact({ ...whole, more: 1 })).toEqual(whole);
    for (const wrong of [
      null,
      'ready',
      { kind: 'drawn' },
      { ...whole, drops: undefined },
      { ...whole, drops: [{}] },
      { ...whole, drops: [{ ...drop, height: Number.NaN }] },
      { ...whole, drops: [{ ...drop, scrollsInside: 1 }] },
      { ...whole, findings: finding },
      { ...whole, findings: [{ ...finding, mode: 'noise' }] },
      { ...whole, findings: [{ ...finding, fault: '' }] },
      { ...whole, findings: [{ ...finding, name: 4 }] },
    ])
      expect(fromContact(wrong), JSON.stringify(wrong)).toBeNull();
  });
});
