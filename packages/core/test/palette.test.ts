import { describe, expect, it } from 'vitest';
import { contrastOf, colourSteps, hexOf, oklchOf, readColour, stepOf } from '../src/colour/colour.ts';
import { addToken, removeToken, renameToken, setToken, usesOfToken } from '../src/commands/palette.ts';
import { setLooks } from '../src/commands/looks.ts';
import { inWords } from '../src/base/sentences.ts';
import type { Result } from '../src/base/result.ts';
import { roleNames } from '../src/anatomy/roles.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { nodeAt } from '../src/model/forest.ts';
import type { Edit } from '../src/ops/edit.ts';
import { invertEdit } from '../src/ops/invertEdit.ts';
import { kindOf } from '../src/ops/registry.ts';
import { renderStyles } from '../src/render/renderStyles.ts';
import { paletteOf, valueOfName } from '../src/model/palette.ts';
import { sheetOf } from '../src/resolve/sheetOf.ts';
import { styleId } from '../src/schema/style.ts';
import { applied as appliedTo, contextOf, outlined } from '../testing/index.ts';

const { document, menu } = outlined('Visit\n  Tickets');
const site = document.site.id;
const applied = (before: SiteDocument, made: Result<Edit>): SiteDocument => {
  if (!made.ok) throw new Error(made.refusal.message);
  return made.value.operations.reduce(appliedTo, before);
};
const added = (
  before: SiteDocument,
  of: 'colour' | 'font' | 'length',
  name: string,
  value: string,
): SiteDocument => applied(before, addToken(contextOf(before), of, { name, value }));
const saidOf = (made: Result<Edit>): string =>
  made.ok ? inWords(made.value.sentence) : made.refusal.message;
const css = (of: SiteDocument): string => renderStyles(of.site, [], undefined, sheetOf(of));
const bar = { owner: site, thing: 'barEntry' } as const;

