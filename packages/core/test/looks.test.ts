import { describe, expect, it } from 'vitest';
import { resetLooks, setLooks } from '../src/commands/looks.ts';
import { removeItems } from '../src/commands/items.ts';
import { nodeAt } from '../src/model/forest.ts';
import { areaId } from '../src/model/partRoots.ts';
import { sheetOf, scopeOf, styledIn } from '../src/resolve/sheetOf.ts';
import { styleId, type StyleTarget } from '../src/schema/style.ts';
import { frameSource } from '../src/diff/compareFrames.ts';
import { addToken, removeToken, setToken } from '../src/commands/palette.ts';
import { compareLooks } from '../src/diff/compareLooks.ts';
import { overriding } from '../src/style/overriding.ts';
import { deliveredStyles, previewStyles } from '../src/style/previewStyles.ts';
import { resolveMenu } from '../src/resolve/resolveMenu.ts';
import { renderMenu } from '../src/render/renderMenu.ts';
import { renderStyles } from '../src/render/renderStyles.ts';
import { inWords } from '../src/base/sentences.ts';
import type { Result } from '../src/base/result.ts';
import type { SiteDocument } from '../src/model/document.ts';
import type { Edit } from '../src/ops/edit.ts';
import { applied as appliedTo, contextOf, outlined } from '../testing/index.ts';

const { document, ids, menu } = outlined('Visit\n  Tickets\nShop\n  Seeds');
const idOf = (label: string): string => ids.get(label) ?? '';
/** The document after what a command made. */
const applied = (before: SiteDocument, made: Result<Edit>): SiteDocument => {
  if (!made.ok) throw new Error(made.refusal.message);
  return made.value.operations.reduce(appliedTo, before);
};
const site = document.site.id;
const everywhere: StyleTarget = { owner: site, thing: 'barEntry' };
const here: StyleTarget = { owner: menu, thing: 'barEntry' };
const only: StyleTarget = { owner: idOf('Shop'), thing: 'barEntry' };

/** What somebody set: not what variants look like that ship. */
const setIn = (document: SiteDocument) =>
  sheetOf(document).set.filter(({ variant }) => variant === undefined);

describe('looks that somebody sets', () => {
  it('are kept for one thing, place and state, and say in one sentence what was set', () => {
    const made = setLooks(contextOf(document), { ...here, state: 'hover' }, { color: '@accent' });
    if (!made.ok) throw new Error(made.refusal.message);
    expect(inWords(made.value.sentence)).toMatch(/^Set hover text of bar entries in “.+” to accent$/);
    const after = applied(document, made);
    const id = styleId({ ...here, state: 'hover' });
    expect(nodeAt(after.styles, id)).toMatchObject({
      owner: menu,
      thing: 'barEntry',
      state: 'hover',
      color: '@accent',
    });
    const reset = resetLooks(contextOf(after), [
      { target: { ...here, state: 'hover' }, properties: ['color'] },
    ]);
    if (!reset.ok) throw new Error(reset.refusal.message);
    expect(inWords(reset.value.sentence)).toMatch(/^Reset hover text of bar entries in “.+”$/);
    expect(applied(after, reset).styles.nodes.size).toBe(0);
  });

  it.each([
    [
      { owner: site, thing: 'barEntry' } as StyleTarget,
      { color: 'red' },
      'Can’t set Text of Bar entries to “red”. Enter a colour',
    ],
    [{ owner: site, thing: 'barEntry' } as StyleTarget, { paddingInline: '900px' }, 'from 0 to 400'],
    [
      { owner: site, thing: 'panel', state: 'hover' } as StyleTarget,
      { background: 'none' },
      'Panels can’t have a look for the state “hover”',
    ],
    [{ owner: site, thing: 'zone' } as StyleTarget, { color: 'none' }, 'Zones can’t have the setting “Text”'],
    [{ owner: 'i0gone', thing: 'barEntry' } as StyleTarget, { color: 'none' }, 'no longer exists (i0gone)'],
    [{ owner: site, thing: 'barEntry' } as StyleTarget, {}, 'change'],
  ])('are refused with what was expected: %j %j', (target, set, words) => {
    const made = setLooks(contextOf(document), target, set);
    expect(made.ok ? '' : made.refusal.message).toContain(words);
  });

  it('of two people who set the first values of one thing do not collide', () => {
    const first = setLooks(contextOf(document), here, { color: '#111111' });
    const second = setLooks(contextOf(document), here, { background: '#222222' });
    const both = applied(applied(document, first), second);
    expect(nodeAt(both.styles, styleId(here))).toMatchObject({ color: '#111111', background: '#222222' });
  });

  it('are delivered as rules for their scope, and as a class where they need one', () => {
    let styled = document;
    for (const [target, color] of [
      [everywhere, '#111111'],
      [here, '#222222'],
      [only, '#333333'],
      [{ owner: areaId('header'), thing: 'barEntry' }, '#444444'],
      [{ owner: 'template:it"s', thing: 'barEntry' }, '#555555'],
    ] as const)
      styled = applied(styled, setLooks(contextOf(styled), target, { color }));
    const resolved = resolveMenu(styled, menu);
    const css = renderStyles(styled.site, [resolved], undefined, sheetOf(styled));
    const entries = (where: string): string =>
      `.zv :where(.zv-bar>ul>li>:is(a,span,button:not([aria-label])))${where}{color:`;
    const { key } = nodeAt(styled.menus, menu);
    const order = [
      entries('') + '#111111',
      `${entries(':where([data-zv-template="it\\22 s"],[data-zv-template="it\\22 s"] *)')}#555555`,
      `${entries(':where(.zv-header,.zv-header *)')}#444444`,
      `${entries(`:where(.zv-s-${key},.zv-s-${key} *)`)}#222222`,
      `${entries(`:where(.zv-s-${idOf('Shop')},.zv-s-${idOf('Shop')} *)`)}#333333`,
    ].map((rule) => css.indexOf(rule));
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect(order[0]).toBeGreaterThan(0);
    const html = renderMenu(resolved, { place: 'bar', styled: styledIn(styled) });
    expect(html).toContain(`<nav class="zv zv-bar zv-s-${key}"`);
    expect(html.split(`zv-s-${idOf('Shop')}`).length).toBe(2);
    expect(renderMenu(resolved, { place: 'bar' })).not.toContain('zv-s-');
  });

  it('of what is removed are dormant, and there again when it comes back', () => {
    const styled = applied(document, setLooks(contextOf(document), only, { color: '#333333' }));
    const removed = removeItems(contextOf(styled), [idOf('Shop')]);
    const without = applied(styled, removed);
    expect(scopeOf(without, idOf('Shop'))).toBeNull();
    expect(setIn(without)).toEqual([]);
    expect(without.styles.nodes.size).toBe(1);
    expect(setIn(styled)).toHaveLength(1);
  });

  it('that are nearer are named where a value does not show', () => {
    let styled = applied(document, setLooks(contextOf(document), everywhere, { color: '#111111' }));
    styled = applied(styled, setLooks(contextOf(styled), only, { color: '#333333', background: 'none' }));
    styled = applied(styled, setLooks(contextOf(styled), { ...here, state: 'hover' }, { color: '#444444' }));
    styled = applied(
      styled,
      setLooks(contextOf(styled), { owner: site, thing: 'barBranch' }, { color: '#555555' }),
    );
    const named = overriding(sheetOf(styled), everywhere, 'color').map(({ target }) => target);
    expect(named).toEqual([only, { owner: site, thing: 'barBranch' }]);
    expect(overriding(sheetOf(styled), only, 'color').map(({ target }) => target.thing)).toEqual([
      'barBranch',
    ]);
    expect(overriding(sheetOf(styled), everywhere, 'background').map(({ target }) => target)).toEqual([only]);
  });
});

