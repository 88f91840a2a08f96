import { JSDOM } from 'jsdom';
import { describe, expect, it } from 'vitest';
import { setFixes, setLooks } from '../src/commands/looks.ts';
import { addToken, setToken } from '../src/commands/palette.ts';
import { between, over, ratioOf, rgbaOf } from '../src/contrast/blend.ts';
import { fixesForAll, fixFor, isFailing } from '../src/contrast/fixes.ts';
import { leastScrim, nearestPassing } from '../src/contrast/nearestPassing.ts';
import { contrastPairs, type ContrastPair } from '../src/contrast/pairs.ts';
import { placesOf, type DrawnElement } from '../src/contrast/places.ts';
import { oklchOf } from '../src/colour/colour.ts';
import type { Result } from '../src/base/result.ts';
import type { SiteDocument } from '../src/model/document.ts';
import type { Edit } from '../src/ops/edit.ts';
import { renderMenu } from '../src/render/renderMenu.ts';
import { resolveMenu } from '../src/resolve/resolveMenu.ts';
import { sheetOf, styledIn } from '../src/resolve/sheetOf.ts';
import type { StyleSet, StyleTarget } from '../src/schema/style.ts';
import { applied as appliedTo, contextOf, outlined } from '../testing/index.ts';

const { document: plain, ids, menu } = outlined('Visit\n  Tickets\nShop\n  Seeds');
const site = plain.site.id;
const made = (before: SiteDocument, edit: Result<Edit>): SiteDocument => {
  if (!edit.ok) throw new Error(edit.refusal.message);
  return edit.value.operations.reduce(appliedTo, before);
};
const set = (
  before: SiteDocument,
  target: Omit<StyleTarget, 'owner'> & { owner?: string },
  values: StyleSet,
): SiteDocument => made(before, setLooks(contextOf(before), { owner: site, ...target }, values));

/** All pairs of a menu in a bar, in a page. `around`: HTML that the bar stands in. */
function pairsOf(
  document: SiteDocument,
  around = (bar: string): string => bar,
  isOver = false,
): ContrastPair[] {
  const html = renderMenu(resolveMenu(document, menu), {
    place: 'bar',
    marks: true,
    styled: styledIn(document),
  });
  const { window } = new JSDOM(around(html));
  const sheet = { ...sheetOf(document), situations: isOver ? (['over'] as const) : [] };
  return contrastPairs(placesOf(window.document.body as unknown as DrawnElement, sheet), sheet);
}
const failing = (document: SiteDocument): ContrastPair[] => pairsOf(document).filter(isFailing);
const ofThing = (pairs: readonly ContrastPair[], thing: string, state = 'normal'): ContrastPair[] =>
  pairs.filter((pair) => pair.thing === thing && pair.state === state);
const [only] = [
  (pairs: readonly ContrastPair[]): ContrastPair => {
    const [pair] = pairs;
    if (pair === undefined) throw new Error('no pair');
    return pair;
  },
];
const bar = (before: SiteDocument, state = 'normal'): ContrastPair =>
  only(ofThing(pairsOf(before), 'barBranch', state));

