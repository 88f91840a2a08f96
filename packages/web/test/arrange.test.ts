import { describe, expect, it } from 'vitest';
import { labelOf, driftOf, nodeAt, withNodeChanged, withNodesLast, type Part } from '@zorvik/core';
import { outlined } from '@zorvik/core/testing';
import { findItems, levelsOf, type WantedItems } from '../src/composables/findItems.ts';
import { dropSpot } from '../src/composables/dropSpot.ts';
import { outlineRows } from '../src/composables/outlineRows.ts';
import { pageRows } from '../src/composables/pageRows.ts';
import { driftPicture } from '../src/composables/driftRows.ts';
import { pagePlaces } from '../src/composables/pagePlaces.ts';
import { pageUse, whereUsed } from '../src/composables/pageUse.ts';
import { forgivingSearch } from '../src/workers/findPages.ts';
import { searchPages } from '../src/composables/pageSearch.ts';
import { fromStage } from '../src/live/messages.ts';
import { shortcutFor, shortcuts } from '../src/shortcuts/shortcuts.ts';
import { contrast } from '../src/theme/contrast.ts';
import { markPairs, textPairs, type Pair } from '../src/theme/pairs.ts';
import css from '../src/theme/tokens.css?raw';
import { themeColors } from '../src/theme/themeColors.ts';

const { document, ids, menu } = outlined(
  'A\n  A1\n    A11\n  A2\nB\nC',
  '/cafe Café\n/cafe/old Old café\n/shop Shop\n/shop/decaf Decaf coffee\n/about About the house',
);
const id = (label: string): string => ids.get(label) ?? '';
const rows = outlineRows(document, menu, new Set());
const at = (label: string): number => rows.findIndex((row) => row.id === id(label));

describe('the rows of the outline', () => {
  it('are those that are not inside a folded branch, with their place among their siblings', () => {
    expect(rows.map(({ depth, place, siblings }) => [depth, place, siblings])).toEqual([
      [0, 1, 3],
      [1, 1, 2],
      [2, 1, 1],
      [1, 2, 2],
      [0, 2, 3],
      [0, 3, 3],
    ]);
    expect(outlineRows(document, menu, new Set([id('A')])).map((row) => row.id)).toEqual([
      id('A'),
      id('B'),
      id('C'),
    ]);
  });
});

describe('where a drop goes', () => {
  const drop = (dragged: string, gap: number, depth: number) =>
    dropSpot(document, { root: menu, rows, dragged: [id(dragged)], gap, depth });

  it('goes as deep as the pointer says, within what the rows around allow', () => {
    expect(drop('C', at('B'), 0)).toEqual({ spot: { parent: menu, after: id('A') }, depth: 0, line: 4 });
    expect(drop('C', at('B'), 1)).toEqual({ spot: { parent: id('A'), after: id('A2') }, depth: 1, line: 4 });
    expect(drop('C', at('B'), 2)).toEqual({ spot: { parent: id('A2'), after: null }, depth: 2, line: 4 });
    expect(drop('C', at('B'), 9).depth, 'not deeper than one below the row above').toBe(2);
    expect(drop('C', at('A11'), 0).depth, 'not less deep than the row below').toBe(2);
    expect(drop('C', 0, 5)).toEqual({ spot: { parent: menu, after: null }, depth: 0, line: 0 });
  });

  it('never goes into the dragged branch itself', () => {
    for (let gap = 0; gap <= rows.length; gap += 1) {
      for (let depth = 0; depth < 5; depth += 1) {
        const { spot } = drop('A', gap, depth);
        expect([id('A'), id('A1'), id('A11'), id('A2')]).not.toContain(spot.parent);
        expect([id('A'), id('A1'), id('A11'), id('A2')]).not.toContain(spot.after);
      }
    }
  });

  it('goes to the end of a folded branch', () => {
    const folded = outlineRows(document, menu, new Set([id('A')]));
    expect(
      dropSpot(document, { root: menu, rows: folded, dragged: [id('C')], gap: 1, depth: 1 }).spot,
    ).toEqual({ parent: id('A'), after: id('A2') });
  });
});

describe('finding pages', () => {
  it('finds words in any order, in title or address, whatever their case and marks', () => {
    const titles = (typed: string): string[] => searchPages(document, typed).map(({ title }) => title);
    expect(titles('cafe')).toEqual(['Café', 'Old café']);
    expect(titles('CAF')).toEqual(['Café', 'Old café', 'Decaf coffee']);
    expect(titles('old caf')).toEqual(['Old café']);
    expect(titles('/shop')).toEqual(['Shop', 'Decaf coffee']);
    expect(titles('house about')).toEqual(['About the house']);
    expect(titles('nothing like it')).toEqual([]);
    expect(titles(' ')).toHaveLength(5);
  });
});

