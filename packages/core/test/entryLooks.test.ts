import { describe, expect, it } from 'vitest';
import { duplicateItems } from '../src/commands/items.ts';
import { bringIn, planSketch } from '../src/commands/bringIn.ts';
import { setEntryLooks } from '../src/commands/looks.ts';
import { makeAlike, setItems, unlikeSiblings } from '../src/commands/settings.ts';
import { detachItem, shareItem } from '../src/commands/sharedLinks.ts';
import { sketchOf } from '../src/commands/sketchOf.ts';
import { inWords } from '../src/base/sentences.ts';
import type { Result } from '../src/base/result.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { childrenOf, nodeAt } from '../src/model/forest.ts';
import type { Edit } from '../src/ops/edit.ts';
import { entryStyle } from '../src/resolve/entryStyle.ts';
import { resolveMenu } from '../src/resolve/resolveMenu.ts';
import { scopeOf, sheetOf, styledIn } from '../src/resolve/sheetOf.ts';
import { renderMenu } from '../src/render/renderMenu.ts';
import { renderStyles } from '../src/render/renderStyles.ts';
import { readSettings } from '../src/schema/readSettings.ts';
import { styleId } from '../src/schema/style.ts';
import { applied as appliedTo, contextOf, outlined } from '../testing/index.ts';

const { document: bare, ids, menu } = outlined('Shop\n  Seeds\n  Bulbs\nVisit');
const idOf = (label: string): string => ids.get(label) ?? '';
const applied = (before: SiteDocument, made: Result<Edit>): SiteDocument => {
  if (!made.ok) throw new Error(made.refusal.message);
  return made.value.operations.reduce(appliedTo, before);
};
const badge = { text: 'New', position: 'after' } as const;
const [shop, seeds, bulbs] = [idOf('Shop'), idOf('Seeds'), idOf('Bulbs')];
const badged = applied(bare, setItems(contextOf(bare), [shop, seeds, bulbs], { badge }));
const coloured = applied(
  badged,
  setEntryLooks(contextOf(badged), [shop], 'badge', { color: '#111111', background: '@accent' }),
);
const colourOf = (document: SiteDocument, owner: string): string | undefined =>
  entryStyle(document, owner, 'badge', 'color')?.value;

describe('the looks of the icon and the badge of an item', () => {
  it('are those of everything else until somebody sets them, and hold for its own entry alone', () => {
    expect(colourOf(badged, shop)).toBe('@button-ink');
    expect([shop, seeds].map((one) => colourOf(coloured, one))).toEqual(['#111111', '@button-ink']);
    const html = renderMenu(resolveMenu(coloured, menu), { place: 'bar', styled: styledIn(coloured) });
    expect(html.match(new RegExp(`zv-s-${shop}`, 'g'))).toHaveLength(1);
    expect(scopeOf(coloured, shop, 'badge')?.within).toEqual([`.zv-s-${shop}>:is(a,span,button) *`]);
    const css = renderStyles(coloured.site, [resolveMenu(coloured, menu)], undefined, sheetOf(coloured));
    expect(css).toContain('color:#111111;background-color:var(--_accent)');
  });

  it('are set for several at once, in one sentence, and for a shared link wherever it is shown', () => {
    const made = setEntryLooks(contextOf(badged), [seeds, bulbs], 'badge', { color: '#222222' });
    expect(made.ok && inWords(made.value.sentence)).toBe('Changed the look of badges in 2 items');
    const shared = applied(coloured, shareItem(contextOf(coloured), shop));
    const link = nodeAt(shared.items, shop).link ?? '';
    expect(shared.styles.nodes.has(styleId({ owner: shop, thing: 'badge' }))).toBe(false);
    expect(colourOf(shared, link)).toBe('#111111');
    expect(scopeOf(shared, link, 'badge')?.within).toEqual([`.zv-s-${shop}>:is(a,span,button) *`]);
    expect(styledIn(shared).has(shop)).toBe(true);
    const changed = applied(
      shared,
      setEntryLooks(contextOf(shared), [shop], 'badge', { color: '#333333', background: null }),
    );
    expect(colourOf(changed, link)).toBe('#333333');
    const detached = applied(changed, detachItem(contextOf(changed), shop));
    expect(colourOf(detached, shop)).toBe('#333333');
  });

  it('go along with copies, with what is made alike, and with files', () => {
    const copied = applied(coloured, duplicateItems(contextOf(coloured), [shop]));
    const copy = [...childrenOf(copied.items, menu)][1] ?? '';
    expect([copy === shop, colourOf(copied, copy)]).toEqual([false, '#111111']);

    const one = applied(badged, setEntryLooks(contextOf(badged), [seeds], 'badge', { color: '#444444' }));
    expect(unlikeSiblings(contextOf(one), seeds).get('badge')).toEqual([bulbs]);
    const alike = applied(one, makeAlike(contextOf(one), seeds, ['badge']));
    expect(colourOf(alike, bulbs)).toBe('#444444');
    const back = applied(one, makeAlike(contextOf(one), bulbs, ['badge']));
    expect(colourOf(back, seeds), 'what the other one does not set is reset').toBe('@button-ink');

    const sketches = sketchOf(coloured, [shop]);
    expect(sketches[0]?.settings?.looks).toEqual([
      { thing: 'badge', color: '#111111', background: '@accent' },
    ]);
    const { document: other, menu: into } = outlined('Start');
    const plan = planSketch(other, sketches);
    const brought = applied(other, bringIn(contextOf(other, 7), plan, { parent: into, after: null }));
    expect(colourOf(brought, [...childrenOf(brought.items, into)][0] ?? '')).toBe('#111111');
    const lost = planSketch(other, [
      { ...sketches[0]!, settings: { badge, looks: [{ thing: 'badge', color: '@nowhere' }] } },
    ]);
    const without = applied(other, bringIn(contextOf(other, 7), lost, { parent: into, after: null }));
    expect(without.styles.nodes.size, 'a name that the other site does not have').toBe(0);
  });

  it('are read from files that had them among the settings, and never anything that is no look', () => {
    const icon = { name: 'leaf', path: 'M2 2h20v20H2Z', position: 'before' };
    expect(
      readSettings({
        icon: { ...icon, color: null },
        badge: { ...badge, color: '#ffffff', background: 'url(x)' },
        looks: [{ thing: 'badge', color: 'red' }, { thing: 'icon', inlineSize: '2em' }, 5],
      }),
    ).toEqual({
      icon,
      badge,
      looks: [
        { thing: 'badge', color: '#ffffff' },
        { thing: 'icon', inlineSize: '2em' },
      ],
    });
  });
});