describe('colours', () => {
  it('are blended as browsers do, and told apart as WCAG says', () => {
    expect(over([255, 0, 0, 0.5], [0, 0, 255, 1])).toEqual([127.5, 0, 127.5, 1]);
    expect(between([255, 0, 0, 1], [0, 0, 0, 0], 0.5)).toEqual([255, 0, 0, 0.5]);
    expect(ratioOf(rgbaOf('#000000'), rgbaOf('#ffffff'))).toBeCloseTo(21, 5);
    expect(ratioOf(rgbaOf('#767676'), rgbaOf('#ffffff'))).toBeCloseTo(4.54, 2);
    expect(rgbaOf('#11223380')).toEqual([17, 34, 51, 128 / 255]);
  });

  it('have a nearest one that passes, of the same hue, on all grounds at once', () => {
    for (const colour of ['#7fb77e', '#f0c674', '#c8102e', '#888888'])
      for (const grounds of [['#ffffff'], ['#1f3a2c'], ['#ffffff', '#edf2e8'], ['#000000', '#222222']]) {
        const found = nearestPassing(colour, grounds, 4.5);
        if (found === null) throw new Error(`${colour} on ${grounds.join()}`);
        for (const ground of grounds)
          expect(ratioOf(rgbaOf(found), rgbaOf(ground))).toBeGreaterThanOrEqual(4.5);
        const [was, is] = [oklchOf(colour), oklchOf(found)];
        const turn = Math.abs(((is.h - was.h + 540) % 360) - 180);
        if (is.c > 0.03 && was.c > 0.03) expect(turn, `${colour} ${found}`).toBeLessThan(6);
      }
    expect(nearestPassing('#1f3a2c', ['#ffffff'], 4.5)).toBe('#1f3a2c');
    expect(nearestPassing('#777777', ['#000000', '#ffffff'], 7)).toBeNull();
  });

  it('have a least scrim behind them', () => {
    const share = leastScrim('#ffffff', ['#ffffff', '#000000'], 4.5) ?? 0;
    const veil = (percent: number): number =>
      ratioOf(rgbaOf('#ffffff'), over([0, 0, 0, percent / 100], [255, 255, 255, 1]));
    expect(veil(share)).toBeGreaterThanOrEqual(4.5);
    expect(veil(share - 2)).toBeLessThan(4.5);
    expect(leastScrim('#000000', ['#111111'], 4.5)).toBeNull();
  });
});

describe('what has to be read', () => {
  it('is every text, icon and ring, in each state that it can be in; the first starter passes', () => {
    const pairs = pairsOf(plain);
    expect(
      new Set(
        ofThing(pairs, 'barBranch')
          .concat(ofThing(pairs, 'barBranch', 'hover'))
          .map(({ kind }) => kind),
      ),
    ).toEqual(new Set(['text']));
    expect(new Set(ofThing(pairs, 'barBranch', 'focus').map(({ kind }) => kind))).toEqual(
      new Set(['ring', 'text']),
    );
    expect(
      ofThing(pairs, 'arrow')
        .concat(ofThing(pairs, 'loneArrow'))
        .some(({ kind }) => kind === 'sign'),
    ).toBe(true);
    expect(bar(plain, 'within').colour).toBe('#1f5a3a');
    expect(bar(plain, 'hover').behind).toBe('#edf3ea');
    expect(failing(plain)).toEqual([]);
  });

  it('follows what is set: of the thing, in its state, with opacity, gradients and what is around it', () => {
    const tinted = set(plain, { thing: 'barEntry' }, { color: '#777777', background: '#ffffff80' });
    expect(bar(tinted)).toMatchObject({ colour: '#777777', behind: '#ffffff' });
    const dark = (html: string): string => `<header class="zv zv-header">${html}</header>`;
    const onDark = set(tinted, { thing: 'header' }, { background: '#000000' });
    const pair = only(ofThing(pairsOf(onDark, dark), 'barBranch'));
    expect(pair.behind).toBe('#808080');
    const faded = set(plain, { thing: 'barEntry' }, { backgroundImage: 'linear(90deg, #000000, #ffffff)' });
    const { grounds, ratio } = bar(faded);
    expect(grounds).toHaveLength(9);
    expect(ratio).toBeLessThan(1.5);
    // The ink of what is around is that of everything in it.
    const inked = set(onDark, { thing: 'header' }, { ink: '#ffffff', accent: '#f0c674' });
    const within = only(
      ofThing(pairsOf(set(inked, { thing: 'barEntry' }, { color: null }), dark), 'barBranch', 'within'),
    );
    expect(within.colour).toBe('#f0c674');
  });

  it('asks large text for less, and follows names and their tints', () => {
    const large = set(plain, { thing: 'barEntry' }, { fontSize: '24px', color: '#808080' });
    expect(bar(large)).toMatchObject({ needed: 3, kind: 'text' });
    const bold = set(plain, { thing: 'barEntry' }, { fontSize: '1.25em', fontWeight: '700' });
    expect(bar(bold).needed).toBe(3);
    expect(bar(set(bold, { thing: 'barEntry' }, { fontWeight: '600' })).needed).toBe(4.5);
    const named = made(plain, addToken(contextOf(plain), 'colour', { name: 'Moss', value: '#2f6b3a' }));
    const used = set(named, { thing: 'barEntry' }, { color: '@moss', background: '@moss-90' });
    expect(bar(used).colour).toBe('#2f6b3a');
    expect(bar(used).ratio).toBeGreaterThan(4.5);
    const changed = made(used, setToken(contextOf(used), { key: 'moss', of: 'colour' }, '#9fd0a4'));
    expect(bar(changed).colour).toBe('#9fd0a4');
  });

  it('must pass on black and on white where a header lies over the content, but not once it is in use', () => {
    const around = (html: string): string =>
      `<header class="zv zv-header zv-overlaid zv-over-content">${html}</header>`;
    const pairs = pairsOf(plain, around, true);
    const atRest = ofThing(pairs, 'barBranch').find(({ situation }) => situation === 'over');
    expect(atRest?.grounds.length).toBeGreaterThan(2);
    expect(atRest?.colour).toBe('#ffffff');
    expect(ofThing(pairs, 'barBranch', 'hover').every(({ situation }) => situation === null)).toBe(true);
    expect(ofThing(pairs, 'dropEntry').every(({ situation }) => situation === null)).toBe(true);
    const bare = set(plain, { thing: 'header', situation: 'over' }, { backgroundImage: 'none' });
    const lost = ofThing(pairsOf(bare, around, true), 'barBranch').find(
      ({ situation }) => situation === 'over',
    );
    expect(lost?.ratio).toBeCloseTo(1, 1);
  });
});

