import { describe, expect, it } from 'vitest';
import { setMenu } from '../src/commands/menus.ts';
import { setItems } from '../src/commands/settings.ts';
import { dropdownOf } from '../src/model/menuUsual.ts';
import { nodeAt } from '../src/model/forest.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { dropdownWith } from '../src/panel/dropdownWith.ts';
import { renderMenu } from '../src/render/renderMenu.ts';
import { resolveMenu } from '../src/resolve/resolveMenu.ts';
import type { ResolvedItem } from '../src/resolve/resolved.ts';
import { doing } from '../testing/doing.ts';
import { outlined } from '../testing/outlined.ts';

const {
  document: start,
  menu,
  ids,
} = outlined(
  'Visit > /visit\n  Hours > /hours\n    Winter > /winter\nShop > /shop\n  Seeds > /seeds\nNews > /news',
);
const { done } = doing(1500);
const id = (label: string): string => ids.get(label) ?? '';
const set = (document: SiteDocument, usual: Parameters<typeof setMenu>[2]['usual']): SiteDocument =>
  done(document, (context) => setMenu(context, menu, { usual: usual ?? null }));
function resolved(document: SiteDocument, label: string): ResolvedItem {
  const all = (items: readonly ResolvedItem[]): ResolvedItem[] =>
    items.flatMap((one) => [one, ...all(one.children)]);
  const found = all(resolveMenu(document, menu).items).find((one) => one.id === id(label));
  if (found === undefined) throw new Error(label);
  return found;
}

describe('what a menu sets for all its entries', () => {
  it('holds for entries that say nothing, and an item can differ', () => {
    const all = set(start, { form: 'flyouts', opens: 'press' });
    expect(resolved(all, 'Visit').dropdown).toEqual({ form: 'flyouts', opens: 'press' });
    const own = done(all, (context) => setItems(context, [id('Shop')], { dropdown: { form: 'row' } }));
    expect(resolved(own, 'Shop').dropdown).toEqual({ form: 'row', opens: 'press' });
    expect(resolved(own, 'Visit').dropdown).toEqual({ form: 'flyouts', opens: 'press' });
    // What stands further down does not drop from the bar.
    expect(resolved(own, 'Hours').dropdown).toBeUndefined();
    expect(dropdownOf(own, nodeAt(own.items, id('Visit')))).toEqual({ form: 'flyouts', opens: 'press' });
    expect(resolved(set(own, null), 'Visit').dropdown).toBeUndefined();
  });

  it('says what a click does by device class, on every level', () => {
    const all = set(start, { activation: { wide: 'open', narrow: 'follow' } });
    const own = done(all, (context) => setItems(context, [id('Shop')], { activation: { wide: 'split' } }));
    expect(resolved(own, 'Hours').activation).toEqual({ wide: 'open', narrow: 'follow' });
    expect(resolved(own, 'Shop').activation).toEqual({ wide: 'split', narrow: 'follow' });
  });

  it('says where badges stand, but for those that say it themselves', () => {
    const badged = done(start, (context) => setItems(context, [id('News')], { badge: { text: 'New' } }));
    const own = done(badged, (context) =>
      setItems(context, [id('Shop')], { badge: { text: 'Sale', position: 'after' } }),
    );
    const all = set(own, { badgeAt: 'above' });
    expect([resolved(all, 'News').badge, resolved(all, 'Shop').badge]).toEqual([
      { text: 'New', position: 'above' },
      { text: 'Sale', position: 'after' },
    ]);
    expect(resolved(all, 'Visit').badge).toBeUndefined();
    expect(resolved(badged, 'News').badge).toEqual({ text: 'New', position: 'after' });
  });

  it('is what each entry would deliver if it were set for it', () => {
    const usual = set(start, { form: 'row', opens: 'press', activation: { wide: 'open' } });
    const each = ['Visit', 'Shop', 'News', 'Hours', 'Winter', 'Seeds'].reduce(
      (document, label) =>
        done(document, (context) =>
          setItems(context, [id(label)], {
            activation: { wide: 'open' },
            ...(['Visit', 'Shop', 'News'].includes(label)
              ? { dropdown: { form: 'row' as const, opens: 'press' as const } }
              : {}),
          }),
        ),
      start,
    );
    expect(renderMenu(resolveMenu(usual, menu), { place: 'bar' })).toEqual(
      renderMenu(resolveMenu(each, menu), { place: 'bar' }),
    );
  });

  it('is told apart from what an item says, where that is the usual form of others', () => {
    expect(dropdownWith(null, { form: 'list' }, 'flyouts')).toEqual({ form: 'list' });
    expect(dropdownWith({ form: 'list' }, { form: 'flyouts' }, 'flyouts')).toBeNull();
    expect(dropdownWith(null, { form: 'list' })).toBeNull();
  });
});
