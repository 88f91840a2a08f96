import { JSDOM } from 'jsdom';
import { describe, expect, it } from 'vitest';
import { quillmereDocument } from '../../../demo/quillmere/quillmereDocument.ts';
import type { Refusal } from '../src/base/refusal.ts';
import type { Result } from '../src/base/result.ts';
import { setDark } from '../src/commands/dark.ts';
import { setLooks } from '../src/commands/looks.ts';
import { chooseStarter, removeStarter, resetToStarter, saveStarter } from '../src/commands/lookStarters.ts';
import { setSite } from '../src/commands/siteFacts.ts';
import { addToken, setDarkToken, setToken } from '../src/commands/palette.ts';
import { isFailing } from '../src/contrast/fixes.ts';
import { contrastPairs } from '../src/contrast/pairs.ts';
import { placesOf, type DrawnElement } from '../src/contrast/places.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { emptyForest } from '../src/model/forest.ts';
import { paletteOf, valueOfName } from '../src/model/palette.ts';
import { areaId } from '../src/model/partRoots.ts';
import { readStored } from '../src/model/stored.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import type { Edit } from '../src/ops/edit.ts';
import { invertEdit } from '../src/ops/invertEdit.ts';
import { newProblem } from '../src/ops/newProblem.ts';
import { inWords } from '../src/base/sentences.ts';
import { renderPage } from '../src/render/renderPage.ts';
import { situationsOfHeader } from '../src/render/renderStyles.ts';
import { situationOn } from '../src/resolve/frameExceptions.ts';
import { withStandIns } from '../src/resolve/standIns.ts';
import { sheetOf } from '../src/resolve/sheetOf.ts';
import type { Style } from '../src/schema/style.ts';
import type { Token } from '../src/schema/token.ts';
import { resolveStyle } from '../src/style/resolveStyle.ts';
import { starterKeys } from '../src/starters/starterRoles.ts';
import { contextOf } from '../testing/index.ts';

const quillmere = readStored(quillmereDocument());
/** Quillmere as it is before anybody sets anything. */
const bare: SiteDocument = { ...quillmere, styles: emptyForest<Style>(), tokens: emptyForest<Token>() };

function done(document: SiteDocument, made: Result<Edit>): SiteDocument {
  if (!made.ok) throw new Error(made.refusal.message);
  const applied = applyEdit(document, made.value);
  if (!applied.ok) throw new Error(applied.refusal.message);
  return applied.value.document;
}
function refused(made: Result<Edit>): Refusal['code'] {
  if (made.ok) throw new Error('It was not refused.');
  return made.refusal.code;
}
const pages = ['/', '/plants/trees/english-oak', '/about/news/moss-room', '/shop/seeds'];
const pageOf = (document: SiteDocument, address: string): { readonly html: string; readonly css: string } => {
  const page = [...document.pages.nodes.values()].find((one) => one.address === address);
  const { header, side, footer, skip, css } = renderPage(document, situationOn(document, page?.id ?? null), {
    compareTitles: (a, b) => (a < b ? -1 : Number(a > b)),
    pictures: '/p/',
    year: 2026,
  });
  return { html: skip + header + side + footer, css };
};
const said = (document: SiteDocument, thing: Parameters<typeof resolveStyle>[0], area: 'footer' | null) =>
  resolveStyle(thing, 'letterSpacing', { sheet: sheetOf(document), area, states: [] })?.value;

