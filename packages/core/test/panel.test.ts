import { describe, expect, it } from 'vitest';
import type { Id } from '../src/base/ids.ts';
import type { Result } from '../src/base/result.ts';
import type { CommandContext } from '../src/commands/context.ts';
import { follow } from '../src/commands/follow.ts';
import { keepInColumn } from '../src/commands/panels.ts';
import { setItems } from '../src/commands/settings.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { nodeAt } from '../src/model/forest.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import type { Edit } from '../src/ops/edit.ts';
import { dropdownWith } from '../src/panel/dropdownWith.ts';
import { resolveMenu } from '../src/resolve/resolveMenu.ts';
import { withFollowed } from '../src/resolve/withFollowed.ts';
import { contextOf } from '../testing/contextOf.ts';
import { outlined } from '../testing/outlined.ts';
import { seededRandom } from '../src/base/seededRandom.ts';
import { balanceColumns, packColumns } from '../src/panel/balanceColumns.ts';
import { groupHeight } from '../src/panel/groupHeight.ts';
import { panelColumns } from '../src/panel/panelColumns.ts';
import { PANEL_MARGIN, placePanel, type Extent, type PanelAlign } from '../src/panel/placePanel.ts';
import { below, pick } from '../testing/pick.ts';

/** Every way to part `count` things into columns in their order. */
function* partitions(count: number, columns: number): Generator<number[]> {
  if (columns === 1) return yield [count];
  for (let first = 0; first <= count; first += 1)
    for (const rest of partitions(count - first, columns - 1)) yield [first, ...rest];
}

function columnHeights(
  heights: readonly number[],
  sizes: readonly number[],
  taken: readonly number[] = [],
  gap = 0,
): number[] {
  let at = 0;
  return sizes.map((size, column) => {
    const parts = [
      ...((taken[column] ?? 0) > 0 ? [taken[column] ?? 0] : []),
      ...heights.slice(at, at + size),
    ];
    at += size;
    return parts.reduce((sum, height) => sum + height, 0) + Math.max(0, parts.length - 1) * gap;
  });
}

const cost = (heights: readonly number[]): readonly [number, number] => [
  Math.max(...heights),
  heights.reduce((sum, height) => sum + height * height, 0),
];

describe('balanced columns', () => {
  it('are as low as they can be, and then as much alike, by trying all ways for small panels', () => {
    for (let seed = 1; seed <= 300; seed += 1) {
      const random = seededRandom(seed);
      const heights = Array.from({ length: below(random, 9) }, () => 1 + below(random, 12) / 2);
      const columns = 1 + below(random, 4);
      const taken = Array.from({ length: columns }, () => (below(random, 3) === 0 ? below(random, 9) : 0));
      const gap = pick(random, [0, 0.75]) ?? 0;
      const sizes = balanceColumns(heights, columns, { taken, gap });
      expect([sizes.length, sizes.reduce((sum, size) => sum + size, 0)]).toEqual([columns, heights.length]);
      const ours = cost(columnHeights(heights, sizes, taken, gap));
      const all = [...partitions(heights.length, columns)].map((one) =>
        cost(columnHeights(heights, one, taken, gap)),
      );
      const lowest = Math.min(...all.map(([highest]) => highest));
      const mostAlike = Math.min(
        ...all.filter(([highest]) => highest < lowest + 1e-6).map(([, squares]) => squares),
      );
      expect(ours[0], `seed ${seed}`).toBeCloseTo(lowest, 6);
      expect(ours[1], `seed ${seed}`).toBeCloseTo(mostAlike, 6);
    }
  });

  it('stay within their bound where the order may change, and lose and double nothing', () => {
    for (let seed = 1; seed <= 300; seed += 1) {
      const random = seededRandom(seed);
      const heights = Array.from({ length: 1 + below(random, 8) }, () => 1 + below(random, 20));
      const columns = 1 + below(random, 3);
      const packed = packColumns(heights, columns);
      expect(packed.flat().sort((a, b) => a - b)).toEqual(heights.map((_, at) => at));
      for (const groups of packed) expect(groups).toEqual([...groups].sort((a, b) => a - b));
      const highest = Math.max(
        ...packed.map((groups) => groups.reduce((sum, at) => sum + (heights[at] ?? 0), 0)),
      );
      let best = Infinity;
      for (let way = 0; way < columns ** heights.length; way += 1) {
        const filled = Array.from({ length: columns }, () => 0);
        heights.forEach(
          (height, at) =>
            (filled[Math.floor(way / columns ** at) % columns] =
              (filled[Math.floor(way / columns ** at) % columns] ?? 0) + height),
        );
        best = Math.min(best, ...[Math.max(...filled)]);
      }
      expect(highest, `seed ${seed}`).toBeLessThanOrEqual(best * (4 / 3 - 1 / (3 * columns)) + 1e-9);
    }
  });

  it('count what takes several lines, and headings, as higher', () => {
    const link = (label: string) => ({ label, children: [] });
    expect(groupHeight(link('Seeds'), 20)).toBe(1);
    expect(groupHeight(link('Seeds that are sown under glass'), 20)).toBe(2);
    expect(groupHeight({ label: 'Seeds', children: [link('Beans'), link('Peas')] }, 20)).toBeCloseTo(3.2);
    expect(groupHeight({ ...link('Seeds'), description: 'For small plots' }, 20)).toBeGreaterThan(1.5);
  });
});