describe('a colour', () => {
  it.each([
    ['#abc', '#aabbcc'],
    ['#1F5A3A', '#1f5a3a'],
    ['rgb(10 20 30)', '#0a141e'],
    ['rebeccapurple', '#663399'],
    ['oklch(0.7 0.4 150)', null],
    ['#abcd', '#aabbccdd'],
    ['url(x)', null],
    ['', null],
  ])('typed as %j is kept as %j', (typed, kept) => {
    const read = readColour(typed);
    if (kept === null && typed.startsWith('oklch')) expect(read).toMatch(/^#[0-9a-f]{6}$/);
    else expect(read).toBe(kept);
  });

  it('has a family of tints and shades with its hue, each as light as it says, each darker than the one before', () => {
    for (const brand of ['#1f5a3a', '#7a5a14', '#c8102e', '#0047ff', '#ffe94a', '#888888']) {
      const family = colourSteps.map((step) => stepOf(brand, step));
      family.forEach((one, at) => {
        const { l, c, h } = oklchOf(one);
        expect(Math.abs(l * 100 - (colourSteps[at] ?? 0)), `${brand} ${one}`).toBeLessThan(0.6);
        const turn = Math.abs(((h - oklchOf(brand).h + 540) % 360) - 180);
        if (c > 0.03) expect(turn, `${brand} ${one}`).toBeLessThan(6);
        if (at > 0)
          expect(contrastOf(one, '#ffffff')).toBeGreaterThan(contrastOf(family[at - 1] ?? '', '#ffffff'));
      });
      // Usable: its darkest reads on its lightest.
      expect(contrastOf(family.at(-1) ?? '', family[0] ?? '')).toBeGreaterThan(7);
    }
  });

  it('comes back from lightness, chroma and hue', () => {
    for (const hex of ['#1f5a3a', '#c8102e', '#0047ff', '#ffffff', '#000000']) {
      const { l, c, h } = oklchOf(hex);
      expect(hexOf(l, c, h)).toBe(hex);
    }
  });
});

describe('a palette', () => {
  it('has the roles of every site, and then what was added, by name', () => {
    const named = added(added(document, 'colour', 'Moss', '#2f6b3a'), 'colour', 'Amber', 'orange');
    const palette = paletteOf(named);
    expect([...palette.keys()]).toEqual([...roleNames, 'amber', 'moss']);
    expect(valueOfName(palette, 'button')).toBe(valueOfName(palette, 'accent'));
    expect(valueOfName(palette, 'amber')).toBe('#ffa500');
    expect(valueOfName(palette, 'moss-30')).toBe(stepOf('#2f6b3a', 30));
    for (const name of ['gone', 'gone-30', 'pad-30', 'constructor'])
      expect(valueOfName(palette, name)).toBeNull();
  });

  it('changes every use of a colour by one change, in one place of the style sheet', () => {
    let named = added(document, 'colour', 'Moss', '#2f6b3a');
    named = applied(named, setLooks(contextOf(named), bar, { color: '@moss', background: '@moss-90/40%' }));
    const changed = applied(named, setToken(contextOf(named), { key: 'moss', of: 'colour' }, '#aa3300'));
    const [before, after] = [css(named), css(changed)];
    expect(before).toContain('--zv-t-moss:#2f6b3a');
    expect(before).toContain(`--zv-t-moss-90:${stepOf('#2f6b3a', 90)}`);
    expect(after).toContain(`--zv-t-moss:#aa3300;--zv-t-moss-90:${stepOf('#aa3300', 90)}`);
    const rest = (all: string): string => all.replaceAll(/--zv-t-moss[^:}]*:[^;}]*/g, '');
    expect(rest(after)).toBe(rest(before));
  });

  it('lets a site’s own style sheet set the roles, whatever was set here', () => {
    const named = applied(
      document,
      setToken(contextOf(document), { key: 'accent', of: 'colour' }, '#7a2048'),
    );
    expect(css(named)).toContain('--_accent:var(--zv-accent,#7a2048)');
    expect(css(named)).toContain('--_button:var(--zv-button,var(--_accent))');
  });

  it('says what was done, and is undone exactly', () => {
    const add = addToken(contextOf(document), 'colour', { name: 'Moss', value: '#2f6b3a' });
    expect(saidOf(add)).toBe('Added the colour “Moss”, #2f6b3a');
    const named = applied(document, add);
    const target = { key: 'moss', of: 'colour' } as const;
    expect(saidOf(setToken(contextOf(named), target, 'black'))).toBe('Set the colour “Moss” to #000000');
    expect(saidOf(renameToken(contextOf(named), target, 'Fern'))).toBe('Renamed the colour “Moss” to “Fern”');
    expect(saidOf(removeToken(contextOf(named), target))).toBe('Removed the colour “Moss”');
    const accent = { key: 'accent', of: 'colour' } as const;
    const set = applied(document, setToken(contextOf(document), accent, '#123456'));
    expect(saidOf(setToken(contextOf(set), accent, null))).toBe('Reset the colour “Accent”');
    expect(set.tokens.nodes.size).toBe(1);
    expect(applied(set, setToken(contextOf(set), accent, null)).tokens.nodes.size).toBe(0);
  });

  it('leaves what used a removed colour as it looked, steps and opacities too, and brings all back by undo', () => {
    let named = added(document, 'colour', 'Moss', '#2f6b3a');
    named = added(named, 'length', 'Wide', '20px');
    named = added(named, 'font', 'Heading', 'system:slab');
    const here = { owner: menu, thing: 'barEntry' } as const;
    named = applied(
      named,
      setLooks(contextOf(named), here, {
        color: '@moss-30/40%',
        backgroundImage: 'linear(90deg, @moss, @accent 80%)',
        paddingInline: '@wide*1.5 @pad',
        fontFamily: '@heading',
      }),
    );
    expect(usesOfToken(named, 'moss')).toBe(2);
    const gone = (key: string, of: 'colour' | 'length' | 'font', before: SiteDocument): SiteDocument =>
      applied(before, removeToken(contextOf(before), { key, of }));
    const without = gone('heading', 'font', gone('wide', 'length', gone('moss', 'colour', named)));
    expect(nodeAt(without.styles, styleId(here))).toMatchObject({
      color: `${stepOf('#2f6b3a', 30)}66`,
      backgroundImage: 'linear(90deg, #2f6b3a, @accent 80%)',
      paddingInline: '30px @pad',
    });
    expect(nodeAt(without.styles, styleId(here)).fontFamily).toBeUndefined();
    const removal = removeToken(contextOf(named), { key: 'moss', of: 'colour' });
    if (!removal.ok) throw new Error('refused');
    // Applied operations have their old values as they were found.
    let after = named;
    const effective = removal.value.operations.map((operation) => {
      const done = kindOf(operation).apply(after, operation);
      if (!done.ok) throw new Error(done.refusal.message);
      after = done.value.document;
      return done.value.operation;
    });
    const back = invertEdit({ ...removal.value, operations: effective }).reduce(appliedTo, after);
    expect([...back.styles.nodes.values()]).toEqual([...named.styles.nodes.values()]);
    expect([...back.tokens.nodes.values()]).toEqual([...named.tokens.nodes.values()]);
  });

  it('ignores values that use a name that is gone, and does not lose them', () => {
    const named = added(document, 'colour', 'Moss', '#2f6b3a');
    const styled = applied(named, setLooks(contextOf(named), bar, { color: '@moss', background: '#111111' }));
    // Somebody else removed it before they heard of the use.
    const removed = appliedTo(styled, {
      kind: 'setToken',
      target: { key: 'moss', of: 'colour' },
      set: { name: null, value: null },
      was: {},
    });
    expect(sheetOf(removed).set[0]?.values).toEqual({ background: '#111111' });
    expect(css(removed)).not.toContain('moss');
    expect(nodeAt(removed.styles, styleId(bar)).color).toBe('@moss');
  });

  it('of two people who set one role for the first time keeps one node', () => {
    const target = { key: 'accent', of: 'colour' } as const;
    const [one, other] = ['#111111', '#222222'].map((value) => setToken(contextOf(document), target, value));
    if (one === undefined || other === undefined) throw new Error('missing');
    const both = applied(applied(document, one), other);
    expect(paletteOf(both).get('accent')?.set).toBe('#222222');
    expect(both.tokens.nodes.size).toBe(1);
  });

  it.each([
    [
      'colour',
      'Moss',
      'greenish',
      'Can’t set the colour “moss” to “greenish”. Enter a colour such as #1f5a3a.',
    ],
    ['colour', 'Moss', '#11111180', 'Enter a colour such as #1f5a3a'],
    ['length', 'Step', '900px', 'Enter a length such as 12px'],
    ['length', 'Step', '@pad', 'Enter a length'],
    ['font', 'Heading', 'system:nothing', 'one of the fonts'],
    ['font', 'Heading', 'x;}body{display:none', 'one of the fonts'],
    ['colour', '', '#111111', 'name'],
    ['colour', 'M'.repeat(60), '#111111', 'This name has 60 characters; the most is 40.'],
  ] as const)('refuses the %s %j with the value %j', (of, name, value, words) => {
    expect(saidOf(addToken(contextOf(document), of, { name, value }))).toContain(words);
  });

  it('refuses values whose names are not there, or do not fit', () => {
    const named = added(added(document, 'colour', 'Moss', '#2f6b3a'), 'length', 'Step', '9px');
    const set = (values: object): string => saidOf(setLooks(contextOf(named), bar, values));
    expect(set({ color: '@fern' })).toBe(
      'There is no colour called “fern” on this site. Choose one of those in the list, or add it first.',
    );
    expect(set({ color: '@step' })).toContain('There is no colour called “step”');
    expect(set({ paddingInline: '@moss' })).toContain('called “moss”');
    expect(set({ fontFamily: '@moss' })).toContain('There is no font called “moss”');
    expect(set({ color: '@moss-30' })).toContain('Set text of bar entries');
  });

  it('finds keys that are free and are no steps', () => {
    let named = document;
    for (const name of ['Moss', 'Moss', 'Moss 30', 'Accent', 'Größe', '苔'])
      named = added(named, 'colour', name, '#111111');
    const keys = [...paletteOf(named).keys()].slice(roleNames.length);
    expect(new Set(keys).size).toBe(6);
    expect(keys).toContain('moss');
    expect(keys).toContain('moss-v2');
    for (const key of keys) expect(key).not.toMatch(/-\d+$/);
  });
});
