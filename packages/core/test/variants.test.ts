import { JSDOM } from 'jsdom';
import { describe, expect, it } from 'vitest';
import { inWords } from '../src/base/sentences.ts';
import type { Refusal } from '../src/base/refusal.ts';
import type { Result } from '../src/base/result.ts';
import { setItems } from '../src/commands/settings.ts';
import { setLooks } from '../src/commands/looks.ts';
import { addVariant, removeVariant, renameVariant } from '../src/commands/variants.ts';
import { labelOf } from '../src/model/labelOf.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { levelOwner, variantOwner } from '../src/model/styleOwner.ts';
import { variantsOf } from '../src/model/variants.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import { invertEdit } from '../src/ops/invertEdit.ts';
import type { Edit } from '../src/ops/edit.ts';
import { renderMenu } from '../src/render/renderMenu.ts';
import { renderStyles } from '../src/render/renderStyles.ts';
import { resolveMenu } from '../src/resolve/resolveMenu.ts';
import { scopeOf, sheetOf, styledIn } from '../src/resolve/sheetOf.ts';
import { withStandIns } from '../src/resolve/standIns.ts';
import { MOST_VARIANTS } from '../src/schema/site.ts';
import type { StyleSet } from '../src/schema/style.ts';
import { rankedStyles } from '../src/style/resolveStyle.ts';
import { contextOf, outlined } from '../testing/index.ts';

const { document: plain, ids, menu } = outlined('Visit\n  Tickets\nShop');
const shop = ids.get('Shop') ?? '';
function after(before: SiteDocument, made: Result<Edit>): SiteDocument {
  if (!made.ok) throw new Error(made.refusal.message);
  const applied = applyEdit(before, made.value);
  if (!applied.ok) throw new Error(applied.refusal.message);
  return applied.value.document;
}
const refused = (made: Result<Edit>): Refusal['code'] | null => (made.ok ? null : made.refusal.code);
const withLook = (before: SiteDocument, look: string): SiteDocument =>
  after(before, setItems(contextOf(before), [shop], { look }));
function delivered(document: SiteDocument): { readonly html: string; readonly css: string } {
  const resolved = resolveMenu(document, menu);
  return {
    html: renderMenu(resolved, { place: 'bar', styled: styledIn(document) }),
    css: renderStyles(document.site, [resolved], undefined, sheetOf(document)),
  };
}

describe('variants of buttons and links', () => {
  it('ship with every site, and cost nothing where no link has one', () => {
    expect(variantsOf(plain.site).map(({ name }) => name)).toEqual(['Outlined', 'Text-like']);
    expect(delivered(plain).css).not.toContain('zv-as-');
    expect(delivered(withLook(plain, 'button')).css).not.toContain('zv-as-');
    const { html, css } = delivered(withLook(plain, 'text'));
    expect(html).toMatch(/<(?:a|span) [^>]*class="zv-button zv-as-text"/);
    expect(css).toContain('.zv-as-text');
  });

  it('are added like another one, with all that was set for it, and are one change', () => {
    const owner = variantOwner('text');
    const set = after(
      plain,
      setLooks(contextOf(plain), { owner, thing: 'variant' }, { letterSpacing: '.2em' }),
    );
    const made = addVariant(contextOf(set), ' Quiet  link ', 'text');
    if (!made.ok) throw new Error(made.refusal.message);
    expect(inWords(made.value.sentence)).toBe('Added the variant “Quiet link”');
    const added = after(set, made);
    expect(variantsOf(added.site).at(-1)).toEqual({ key: 'quiet-link', name: 'Quiet link' });
    const own = [...added.styles.nodes.values()].filter((one) => one.owner === variantOwner('quiet-link'));
    expect(own.find(({ state }) => state === undefined)).toMatchObject({
      textDecoration: 'underline',
      letterSpacing: '.2em',
    });
    expect(own.find(({ state }) => state === 'hover')).toMatchObject({ textDecoration: 'underline 2px' });
    const back = applyEdit(added, { ...made.value, operations: invertEdit(made.value) });
    if (!back.ok) throw new Error(back.refusal.message);
    expect(back.value.document.styles.nodes.size).toBe(1);
    expect(back.value.document.site.variants).toBeUndefined();
  });

  it('lose against what is set for one link, and win over what is set for the menu', () => {
    const values = (document: SiteDocument): string[] =>
      rankedStyles('variant', 'color', {
        sheet: sheetOf(document),
        line: ['variant', 'buttonEntry', 'barEntry', 'entry'],
        holds: () => true,
      }).map(({ value }) => value);
    const set = (before: SiteDocument, owner: string, color: string): SiteDocument =>
      after(before, setLooks(contextOf(before), { owner, thing: 'variant' }, { color }));
    const all = set(set(set(plain, shop, '#000011'), variantOwner('outline'), '#000022'), menu, '#000033');
    expect(values(all).slice(0, 3)).toEqual(['#000011', '#000022', '@accent']);
    expect(values(all).indexOf('#000033')).toBeGreaterThan(1);
  });

  it('can be renamed and deleted; what had one is a plain button, and has it again by undo', () => {
    const added = after(plain, addVariant(contextOf(plain), 'Pill', null));
    const renamed = after(added, renameVariant(contextOf(added), 'pill', 'Round'));
    expect(variantsOf(renamed.site).at(-1)).toEqual({ key: 'pill', name: 'Round' });
    const round = setLooks(
      contextOf(renamed),
      { owner: variantOwner('pill'), thing: 'variant' },
      { borderRadius: '40px' },
    );
    const used = withLook(after(renamed, round), 'pill');
    expect(delivered(used).css).toContain('40px');
    const removed = after(used, removeVariant(contextOf(used), 'pill'));
    expect(delivered(removed).css).not.toContain('40px');
    expect(delivered(removed).html).toContain('zv-button');
    const again = after(removed, addVariant(contextOf(removed), 'Pill', null));
    expect(delivered(again).css).toContain('40px');
  });

  it('are refused with the reason where they cannot be', () => {
    const context = contextOf(plain);
    expect(refused(addVariant(context, 'Outlined', null))).toBe('variantNameTaken');
    expect(refused(addVariant(context, '  ', null))).toBe('emptyName');
    expect(refused(renameVariant(context, 'outline', 'Other'))).toBe('variantGone');
    expect(refused(removeVariant(context, 'gone'))).toBe('variantGone');
    const gone = { owner: variantOwner('gone'), thing: 'variant' as const };
    expect(refused(setLooks(context, gone, { color: '#000000' }))).toBe('noStyleOwner');
    const variants = Object.fromEntries(
      Array.from({ length: MOST_VARIANTS }, (_, at) => [`v${at}`, { name: `V ${at}` }]),
    );
    const full = { ...plain, site: { ...plain.site, variants } };
    expect(refused(addVariant(contextOf(full), 'One more', null))).toBe('variantsFull');
  });
});