describe('where a panel stands', () => {
  const around = {
    screen: 1000,
    item: { start: 300, size: 80 },
    bar: { start: 200, size: 600 },
    container: { start: 40, size: 920 },
    content: 400,
  };

  it.each<[Extent, PanelAlign, number, number]>([
    ['page', 'item', 0, 1000],
    ['container', 'item', 40, 920],
    ['bar', 'end', 200, 600],
    ['content', 'item', 300, 400],
    ['content', 'start', 200, 400],
    ['content', 'centre', 300, 400],
    ['content', 'end', 400, 400],
    ['item', 'item', 300, 80],
    [500, 'item', 300, 500],
    [500, 'centre', 250, 500],
  ])('is as wide as %s, in line with %s', (extent, align, start, size) => {
    expect(placePanel(extent, align, around)).toEqual({ start, size, isNarrowed: false, isShifted: false });
  });

  it('is inside the screen, whatever is around it, and says when it was narrowed or shifted for that', () => {
    for (let seed = 1; seed <= 2000; seed += 1) {
      const random = seededRandom(seed);
      const screen = 320 + below(random, 1600);
      const span = (): { start: number; size: number } => {
        const size = below(random, screen + 1);
        return { start: below(random, screen - size + 1), size };
      };
      const extent =
        pick<Extent>(random, ['content', 'item', 'bar', 'container', 'page', 200 + below(random, 1500)]) ??
        'page';
      const align = pick<PanelAlign>(random, ['item', 'start', 'centre', 'end']) ?? 'item';
      const content = below(random, 2000);
      const surroundings = { screen, item: span(), bar: span(), container: span(), content };
      const { start, size, isNarrowed, isShifted } = placePanel(extent, align, surroundings);
      const margin = extent === 'page' ? 0 : PANEL_MARGIN;
      expect(start, `seed ${seed}`).toBeGreaterThanOrEqual(margin);
      expect(start + size, `seed ${seed}`).toBeLessThanOrEqual(screen - margin + 1e-9);
      if (extent === 'content') expect(isNarrowed).toBe(content > screen - 2 * PANEL_MARGIN);
      if (extent === 'page') expect([isNarrowed, isShifted]).toEqual([false, false]);
    }
  });
});