describe('a style sheet for looking at', () => {
  it('is, without what forces states, the delivered one byte by byte', () => {
    const resolved = resolveMenu(document, menu);
    const css = renderStyles(document.site, [resolved]);
    const preview = previewStyles(css);
    expect(preview).toContain(':is(:hover,[data-zv-state~=hover])');
    expect(preview).toContain(':is(:focus-visible,[data-zv-state~=focus])');
    expect(preview).not.toBe(css);
    expect(deliveredStyles(preview)).toBe(css);
  });
});

describe('what has changed in looks since an edition', () => {
  it('is said for each thing, place and state, once', () => {
    const first = applied(
      document,
      setLooks(contextOf(document), here, { color: '#111111', background: 'none' }),
    );
    const second = applied(first, setLooks(contextOf(first), here, { color: '#222222' }));
    const third = applied(
      second,
      setLooks(contextOf(second), { ...everywhere, state: 'hover' }, { color: '@accent' }),
    );
    const before = frameSource(first);
    expect(compareLooks(before, first)).toEqual([]);
    expect(compareLooks(before, third).sort()).toEqual([
      `Set hover text of bar entries in “${document.site.name}” to accent`,
      'Set text of bar entries in “Menu” to #222222',
    ]);
    expect(compareLooks(before, document)).toEqual(['Reset 2 values of bar entries in “Menu”']);
    expect(compareLooks({}, first)).toEqual(['Set 2 values of bar entries in “Menu”']);
  });

  it('is said of names, too: added, changed, removed', () => {
    const accent = { key: 'accent', of: 'colour' } as const;
    const moss = { key: 'moss', of: 'colour' } as const;
    let named = applied(
      document,
      addToken(contextOf(document), 'colour', { name: 'Moss', value: '#2f6b3a' }),
    );
    expect(compareLooks(frameSource(document), named)).toEqual(['Added the colour “Moss”, #2f6b3a']);
    const before = frameSource(named);
    named = applied(named, setToken(contextOf(named), accent, '#111111'));
    named = applied(named, removeToken(contextOf(named), moss));
    expect(compareLooks(before, named).sort()).toEqual([
      'Removed the colour “Moss”',
      'Set the colour “Accent” to #111111',
    ]);
    expect(compareLooks(frameSource(named), named)).toEqual([]);
  });
});