describe('a level of a menu', () => {
  it('has looks of its own, nearer than the menu and farther than an item, and is called by its number', () => {
    const [first, second] = [1, 2].map((level) => levelOwner(menu, level));
    const set = (before: SiteDocument, owner: string, values: StyleSet): SiteDocument =>
      after(before, setLooks(contextOf(before), { owner, thing: 'entry' }, values));
    const made = setLooks(
      contextOf(plain),
      { owner: second ?? '', thing: 'entry' },
      { letterSpacing: '.2em' },
    );
    if (!made.ok) throw new Error(made.refusal.message);
    expect(inWords(made.value.sentence)).toMatch(/in “.+, level 2” to \.2em$/);
    const all = set(set(after(plain, made), menu, { letterSpacing: '.1em' }), shop, {
      letterSpacing: '.3em',
    });
    expect(scopeOf(all, menu)?.rank).toBeLessThan(scopeOf(all, second ?? '')?.rank ?? 0);
    expect(scopeOf(all, second ?? '')?.rank).toBeLessThan(scopeOf(all, shop)?.rank ?? 0);
    const { html } = delivered(all);
    const { document: page } = new JSDOM(html).window;
    const found = (owner: string): (string | null)[] =>
      [...page.querySelectorAll(scopeOf(all, owner)?.within.join() ?? '')]
        .filter((one) => one.matches('li>:is(a,span,button)'))
        .map((one) => one.textContent);
    expect(found(first ?? '')).toEqual(['Visit', 'Shop']);
    expect(found(second ?? '')).toEqual(['Tickets']);
    const gone = { owner: levelOwner('m0gone', 1), thing: 'entry' as const };
    expect(refused(setLooks(contextOf(plain), gone, { color: '#000000' }))).toBe('noStyleOwner');
  });
});

describe('stand-in content', () => {
  const labelsOf = (document: SiteDocument): string[] =>
    [...document.items.nodes.values()].map((item) => labelOf(document, item));

  it('has three levels with labels as long as the longest of the site, in the language of the menu', () => {
    const long = 'A label that nobody could call short';
    const { document } = outlined(`Visit\n  ${long}`);
    const german = {
      ...document,
      menus: {
        ...document.menus,
        nodes: document.menus.nodes.with(menu, {
          ...(document.menus.nodes.get(menu) as NonNullable<ReturnType<typeof document.menus.nodes.get>>),
          language: 'de-AT',
        }),
      },
    };
    const made = withStandIns(german);
    const longest = Math.max(...labelsOf(made).map((one) => [...one].length));
    expect(longest).toBe(long.length);
    expect(labelsOf(made).join(' ')).toContain('Öffnungszeiten');
    const resolved = resolveMenu(made, menu);
    expect(resolved.items[0]?.children[0]?.children.length).toBeGreaterThan(1);
    expect(resolved.items.filter(({ look }) => look !== undefined).map(({ look }) => look)).toEqual([
      'button',
      'outline',
      'text',
    ]);
  });

  it('takes titles of pages where there are no labels yet, and leaves the site as it is', () => {
    const before = { ...plain, items: withStandIns(plain).items };
    expect(labelsOf(plain).sort()).toEqual(['Shop', 'Tickets', 'Visit']);
    expect(withStandIns(before).items.nodes.size).toBe(before.items.nodes.size);
    expect([...withStandIns(plain).items.nodes.keys()]).toEqual([...before.items.nodes.keys()]);
  });
});