describe('what makes something readable', () => {
  it('is the nearest colour, where it is set now, and nothing else gets worse', () => {
    const pale = set(plain, { owner: menu, thing: 'barEntry', state: 'hover' }, { color: '#9fd0a4' });
    const [pair] = failing(pale).filter(({ thing }) => thing === 'barBranch');
    if (pair === undefined) throw new Error('it passes');
    const fix = fixFor(pale, pair, failing);
    expect(fix?.target).toMatchObject({ owner: menu, state: 'hover' });
    expect(fix?.property).toBe('color');
    const fixed = made(pale, setFixes(contextOf(pale), fix === null ? [] : [fix]));
    expect(failing(fixed).filter(({ thing }) => thing === 'barBranch')).toEqual([]);
  });

  it('fixes all that fail in one edit', () => {
    let bad = set(plain, { thing: 'entry' }, { color: '#cccccc' });
    bad = set(bad, { thing: 'dropEntry', state: 'hover' }, { background: '#333333', color: '#444444' });
    bad = set(bad, { thing: 'entry', state: 'focus' }, { outline: '3px dashed #eeeeee' });
    bad = set(bad, { owner: ids.get('Shop') ?? '', thing: 'barBranch' }, { color: '#fafafa' });
    expect(failing(bad).length).toBeGreaterThan(6);
    const fixes = fixesForAll(bad, failing);
    const edit = setFixes(contextOf(bad), fixes);
    expect(failing(made(bad, edit))).toEqual([]);
    expect(edit.ok && edit.value.sentence.code).toBe('madeReadable');
    // Of one place alone, where only that is asked for: the others stay as they are.
    const shop = fixesForAll(bad, failing, ({ item }) => item === ids.get('Shop'));
    const left = failing(made(bad, setFixes(contextOf(bad), shop)));
    expect(shop.length).toBeGreaterThan(0);
    expect(shop.length).toBeLessThan(fixes.length);
    expect(left.length).toBeGreaterThan(0);
    expect(left.some(({ item }) => item === ids.get('Shop'))).toBe(false);
    // A ring keeps its width and its style.
    expect(
      fixes.some(({ property, value }) => property === 'outline' && value.startsWith('3px dashed #')),
    ).toBe(true);
  });
});
