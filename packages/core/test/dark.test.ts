import { JSDOM } from 'jsdom';
import { describe, expect, it } from 'vitest';
import { inWords } from '../src/base/sentences.ts';
import type { Result } from '../src/base/result.ts';
import { contrastOf, darkOf, oklchOf } from '../src/colour/colour.ts';
import { setDark } from '../src/commands/dark.ts';
import { setFixes, setLooks } from '../src/commands/looks.ts';
import { addToken, setDarkToken, setToken } from '../src/commands/palette.ts';
import { fixesForAll, isFailing } from '../src/contrast/fixes.ts';
import { contrastPairs, type ContrastPair } from '../src/contrast/pairs.ts';
import { placesOf, type DrawnElement } from '../src/contrast/places.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { paletteOf, valueOfName } from '../src/model/palette.ts';
import type { Edit } from '../src/ops/edit.ts';
import { renderMenu } from '../src/render/renderMenu.ts';
import { renderStyles } from '../src/render/renderStyles.ts';
import { resolveMenu } from '../src/resolve/resolveMenu.ts';
import { sheetOf, styledIn } from '../src/resolve/sheetOf.ts';
import { overriding } from '../src/style/overriding.ts';
import { inScheme } from '../src/style/previewStyles.ts';
import { resolveStyle } from '../src/style/resolveStyle.ts';
import { applied as appliedTo, contextOf, outlined } from '../testing/index.ts';

const { document: plain, menu } = outlined('Visit\n  Tickets');
const done = (before: SiteDocument, made: Result<Edit>): SiteDocument => {
  if (!made.ok) throw new Error(made.refusal.message);
  return made.value.operations.reduce(appliedTo, before);
};
const dark = done(plain, setDark(contextOf(plain), true));
const css = (of: SiteDocument): string => renderStyles(of.site, [], undefined, sheetOf(of));
const bar = { owner: plain.site.id, thing: 'barEntry' } as const;
function pairsOf(document: SiteDocument): ContrastPair[] {
  const html = renderMenu(resolveMenu(document, menu), { place: 'bar', styled: styledIn(document) });
  const { body } = new JSDOM(html).window.document;
  const sheet = sheetOf(document);
  return contrastPairs(placesOf(body as unknown as DrawnElement, sheet), sheet);
}

describe('a colour in the dark', () => {
  it('keeps its hue, changes places with the light, and can be told apart as before', () => {
    const some = ['#1f5a3a', '#1d2a22', '#ffffff', '#edf3ea', '#cfd6cd', '#7a5a14', '#c8102e', '#0047ff'];
    for (const one of some) {
      const [light, night] = [oklchOf(one), oklchOf(darkOf(one))];
      if (light.c > 0.03 && night.c > 0.03) expect(Math.abs(light.h - night.h), one).toBeLessThan(12);
      for (const other of some) {
        if (contrastOf(one, other) >= 5.5)
          expect(contrastOf(darkOf(one), darkOf(other))).toBeGreaterThan(4.5);
        if (light.l > oklchOf(other).l + 0.01)
          expect(night.l, `${one} ${other}`).toBeLessThan(oklchOf(darkOf(other)).l + 0.01);
      }
    }
    expect(oklchOf(darkOf('#ffffff')).l).toBeGreaterThan(0.15);
  });
});