describe('the columns of a panel', () => {
  const group = (id: string, links: number) => ({
    id,
    label: `Group ${id}`,
    children: Array.from({ length: links }, (_, at) => ({ label: `Link ${at}`, children: [] })),
  });
  const groups = [group('a', 6), group('b', 2), group('c', 3), group('d', 1), group('e', 5)];
  const inColumns = (facts: Parameters<typeof panelColumns>[1]): string => {
    const { groups: placed, sizes } = panelColumns(groups, facts);
    let from = 0;
    return sizes
      .map((size) =>
        placed
          .slice((from += size) - size, from)
          .map(({ id }) => id)
          .join(''),
      )
      .join(' ');
  };

  it('are balanced with groups kept whole and in their order, as many as are wanted, and four when nobody says', () => {
    expect(inColumns({})).toBe('a b cd e');
    expect(inColumns({ columns: 3 })).toBe('a bc de');
    expect(inColumns({ columns: 2 })).toBe('ab cde');
    expect(inColumns({ columns: 1 })).toBe('abcde');
    expect(panelColumns(groups.slice(0, 2), {}).sizes).toEqual([1, 1]);
    expect(panelColumns([], {}).sizes).toEqual([0]);
  });

  it('keep a group where somebody put it, the others balanced around it, and let go when its column goes', () => {
    expect(inColumns({ columns: 3, kept: { a: 2 } })).toBe('bc de a');
    expect(inColumns({ columns: 2, kept: { a: 2 } })).toBe('ab cde');
    expect(inColumns({ columns: 3, kept: { nobody: 1 } })).toBe('a bc de');
  });
});

describe('keeping a group in a column', () => {
  const { document, ids } = outlined('Seeds\n  Spring\n  Autumn\nTools\n  Hoes', '/ Home');
  const at = (name: string): Id => ids.get(name) ?? '';
  const done = (start: SiteDocument, command: (context: CommandContext) => Result<Edit>): SiteDocument => {
    const made = command(contextOf(start));
    if (!made.ok) throw new Error(made.refusal.message);
    const applied = applyEdit(start, made.value);
    if (!applied.ok) throw new Error(applied.refusal.message);
    return applied.value.document;
  };

  it('is a setting of the panel, goes when it is let go of, and is nothing where there is no panel', () => {
    const panel = done(document, (context) =>
      setItems(context, [at('Seeds')], {
        dropdown: dropdownWith(null, { form: 'panel', panel: { columns: 2 } }),
      }),
    );
    const kept = done(panel, (context) => keepInColumn(context, at('Autumn'), 0));
    const facts = (one: SiteDocument): unknown => nodeAt(one.items, at('Seeds')).dropdown;
    expect(facts(kept)).toEqual({ form: 'panel', panel: { columns: 2, kept: { [at('Autumn')]: 0 } } });
    expect(facts(done(kept, (context) => keepInColumn(context, at('Autumn'), null)))).toEqual(facts(panel));
    for (const name of ['Hoes', 'Seeds', 'nobody'])
      expect(keepInColumn(contextOf(kept), at(name), 0).ok, name).toBe(false);
  });

  it('loses no form by trying another, and is nothing to keep where all is as usual', () => {
    const panel = dropdownWith(null, { form: 'panel', panel: { columns: 3, extent: 640 } });
    const list = dropdownWith(panel, { form: 'list', list: { width: 240 } });
    expect(list).toEqual({ form: 'list', list: { width: 240 }, panel: { columns: 3, extent: 640 } });
    expect(dropdownWith(list, { form: 'panel' })).toMatchObject({ form: 'panel', panel: { columns: 3 } });
    expect(dropdownWith(list, { list: { width: null }, panel: { columns: null, extent: null } })).toBeNull();
  });

  it('is for followed children, too: what a branch of pages has comes into the columns by itself', () => {
    const site = outlined('= /seeds', '/ Home\n/seeds Seeds\n  /seeds/a A\n  /seeds/b B\n  /seeds/c C');
    const item = site.ids.get('= /seeds') ?? '';
    const seeds = site.ids.get('/seeds') ?? '';
    const follows = done(site.document, (context) =>
      follow({ ...context, from: { stored: site.document, fill: withFollowed } }, item, {
        of: { kind: 'pages', page: seeds },
        depth: 1,
        order: 'site',
      }),
    );
    const panel = done(follows, (context) =>
      setItems(context, [item], { dropdown: dropdownWith(null, { form: 'panel', panel: { columns: 3 } }) }),
    );
    const [resolved] = resolveMenu(withFollowed(panel), site.menu).items;
    expect([resolved?.columns, resolved?.children.map(({ label }) => label)]).toEqual([
      [1, 1, 1],
      ['A', 'B', 'C'],
    ]);
  });
});