describe('the looks of a site', () => {
  it('begin with a starter, and keep what was set by hand when it is another one', () => {
    const set = done(
      bare,
      setLooks(contextOf(bare), { owner: bare.site.id, thing: 'barEntry' }, { fontWeight: '300' }),
    );
    const named = done(set, setToken(contextOf(set), { key: 'accent', of: 'colour' }, '#123456'));
    const slate = done(named, chooseStarter(contextOf(named), 'slate@1'));
    const weight = resolveStyle('barEntry', 'fontWeight', { sheet: sheetOf(slate) });
    expect(weight).toMatchObject({ value: '300', origin: { from: 'set' } });
    expect(resolveStyle('barEntry', 'textTransform', { sheet: sheetOf(slate) })).toMatchObject({
      value: 'uppercase',
      origin: { from: 'starter', starter: 'slate@1' },
    });
    expect(valueOfName(paletteOf(slate), 'accent')).toBe('#123456');
    expect(valueOfName(paletteOf(slate), 'ink')).toBe('#18222b');
    expect(pageOf(slate, '/').css).toContain('text-transform:uppercase');
    expect(slate.styles).toBe(named.styles);
  });

  it('can be others in an area, as delivered and as resolved, with the colours of that starter', () => {
    const edit = chooseStarter(contextOf(bare), 'slate@1', 'footer');
    const mixed = done(bare, edit);
    expect(edit.ok && inWords(edit.value.sentence)).toBe('Switched the footer to the looks “Slate”');
    expect(said(mixed, 'footerHeading', 'footer')).toBe('.05em');
    expect(said(mixed, 'footerHeading', null)).toBe('inherit');
    const { css, html } = pageOf(mixed, '/');
    const { window } = new JSDOM(`<style>${css}</style>${html}`);
    const { document } = window;
    const style = (selector: string): string =>
      window.getComputedStyle(document.querySelector(selector) as Element).textTransform;
    expect(style('.zv-footer .zv-list>ul>li>:is(a,span)')).toBe('uppercase');
    expect(style('.zv-header .zv-bar>ul>li>a')).not.toBe('uppercase');
    expect(css).toContain(':where(.zv-footer,.zv-footer *){--_accent:var(--zv-accent,#0b5c7a)');
    const back = done(mixed, chooseStarter(contextOf(mixed), null, 'footer'));
    expect(back.site).toEqual(bare.site);
    expect(pageOf(back, '/').css).toBe(pageOf(bare, '/').css);
  });

  it.each(starterKeys)('%s: everything on every kind of page can be read, in every state', (key) => {
    const chosen = done(bare, chooseStarter(contextOf(bare), key));
    // Stand-ins have every variant, in the header, at the side and in the footer.
    for (const [document, address] of [
      ...pages.map((one) => [chosen, one] as const),
      [withStandIns(chosen), '/'] as const,
      [withStandIns(chosen), '/plants/trees/english-oak'] as const,
    ]) {
      const { html } = pageOf(document, address);
      const sheet = { ...sheetOf(document), situations: situationsOfHeader(html) };
      const { body } = new JSDOM(html).window.document;
      const pairs = contrastPairs(placesOf(body as unknown as DrawnElement, sheet), sheet);
      expect(pairs.length).toBeGreaterThan(200);
      expect(pairs.filter(isFailing).map(({ thing, state, ratio }) => [thing, state, ratio])).toEqual([]);
    }
  });

  it('can be saved, to begin with them elsewhere: names of the site’s own as what they stand for', () => {
    const orchard = done(bare, chooseStarter(contextOf(bare), 'orchard@1'));
    const moss = done(orchard, addToken(contextOf(orchard), 'colour', { name: 'Fern', value: '#3f6b35' }));
    const accent = done(moss, setToken(contextOf(moss), { key: 'accent', of: 'colour' }, '#5a3d1e'));
    const whole = { owner: bare.site.id, thing: 'barEntry' } as const;
    const set = done(
      accent,
      setLooks(contextOf(accent), whole, { color: '@fern/80%', letterSpacing: '.2em' }),
    );
    const hover = done(
      set,
      setLooks(contextOf(set), { ...whole, state: 'hover', device: 'narrow' }, { color: '@accent' }),
    );
    const local = done(
      hover,
      setLooks(contextOf(hover), { owner: areaId('footer'), thing: 'entry' }, { letterSpacing: '.3em' }),
    );
    const saved = done(local, saveStarter(contextOf(local), 'Garden looks'));
    expect(saved.site.ownStarters?.['garden-looks']).toEqual({
      name: 'Garden looks',
      base: 'orchard@1',
      looks: expect.arrayContaining([
        { thing: 'barEntry', color: '#3f6b35cc', letterSpacing: '.2em' },
        { thing: 'barEntry', state: 'hover', device: 'narrow', color: '@accent' },
      ]),
      roles: { accent: '#5a3d1e' },
    });
    expect(refused(saveStarter(contextOf(saved), 'Garden looks'))).toBe('starterNameTaken');
    const clean = done(saved, resetToStarter(contextOf(saved)));
    expect(refused(resetToStarter(contextOf(clean)))).toBe('nothingByHand');
    expect(resolveStyle('barEntry', 'letterSpacing', { sheet: sheetOf(clean) })?.value).toBe('.01em');
    const again = done(clean, chooseStarter(contextOf(clean), 'garden-looks'));
    expect(resolveStyle('barEntry', 'letterSpacing', { sheet: sheetOf(again) })).toMatchObject({
      value: '.2em',
      origin: { from: 'starter', starter: 'garden-looks', thing: 'barEntry' },
    });
    expect(resolveStyle('panelHeading', 'textTransform', { sheet: sheetOf(again) })?.value).toBe('uppercase');
    expect(valueOfName(paletteOf(again), 'accent')).toBe('#5a3d1e');
    expect(pageOf(again, '/').css).toContain('letter-spacing:.2em');
    // What is set by hand wins over it.
    const nearer = done(again, setLooks(contextOf(again), whole, { letterSpacing: '0' }));
    expect(resolveStyle('barEntry', 'letterSpacing', { sheet: sheetOf(nearer) })?.value).toBe('0');
    const gone = done(nearer, removeStarter(contextOf(nearer), 'garden-looks'));
    expect(gone.site).toMatchObject({ starter: 'orchard@1' });
    expect(gone.site.ownStarters).toBeUndefined();
  });

  it('keep the colours that were set for the dark, as long as nobody sets others', () => {
    const dark = done(bare, setDark(contextOf(bare), true));
    const role = { key: 'paper', of: 'colour' as const };
    const set = done(dark, setDarkToken(contextOf(dark), role, '#101820'));
    const saved = done(set, saveStarter(contextOf(set), 'Night'));
    expect(saved.site.ownStarters?.night?.dark).toEqual({ paper: '#101820' });
    const clean = done(saved, resetToStarter(contextOf(saved)));
    expect(valueOfName(paletteOf(clean), 'paper', 'dark')).not.toBe('#101820');
    const again = done(clean, chooseStarter(contextOf(clean), 'night'));
    expect(valueOfName(paletteOf(again), 'paper', 'dark')).toBe('#101820');
    expect(pageOf(again, '/').css).toContain('--_paper:var(--zv-paper,#101820)');
    const light = done(again, setToken(contextOf(again), role, '#fff8f0'));
    expect(valueOfName(paletteOf(light), 'paper', 'dark')).not.toBe('#101820');
  });

  it('come back when the choice is undone, and fall back where a starter is not there any more', () => {
    const edit = chooseStarter(contextOf(bare), 'poppy@1');
    if (!edit.ok) throw new Error(edit.refusal.message);
    const applied = applyEdit(bare, edit.value);
    if (!applied.ok) throw new Error(applied.refusal.message);
    const back = { ...applied.value.edit, operations: invertEdit(applied.value.edit) };
    expect(done(applied.value.document, { ok: true, value: back }).site).toEqual(bare.site);
    const lost = { ...bare, site: { ...bare.site, starter: 'never-there' } };
    expect(pageOf(lost, '/').css).toBe(pageOf(bare, '/').css);
  });

  it('are not stored when they cannot be: unknown starters, values out of range, tokens of another kind', () => {
    expect(refused(chooseStarter(contextOf(bare), 'nothing@9'))).toBe('noSuchStarter');
    expect(refused(chooseStarter(contextOf(bare), '__proto__'))).toBe('noSuchStarter');
    expect(refused(removeStarter(contextOf(bare), 'slate@1'))).toBe('noSuchStarter');
    expect(refused(saveStarter(contextOf(bare), '  '))).toBe('emptyName');
    const problemOf = (own: object): string | undefined => {
      const made = setSite(contextOf(bare), { ownStarters: { own } } as never);
      if (!made.ok) return made.refusal.code;
      return newProblem(bare, made.value.operations[0]!)?.code;
    };
    const base = { name: 'Own', base: 'moss@1', looks: [], roles: {} };
    expect(problemOf(base)).toBeUndefined();
    expect(problemOf({ ...base, looks: [{ thing: 'entry', fontSize: '900px' }] })).toBe('wrongStyle');
    expect(problemOf({ ...base, looks: [{ thing: 'bar', color: '#000000' }] })).toBe('noSuchStyle');
    expect(problemOf({ ...base, looks: [{ thing: 'entry', color: 'red;}' }] })).toBe('badValue');
    expect(problemOf({ ...base, roles: { accent: '12px' } })).toBe('wrongToken');
    expect(problemOf({ ...base, script: 1 })).toBe('badValue');
  });
});
