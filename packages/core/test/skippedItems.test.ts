import { describe, expect, it } from 'vitest';
import { skippedItems } from '../src/checks/skippedItems.ts';
import { composePanel } from '../src/commands/composing.ts';
import { addLink } from '../src/commands/items.ts';
import { shippedPresets, usePreset } from '../src/commands/presets.ts';
import { setItems } from '../src/commands/settings.ts';
import { labelOf } from '../src/model/labelOf.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { childrenOf, nodeAt, withNodeChanged } from '../src/model/forest.ts';
import { partsIn } from '../src/model/partsIn.ts';
import { resolveMenu } from '../src/resolve/resolveMenu.ts';
import { doing } from '../testing/doing.ts';
import { outlined } from '../testing/outlined.ts';

const {
  document: bare,
  menu,
  ids,
} = outlined(
  '= /visit\n  = /visit/hours\n= /seeds\n  = /seeds/beans\n  = /seeds/corn\nNews > /news',
  '/visit Visit\n  /visit/hours Opening hours\n/seeds Seeds\n  /seeds/beans Beans\n  /seeds/corn Corn',
);
const { done } = doing(900);
const start = done(bare, (context) =>
  addLink(context, { parent: menu, after: null }, { label: 'Tickets', address: 'undecided' }),
);
const id = (name: string): string => ids.get(name) ?? '';
const told = (document: SiteDocument): string[] =>
  skippedItems(document).map(({ item, why, below }) =>
    [labelOf(document, nodeAt(document.items, item)), why, ...(below > 0 ? [below] : [])].join(' '),
  );
const pageSet = (path: string, set: object): SiteDocument => ({
  ...start,
  pages: withNodeChanged(start.pages, { ...nodeAt(start.pages, id(path)), ...set }),
});

describe('what a publication would skip', () => {
  it('is nothing where every item has a link', () => {
    const { document } = outlined('= /visit\nNews > /news\nAbout', '/visit Visit');
    expect(told(document)).toEqual([]);
  });

  it('is told with the reason, from top to bottom', () => {
    const base = told(start);
    expect(base).toEqual(['Tickets noLink']);
    const plus = (document: SiteDocument): string[] => told(document).filter((one) => !base.includes(one));
    expect(plus(pageSet('/seeds/beans', { state: 'draft' }))).toEqual(['Beans draft']);
    expect(plus(pageSet('/seeds/beans', { state: 'draft', planned: true }))).toEqual(['Beans planned']);
    const held = done(start, (context) => setItems(context, [id('= /seeds')], { heldBack: true }));
    expect(plus(held)).toEqual(['Seeds unpublished 2']);
  });

  it('is what visitors do not get: nothing else is missing from what is delivered', () => {
    const held = done(start, (context) => setItems(context, [id('= /seeds/corn')], { heldBack: true }));
    const seen = new Set<string>();
    const note = (items: readonly { readonly id: string; readonly children: readonly never[] }[]): void =>
      items.forEach((one) => {
        seen.add(one.id);
        note(one.children);
      });
    note(resolveMenu(held, menu).items as never);
    const skipped = skippedItems(held).map(({ item }) => item);
    const all = [...held.items.nodes.keys()];
    expect(all.filter((one) => !seen.has(one)).sort()).toEqual([...skipped].sort());
  });

  it('are children that no part of a panel shows', () => {
    const composed = done(start, (context) => composePanel(context, id('= /seeds')));
    const lost = partsIn(composed, id('= /seeds')).find(({ kind }) => kind === 'group' || kind === 'groups');
    expect(lost).toBeDefined();
    const emptied: SiteDocument = {
      ...composed,
      parts: withNodeChanged(composed.parts, {
        ...nodeAt(composed.parts, lost?.id ?? ''),
        kind: 'divider',
      } as never),
    };
    expect(told(emptied).filter((one) => one.endsWith('notPlaced')).length).toBeGreaterThan(0);
    expect(told(composed).filter((one) => one.endsWith('notPlaced'))).toEqual([]);
  });
});

describe('presets', () => {
  it('bring no placeholder that could be published', () => {
    for (const preset of shippedPresets) {
      const used = done(start, (context) => usePreset(context, id('= /seeds'), preset));
      expect(childrenOf(used.parts, id('= /seeds')).size, preset.key).toBeGreaterThan(0);
      expect(
        skippedItems(used).filter(({ why }) => why === 'placeholder'),
        preset.key,
      ).toEqual([]);
    }
  });
});