describe('the rows of the page tree', () => {
  const tree = outlined(
    '',
    '/cafe Café\n  /cafe/old Old café\n/shop Shop\n  /shop/decaf Decaf coffee\n/about About the house',
  );
  const seen = (paths: readonly string[], typed = ''): string[] => {
    const unfolded = new Set(paths.map((path) => tree.ids.get(path) ?? ''));
    return pageRows(tree.document, unfolded, typed).map(
      ({ page, depth, isUnfolded }) => `${'  '.repeat(depth)}${page.title}${isUnfolded ? ' -' : ''}`,
    );
  };

  it('are those whose parents are all unfolded; a search puts all that it finds on one level', () => {
    expect(seen([])).toEqual(['Café', 'Shop', 'About the house']);
    expect(seen(['/shop'])).toEqual(['Café', 'Shop -', '  Decaf coffee', 'About the house']);
    expect(seen(['/cafe/old']), 'a page without children does not unfold').toEqual([
      'Café',
      'Shop',
      'About the house',
    ]);
    expect(seen(['/shop'], 'caf')).toEqual(['Café', 'Old café', 'Decaf coffee']);
  });
});

describe('forgiving search', () => {
  const pages = ['Hardy annuals', 'Temperate house', 'Café', 'Spring bulbs for pots'].map((title, at) => ({
    id: String(at),
    title,
    address: `/p${at}`,
  }));
  const found = (typed: string): string[] =>
    forgivingSearch(pages)
      .find(typed)
      .map((at) => pages[at]!.id);

  it.each([
    ['hardi', ['0']],
    ['temprate', ['1']],
    ['tempreate house', ['1']],
    ['caffe', ['2']],
    ['pots sprng', ['3']],
    ['zzzz', []],
  ])('finds for %j, one error a word', (typed, ids) => {
    expect(found(typed)).toEqual(ids);
  });
});

describe('where pages are used', () => {
  it('names each menu once, with how often, for pages that items lead to', () => {
    const used = outlined('= /a\n  = /a\nHeading\n  = /b', '/a A\n/b B\n/c C');
    const use = pageUse(used.document);
    expect(['/a', '/b', '/c'].map((path) => whereUsed(used.document, used.ids.get(path) ?? ''))).toEqual([
      ['Menu ×2'],
      ['Menu'],
      [],
    ]);
    expect(pageUse(used.document), 'the same answer for the same document').toBe(use);
  });

  it('counts links in panels and in their texts, and says where they are', () => {
    const { document, ids, menu } = outlined('= /a\nHeading', '/a A\n/b B\n/c C');
    const to = (path: string) => ({ kind: 'page' as const, page: ids.get(path) ?? '', anchor: null });
    const parts: Part[] = [
      { id: 'crow', parent: ids.get('= /a') ?? '', kind: 'row' },
      { id: 'ccell', parent: 'crow', kind: 'cell', span: 12 },
      { id: 'cbutton', parent: 'ccell', kind: 'button', text: 'x', destination: to('/b') },
      {
        id: 'ctext',
        parent: 'ccell',
        kind: 'text',
        body: [{ kind: 'paragraph', runs: [{ text: 'x', to: to('/a') }] }],
      },
    ];
    const panels = { ...document, parts: withNodesLast(document.parts, parts) };
    expect(['/a', '/b', '/c'].map((path) => whereUsed(panels, ids.get(path) ?? ''))).toEqual([
      ['Menu (also in a panel)'],
      ['Menu (in a panel)'],
      [],
    ]);
    const places = pagePlaces(panels, panels);
    expect(places.get(ids.get('/b') ?? '')).toEqual([
      { menu, item: ids.get('= /a'), part: 'cbutton', level: 1, words: ['in its panel'] },
    ]);
    expect(places.get(ids.get('/a') ?? '')?.map(({ part }) => part)).toEqual([null, 'ctext']);
  });
});

describe('pages beside a menu', () => {
  it('leave an item as it is where only its panel has a broken link, and say so beside it', () => {
    const { document, ids, menu } = outlined('= /a', '/a A\n/b B');
    const item = ids.get('= /a') ?? '';
    const parts: Part[] = [
      { id: 'crow', parent: item, kind: 'row' },
      { id: 'ccell', parent: 'crow', kind: 'cell', span: 12 },
      {
        id: 'cbutton',
        parent: 'ccell',
        kind: 'button',
        text: 'x',
        destination: { kind: 'page', page: ids.get('/b') ?? '', anchor: null },
      },
    ];
    const gone = { ...nodeAt(document.pages, ids.get('/b') ?? ''), state: 'gone' as const };
    const site = {
      ...document,
      parts: withNodesLast(document.parts, parts),
      pages: withNodeChanged(document.pages, gone),
    };
    const findings = driftOf({ stored: site, filled: site });
    expect(findings.map(({ kind, part }) => [kind, part])).toEqual([['pageGone', 'cbutton']]);
    const { pages, items, lines } = driftPicture(site, site, menu, findings);
    expect(items.map(({ id, finding }) => [id, finding?.part])).toEqual([[item, 'cbutton']]);
    expect(pages.map(({ label, finding }) => [label, finding])).toEqual([['A', null]]);
    expect(lines.map(({ tone, finding }) => [tone, finding])).toEqual([['agrees', null]]);
  });
});