describe('a site with dark colours', () => {
  it('has a second value for every colour with a name, of which each can be set', () => {
    const brand = done(dark, setToken(contextOf(dark), { key: 'accent', of: 'colour' }, '#123456'));
    expect(valueOfName(paletteOf(brand), 'accent', 'dark')).toBe(darkOf('#123456'));
    expect(valueOfName(paletteOf(brand), 'button', 'dark')).toBe(darkOf('#123456'));
    const edit = setDarkToken(contextOf(brand), { key: 'accent', of: 'colour' }, 'rgb(170 200 255)');
    expect(edit.ok && inWords(edit.value.sentence)).toBe('Set the colour “Accent” to #aac8ff in dark');
    const set = done(brand, edit);
    expect(valueOfName(paletteOf(set), 'accent')).toBe('#123456');
    expect(valueOfName(paletteOf(set), 'accent', 'dark')).toBe('#aac8ff');
    expect(valueOfName(paletteOf(set), 'button', 'dark')).toBe('#aac8ff');
    const back = done(set, setDarkToken(contextOf(set), { key: 'accent', of: 'colour' }, null));
    expect(css(back)).toBe(css(brand));
    const fern = done(set, addToken(contextOf(set), 'colour', { name: 'Fern', value: '#3f6b35' }));
    const used = done(fern, setLooks(contextOf(fern), bar, { color: '@fern-30' }));
    const [, inDark = ''] = css(used).split('prefers-color-scheme:dark');
    expect(inDark).toContain('--_accent:var(--zv-accent,#aac8ff)');
    expect(inDark).toContain(`--zv-t-fern:${darkOf('#3f6b35')}`);
    expect(inDark).toContain('--zv-t-fern-30:');
    // Roles that are like another one follow it by themselves.
    expect(inDark.split('}')[0]).not.toContain('--_button:');
    expect(setDarkToken(contextOf(set), { key: 'accent', of: 'colour' }, 'blueish').ok).toBe(false);
  });

  it('says nothing of schemes as long as it is off, and loses nothing', () => {
    const target = { ...bar, scheme: 'dark' } as const;
    const set = done(dark, setLooks(contextOf(dark), target, { color: '#ffee00' }));
    expect(css(set)).toMatch(/@media \(prefers-color-scheme:dark\)\{[^@]*color:#ffee00/);
    const off = done(set, setDark(contextOf(set), false));
    expect(css(off)).toBe(css(plain));
    expect(css(off)).not.toContain('color-scheme');
    const on = done(off, setDark(contextOf(off), true));
    expect(css(on)).toBe(css(set));
  });

  it('has values for light, for dark and for both; one for a scheme wins over one for both, a nearer scope over it', () => {
    const both = done(dark, setLooks(contextOf(dark), bar, { color: '#111111' }));
    const night = done(both, setLooks(contextOf(both), { ...bar, scheme: 'dark' }, { color: '#eeeeee' }));
    const value = (document: SiteDocument, scheme: 'light' | 'dark'): string | undefined =>
      resolveStyle('barEntry', 'color', { sheet: sheetOf(document), scheme, holds: () => true })?.value;
    expect([value(night, 'light'), value(night, 'dark')]).toEqual(['#111111', '#eeeeee']);
    expect(overriding(sheetOf(night), bar, 'color').map(({ target }) => target.scheme)).toEqual(['dark']);
    const here = done(night, setLooks(contextOf(night), { ...bar, owner: menu }, { color: '#333333' }));
    expect(value(here, 'dark')).toBe('#333333');
    const edit = setLooks(contextOf(dark), { ...bar, scheme: 'dark', state: 'hover' }, { color: '#eeeeee' });
    expect(edit.ok && inWords(edit.value.sentence)).toContain('Set dark hover text of bar entries');
  });

  it('is asked in light and in dark what is hard to read, and fixed in the one that is', () => {
    expect(pairsOf(dark).filter(isFailing)).toEqual([]);
    expect(new Set(pairsOf(dark).map(({ scheme }) => scheme))).toEqual(new Set(['light', 'dark']));
    expect(new Set(pairsOf(plain).map(({ scheme }) => scheme))).toEqual(new Set([null]));
    const set = done(dark, setLooks(contextOf(dark), bar, { color: '#222222' }));
    const failing = (document: SiteDocument): ContrastPair[] => pairsOf(document).filter(isFailing);
    expect(new Set(failing(set).map(({ scheme }) => scheme))).toEqual(new Set(['dark']));
    const fixes = fixesForAll(set, failing);
    expect(new Set(fixes.map(({ target }) => target.scheme))).toEqual(new Set(['dark']));
    const fixed = done(set, setFixes(contextOf(set), fixes));
    expect(failing(fixed)).toEqual([]);
    expect(resolveStyle('barEntry', 'color', { sheet: sheetOf(fixed), holds: () => true })?.value).toBe(
      '#222222',
    );
  });

  it('is shown in either scheme, whatever the window has', () => {
    const shown = (scheme: 'light' | 'dark'): string => inScheme(css(dark), scheme);
    expect(shown('dark')).not.toContain('prefers-color-scheme');
    expect(shown('dark')).toContain('@media (min-width:0)');
    expect(shown('light')).not.toContain('@media (min-width:0)');
    expect(inScheme(css(plain), 'dark')).toBe(css(plain));
  });
});
