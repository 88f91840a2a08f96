import { describe, expect, it } from 'vitest';
import { inWords } from '../src/base/sentences.ts';
import { removeItems } from '../src/commands/items.ts';
import { writeOwnCss } from '../src/commands/ownCss.ts';
import { compareLooks } from '../src/diff/compareLooks.ts';
import { frameSource } from '../src/diff/compareFrames.ts';
import type { Result } from '../src/base/result.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import { invertEdit } from '../src/ops/invertEdit.ts';
import type { Edit } from '../src/ops/edit.ts';
import { renderMenu } from '../src/render/renderMenu.ts';
import { renderStyles } from '../src/render/renderStyles.ts';
import { resolveMenu } from '../src/resolve/resolveMenu.ts';
import { sheetOf, styledIn } from '../src/resolve/sheetOf.ts';
import type { CssRule } from '../src/schema/ownCss.ts';
import { contextOf, outlined } from '../testing/index.ts';

const { document, ids, menu } = outlined('Visit\n  Tickets\nShop');
const shop = ids.get('Shop') ?? '';
const wide: readonly CssRule[] = [
  { selectors: ['a'], declarations: [{ name: 'letter-spacing', value: '.3em' }] },
];
function after(before: SiteDocument, made: Result<Edit>): SiteDocument {
  if (!made.ok) throw new Error(made.refusal.message);
  const applied = applyEdit(before, made.value);
  if (!applied.ok) throw new Error(applied.refusal.message);
  return applied.value.document;
}
const cssOf = (shown: SiteDocument): string =>
  renderStyles(shown.site, [resolveMenu(shown, menu)], undefined, sheetOf(shown));

describe('CSS written by hand', () => {
  it('is one change for its place, said in a sentence and in the list of changes, and undone', () => {
    const made = writeOwnCss(contextOf(document), shop, wide);
    if (!made.ok) throw new Error(made.refusal.message);
    expect(inWords(made.value.sentence)).toBe('Changed the CSS of “Shop”');
    const set = after(document, made);
    expect(compareLooks(frameSource(document), set)).toEqual(['Changed the CSS of “Shop”']);
    expect(renderMenu(resolveMenu(set, menu), { place: 'bar', styled: styledIn(set) })).toContain(
      `zv-s-${shop}`,
    );
    const back = applyEdit(set, { ...made.value, operations: invertEdit(made.value) });
    if (!back.ok) throw new Error(back.refusal.message);
    expect(cssOf(back.value.document)).toBe(cssOf(document));
    expect(inWords((writeOwnCss(contextOf(set), shop, null) as { value: Edit }).value.sentence)).toBe(
      'Removed the CSS of “Shop”',
    );
  });

  it('comes behind all looks, what is nearer later, and before what is needed for it to work', () => {
    const far = after(document, writeOwnCss(contextOf(document), document.site.id, wide));
    const both = after(far, writeOwnCss(contextOf(far), shop, wide));
    const css = cssOf(both);
    const [looks, own, late] = ['/* Looks', '/* Written by hand', '/* Needed for it'].map((one) =>
      css.indexOf(one),
    );
    expect(looks).toBeLessThan(own ?? 0);
    expect(own).toBeLessThan(late ?? 0);
    expect(css.lastIndexOf(`.zv-s-${shop}`)).toBeGreaterThan(css.indexOf('.3em'));
    expect(cssOf(document)).not.toContain('Written by hand');
  });

  it('is dormant while its place is gone, and refused where it could leave it', () => {
    const set = after(document, writeOwnCss(contextOf(document), shop, wide));
    const removed = after(set, removeItems(contextOf(set), [shop]));
    expect(cssOf(removed)).not.toContain('.3em');
    expect(removed.ownCss.nodes.size).toBe(1);
    const refused = (owner: string, rules: readonly CssRule[]): string | null => {
      const made = writeOwnCss(contextOf(document), owner, rules);
      return made.ok ? null : made.refusal.code;
    };
    expect(refused('i0gone', wide)).toBe('noStyleOwner');
    const bad = (value: string): readonly CssRule[] => [
      { selectors: ['a'], declarations: [{ name: 'color', value }] },
    ];
    for (const value of ['red;}body{color:red', 'url(x)', 'red !important', 'a\\62', '"x'])
      expect(refused(shop, bad(value))).toBe('wrongCss');
    expect(refused(shop, [{ selectors: ['body'], declarations: [{ name: 'color', value: 'red' }] }])).toBe(
      'wrongCss',
    );
  });
});