describe('what the live header says', () => {
  it.each([
    null,
    'ready',
    {},
    { kind: 'select', id: '<script>' },
    { kind: 'select' },
    { kind: 'size', height: -1 },
    { kind: 'size', height: 1e9 },
    { kind: 'size', height: '9' },
    { kind: 'active', isActive: 'yes' },
    { kind: 'other' },
  ])('is not believed when it is %j', (message) => expect(fromStage(message)).toBeNull());

  it('is believed in its own form, and nothing more of it is taken', () => {
    expect(fromStage({ kind: 'select', id: 'i0000000000000ab', extra: 1 })).toEqual({
      kind: 'select',
      id: 'i0000000000000ab',
    });
  });
});

describe('the shortcuts', () => {
  const press = (key: string, held: Partial<KeyboardEvent> = {}) =>
    ({ key, ctrlKey: false, metaKey: false, shiftKey: false, altKey: false, ...held }) as KeyboardEvent;

  it('mean one thing each in their place', () => {
    for (const where of ['anywhere', 'tree'] as const) {
      const keys = shortcuts.filter((one) => one.where === where).flatMap((one) => one.keys);
      expect(new Set(keys).size).toBe(keys.length);
    }
  });

  it('are known by key and modifiers; Command counts as Ctrl, and Shift that only makes a sign does not count', () => {
    expect(shortcutFor(press('z', { metaKey: true }), 'anywhere')).toBe('undo');
    expect(shortcutFor(press('Z', { ctrlKey: true, shiftKey: true }), 'anywhere')).toBe('redo');
    expect(shortcutFor(press('?', { shiftKey: true }), 'anywhere')).toBe('showKeys');
    expect(shortcutFor(press('ArrowUp', { altKey: true }), 'tree')).toBe('moveUp');
    expect(shortcutFor(press('ArrowUp'), 'tree')).toBe('up');
    expect(shortcutFor(press('ArrowUp'), 'anywhere')).toBeNull();
  });
});

describe('the colours', () => {
  const themes = ['light', 'dark'] as const;
  const token = (name: string, theme: (typeof themes)[number]): string =>
    new RegExp(`--${name}: light-dark\\((#[0-9a-f]{6}), (#[0-9a-f]{6})\\)`).exec(css)?.[
      theme === 'light' ? 1 : 2
    ] ?? '';
  const inThemes = (pairs: readonly Pair[]) =>
    themes.flatMap((theme) => pairs.map(({ text, ground }) => [text, ground, theme] as const));

  it.each(inThemes(textPairs))('%s on %s can be read in the %s theme: 4.5 to 1', (text, ground, theme) => {
    expect(contrast(token(text, theme), token(ground, theme))).toBeGreaterThanOrEqual(4.5);
  });

  it.each(inThemes(markPairs))('%s on %s can be seen in the %s theme: 3 to 1', (text, ground, theme) => {
    expect(contrast(token(text, theme), token(ground, theme))).toBeGreaterThanOrEqual(3);
  });

  it.each(themes)('are the same for Vuetify in the %s theme', (theme) => {
    const pairs = {
      background: 'paper',
      surface: 'sheet',
      primary: 'accent-fill',
      'on-primary': 'on-fill',
      secondary: 'ink',
      'on-secondary': 'on-ink',
      success: 'moss',
      warning: 'ochre',
      error: 'brick',
    } as const;
    for (const [name, own] of Object.entries(pairs))
      expect(themeColors[theme][name as keyof typeof pairs], name).toBe(token(own, theme));
  });
});

describe('finding items of a menu', () => {
  const { document: site, menu: main } = outlined(
    '= /visit\n  = /visit/hours\n  Café and shop\n    Menu > /cafe/menu\nOutside > https://other.example/shop',
    '/visit Visit\n  /visit/hours Opening hours',
  );
  const found = (wanted: Partial<WantedItems>): string[] =>
    findItems(site, main, { text: '', level: null, state: null, ...wanted }).map((one) =>
      labelOf(site, nodeAt(site.items, one)),
    );

  it('finds words in any order, in labels and addresses, whatever their case and marks', () => {
    expect(found({ text: 'CAFE' })).toEqual(['Café and shop', 'Menu']);
    expect(found({ text: 'shop' })).toEqual(['Café and shop', 'Outside']);
    expect(found({ text: 'shop cafe' })).toEqual(['Café and shop']);
    expect(found({ text: '/visit/hours' })).toEqual(['Opening hours']);
    expect(found({ text: 'nothing like it' })).toEqual([]);
  });

  it('filters by level and by state, alone and together', () => {
    expect(found({})).toEqual([]);
    expect(found({ level: 1 })).toEqual(['Visit', 'Outside']);
    expect(found({ level: 3 })).toEqual(['Menu']);
    expect(found({ state: 'heading' })).toEqual(['Café and shop']);
    expect(found({ state: 'heading', level: 1 })).toEqual([]);
    expect(levelsOf(site, main)).toBe(3);
  });
});
