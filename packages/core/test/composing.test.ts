import { describe, expect, it } from 'vitest';
import type { Id } from '../src/base/ids.ts';
import type { Result } from '../src/base/result.ts';
import {
  addPartOf,
  addRow,
  composePanel,
  duplicatePart,
  makePlain,
  movePartTo,
  placeItem,
  removePartOf,
  setPart,
  shiftPart,
} from '../src/commands/composing.ts';
import { addCell, shapeCell } from '../src/commands/panelCells.ts';
import type { CommandContext } from '../src/commands/context.ts';
import { duplicateItems, moveItems, pasteItems, removeItems } from '../src/commands/items.ts';
import { panelSketch, savePreset, shippedPresets, usePreset } from '../src/commands/presets.ts';
import { follow, unfollow } from '../src/commands/follow.ts';
import { setEntryLooks } from '../src/commands/looks.ts';
import { retireMenu, setMenu } from '../src/commands/menus.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { childrenOf, withNodeChanged } from '../src/model/forest.ts';
import type { PanelFacts } from '../src/schema/dropdown.ts';
import { labelOf } from '../src/model/labelOf.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import type { Edit } from '../src/ops/edit.ts';
import { invertEdit } from '../src/ops/invertEdit.ts';
import { updatePart } from '../src/ops/updatePart.ts';
import { readStored, toStored } from '../src/model/stored.ts';
import { freeColumns, shapeCells, spansWithCell, spansWithout } from '../src/panel/shapeCells.ts';
import { ownerOf } from '../src/model/partRoots.ts';
import { partsIn } from '../src/model/partsIn.ts';
import { notYetShown } from '../src/panel/shownApart.ts';
import { sweepPanel } from '../src/panel/sweepPanel.ts';
import { renderMenu } from '../src/render/renderMenu.ts';
import { renderStyles } from '../src/render/renderStyles.ts';
import { entryStyle } from '../src/resolve/entryStyle.ts';
import { resolveMenu } from '../src/resolve/resolveMenu.ts';
import { sheetOf, styleClass, styledIn } from '../src/resolve/sheetOf.ts';
import { createFilling } from '../src/resolve/withFollowed.ts';
import type { Part, PartFacts, PartKind } from '../src/schema/part.ts';
import { contextOf } from '../testing/contextOf.ts';
import { outlined } from '../testing/outlined.ts';

const {
  document: start,
  ids,
  menu,
} = outlined('Shop > /shop\n  Seeds\n    Herbs\n    Bulbs\n  Tools\n    Spades\n  Pots\nAbout');
const site = { document: start, menu, id: (label: string): Id => ids.get(label) ?? '' };
const shop = site.id('Shop');
let seed = 0;
const contextFor = (document: SiteDocument): CommandContext => contextOf(document, (seed += 1));

function after(document: SiteDocument, command: (context: CommandContext) => Result<Edit>): SiteDocument {
  const edit = command(contextFor(document));
  if (!edit.ok) throw new Error(edit.refusal.message);
  const applied = applyEdit(document, edit.value);
  if (!applied.ok) throw new Error(applied.refusal.message);
  const back = applyEdit(applied.value.document, {
    ...edit.value,
    operations: invertEdit(applied.value.edit),
  });
  if (!back.ok) throw new Error(back.refusal.message);
  expect(toStored(back.value.document), 'what was done can be taken back').toEqual(toStored(document));
  return applied.value.document;
}
const why = (document: SiteDocument, command: (context: CommandContext) => Result<Edit>): string => {
  const edit = command(contextFor(document));
  return edit.ok ? 'it was not refused' : edit.refusal.code;
};
const kinds = (document: SiteDocument, owner = shop): string =>
  partsIn(document, owner)
    .map(({ kind, span }) => (span === undefined ? kind : `${kind}${span}`))
    .join(' ');
const nth = (document: SiteDocument, kind: PartKind, at = 0): Part => {
  const part = partsIn(document, shop).filter((one) => one.kind === kind)[at];
  if (part === undefined) throw new Error(`There is no ${kind} ${at}.`);
  return part;
};
const html = (document: SiteDocument): string =>
  renderMenu(resolveMenu(document, site.menu), { place: 'bar' });
const composed = after(site.document, (context) => composePanel(context, shop));

describe('composing a panel', () => {
  it('begins with what the panel showed before: all groups, balanced', () => {
    expect(kinds(composed)).toBe('row cell12 groups');
    expect(html(composed)).toContain('class="zv-groups zv-columns-3"');
    for (const label of ['Seeds', 'Herbs', 'Bulbs', 'Tools', 'Spades', 'Pots'])
      expect(html(composed)).toContain(`>${label}<`);
    expect(why(composed, (context) => composePanel(context, shop))).toBe('changesNothing');
    expect(kinds(after(composed, (context) => makePlain(context, shop)))).toBe('');
    expect(why(site.document, (context) => makePlain(context, shop))).toBe('noParts');
  });

  it('adds cells where there is room, in half of the chosen one where not, and says when there is none', () => {
    const cell = nth(composed, 'cell').id;
    const two = after(composed, (context) => addCell(context, cell));
    expect(kinds(two)).toBe('row cell6 groups cell6');
    const three = after(two, (context) => addCell(context, nth(two, 'cell', 1).id));
    expect(kinds(three)).toBe('row cell6 groups cell3 cell3');
    const narrower = after(three, (context) => shapeCell(context, nth(three, 'cell', 2).id, 1));
    expect(kinds(narrower), 'what is given up at the end is free').toBe('row cell6 groups cell3 cell1');
    expect(kinds(after(narrower, (context) => addCell(context, cell)))).toBe(
      'row cell6 groups cell3 cell1 cell2',
    );
    let full = composed;
    for (let count = 1; count < 12; count += 1)
      full = after(full, (context) => addCell(context, nth(full, 'cell').id));
    expect(kinds(full).match(/cell1\b/g)).toHaveLength(12);
    expect(why(full, (context) => addCell(context, cell))).toBe('noRoom');
  });

  it('lets the edge of a cell be put elsewhere: the next one gives way, and nothing leaves the twelve columns', () => {
    const two = after(composed, (context) => addCell(context, nth(composed, 'cell').id));
    const cell = nth(two, 'cell').id;
    expect(kinds(after(two, (context) => shapeCell(context, cell, 9)))).toBe('row cell9 groups cell3');
    expect(kinds(after(two, (context) => shapeCell(context, cell, 99)))).toBe('row cell11 groups cell1');
    expect(kinds(after(two, (context) => shapeCell(context, cell, -4)))).toBe('row cell1 groups cell11');
    expect(why(two, (context) => shapeCell(context, nth(two, 'cell', 1).id, 7))).toBe('widestAlready');
    const least = after(two, (context) => shapeCell(context, cell, 1));
    expect(why(least, (context) => shapeCell(context, cell, 0))).toBe('narrowestAlready');
  });

  it('gives what a removed cell took to the one beside it, and takes a row without cells out', () => {
    const two = after(composed, (context) => addCell(context, nth(composed, 'cell').id));
    expect(kinds(after(two, (context) => removePartOf(context, nth(two, 'cell').id)))).toBe('row cell12');
    const one = after(two, (context) => removePartOf(context, nth(two, 'cell', 1).id));
    expect(kinds(one)).toBe('row cell12 groups');
    expect(kinds(after(one, (context) => removePartOf(context, nth(one, 'cell').id)))).toBe('');
  });

  it('adds every kind of part, and refuses one where it cannot stand', () => {
    let document = composed;
    for (const kind of [
      'heading',
      'text',
      'picture',
      'button',
      'divider',
      'search',
      'pages',
      'video',
      'links',
      'group',
      'tabs',
    ] as const)
      document = after(document, (context) => addPartOf(context, shop, nth(composed, 'cell').id, kind));
    expect(kinds(document)).toBe(
      'row cell12 groups heading text picture button divider search pages video links link group tabs tab tab',
    );
    expect(
      why(document, (context) => addPartOf(context, shop, null, 'groups')),
      'all other groups are shown once',
    ).toBe('shownAlready');
    expect(
      why(document, (context) => addPartOf(context, shop, null, 'menu')),
      'there is no other menu',
    ).toBe('wrongMenu');
    const heading = nth(document, 'heading').id;
    expect(why(document, (context) => movePartTo(context, heading, { parent: shop, after: null }))).toBe(
      'wrongPartPlace',
    );
    expect(why(document, (context) => setPart(context, heading, { span: 3 }))).toBe('wrongPart');
    expect(why(document, (context) => setPart(context, heading, { text: '' }))).toBe('wrongPart');
    expect(
      why(document, (context) =>
        setPart(context, heading, { destination: { kind: 'page', page: 'p00000000', anchor: null } }),
      ),
    ).toBe('wrongPage');
    const tab = nth(document, 'tab').id;
    expect(
      kinds(after(document, (context) => movePartTo(context, heading, { parent: tab, after: null }))),
    ).toContain('tabs tab heading tab');
  });

  it('moves parts by steps, out of one cell into the next, and rows with all in them', () => {
    const two = after(composed, (context) => addCell(context, nth(composed, 'cell').id));
    const titled = after(two, (context) => addPartOf(context, shop, nth(two, 'cell').id, 'heading'));
    const heading = nth(titled, 'heading').id;
    expect(kinds(titled)).toBe('row cell6 groups heading cell6');
    expect(kinds(after(titled, (context) => shiftPart(context, heading, 'up')))).toBe(
      'row cell6 heading groups cell6',
    );
    const next = after(titled, (context) => shiftPart(context, heading, 'down'));
    expect(kinds(next)).toBe('row cell6 groups cell6 heading');
    expect(why(next, (context) => shiftPart(context, heading, 'down'))).toBe('alreadyLast');
    const rows = after(next, (context) => addRow(context, shop, null));
    const second = nth(rows, 'row', 1).id;
    expect(kinds(after(rows, (context) => shiftPart(context, second, 'up')))).toBe(
      'row cell12 row cell6 groups cell6 heading',
    );
    const moved = after(rows, (context) =>
      movePartTo(context, nth(rows, 'cell', 1).id, { parent: second, after: null }),
    );
    expect(kinds(moved), 'a cell that comes in takes half of another').toBe(
      'row cell12 groups row cell6 heading cell6',
    );
    expect(
      kinds(after(rows, (context) => duplicatePart(context, nth(rows, 'row').id))),
      'all other groups once',
    ).toBe('row cell6 groups cell6 heading row cell6 cell6 heading row cell12');
  });

  it('never hides a child unawares: what no part shows waits, and can be placed', () => {
    const cell = nth(composed, 'cell').id;
    const apart = after(composed, (context) =>
      addPartOf(context, shop, cell, 'group', { item: site.id('Tools') }),
    );
    expect(notYetShown(apart, shop)).toEqual([]);
    expect(html(apart).match(/>Spades</g), 'a group of its own is not among all others').toHaveLength(1);
    const without = after(apart, (context) => removePartOf(context, nth(apart, 'groups').id));
    const waiting = notYetShown(without, shop).map((id) => labelOf(without, without.items.nodes.get(id)!));
    expect(waiting).toEqual(['Seeds', 'Pots']);
    const placed = after(without, (context) => placeItem(context, shop, cell, site.id('Seeds')));
    expect(notYetShown(placed, shop)).toEqual([site.id('Pots')]);
    expect(why(placed, (context) => placeItem(context, shop, cell, site.id('Seeds')))).toBe('shownAlready');
    expect(why(placed, (context) => placeItem(context, shop, cell, site.id('About')))).toBe('notThere');
    expect(html(placed)).toContain('Herbs');
    expect(html(placed)).not.toContain('Pots');
  });

  it('lets a part added to plain columns keep them', () => {
    expect(kinds(after(site.document, (context) => addPartOf(context, shop, null, 'heading')))).toBe(
      'row cell12 groups row cell12 heading',
    );
    expect(kinds(after(site.document, (context) => addRow(context, shop, null)))).toBe(
      'row cell12 groups row cell12',
    );
  });
});

describe('a part that is hidden on a device class', () => {
  it('has its rule in the style sheet, although no item has any setting', () => {
    const panel = after(site.document, (context) => addPartOf(context, shop, null, 'heading'));
    const heading = partsIn(panel, shop).find(({ kind }) => kind === 'heading')!;
    const sheet = (document: SiteDocument): string =>
      renderStyles(document.site, [resolveMenu(document, site.menu)]);
    expect(sheet(panel)).not.toContain('.zv-hidden-narrow');
    const hidden = after(panel, (context) => setPart(context, heading.id, { hiddenOn: ['narrow'] }));
    expect(sheet(hidden)).toContain('.zv-hidden-narrow');
  });
});

/** The kinds of all parts that are in panels. */
const panelParts = (document: SiteDocument): string[] =>
  [...document.parts.nodes.values()]
    .filter(({ id }) => ownerOf(document, id).root.holder === 'panel')
    .map(({ kind }) => kind);

describe('what a panel is part of', () => {
  const rich = after(composed, (context) =>
    addPartOf(context, shop, null, 'group', { item: site.id('Tools') }),
  );

  it('goes with its item: removed, brought back, moved, duplicated with groups of its own children', () => {
    const gone = after(rich, (context) => removeItems(context, [shop]));
    expect(panelParts(gone)).toEqual([]);
    const moved = after(rich, (context) =>
      moveItems(context, [shop], { parent: site.menu, after: site.id('About') }),
    );
    expect(kinds(moved)).toBe(kinds(rich));
    const copied = after(rich, (context) => duplicateItems(context, [shop]));
    const copy = [...childrenOf(copied.items, site.menu)][1]!;
    expect(kinds(copied, copy)).toBe(kinds(rich));
    const group = partsIn(copied, copy).find(({ kind }) => kind === 'group');
    expect(copied.items.nodes.get(group?.item ?? '')?.parent, 'the copy shows its own children').toBe(copy);
    expect(panelParts(after(rich, (context) => retireMenu(context, site.menu)))).toEqual([]);
  });

  it('is pasted with it, without what is not there', () => {
    const parts = partsIn(rich, shop);
    const branch = [
      rich.items.nodes.get(shop)!,
      ...['Seeds', 'Tools'].map((label) => rich.items.nodes.get(site.id(label))!),
    ];
    const lost: Part = {
      id: 'c00000000000lost',
      parent: parts.at(-1)!.parent,
      kind: 'menu',
      menu: 'm000000gone',
    };
    const pasted = after(rich, (context) =>
      pasteItems(context, [branch], { parent: site.menu, after: null }, [[...parts, lost]]),
    );
    expect(kinds(pasted, [...childrenOf(pasted.items, site.menu)][0]!)).toBe(kinds(rich));
  });

  it('is refused to be taken from under somebody who composes it', () => {
    const edit = removeItems(contextFor(site.document), [shop]);
    if (!edit.ok) throw new Error(edit.refusal.message);
    const late = applyEdit(composed, edit.value);
    expect(late.ok ? 'it was not refused' : late.refusal.code).toBe('holdsPanel');
  });

  it('stays with what stands in the place of its item when a branch is followed, and when it no longer is', () => {
    const grown = outlined('= /all\n  = /beds\n    = /roses', '/all All\n  /beds Beds\n    /roses Roses');
    const [all, beds] = [grown.ids.get('= /all') ?? '', grown.ids.get('= /beds') ?? ''];
    const withPanel = after(grown.document, (context) => addPartOf(context, beds, null, 'heading'));
    const fill = createFilling();
    const shown = (document: SiteDocument): CommandContext => ({
      ...contextFor(fill(document)),
      from: { stored: document, fill },
    });
    const page = grown.document.items.nodes.get(all)?.destination;
    if (page?.kind !== 'page') throw new Error('All leads to no page.');
    const following = follow(shown(withPanel), all, {
      of: { kind: 'pages', page: page.page },
      depth: 3,
      order: 'site',
    });
    if (!following.ok) throw new Error(following.refusal.message);
    const followed = applyEdit(withPanel, following.value);
    if (!followed.ok) throw new Error(followed.refusal.message);
    expect(followed.value.document.items.nodes.has(beds)).toBe(false);
    expect(panelParts(followed.value.document).sort()).toEqual([
      'cell',
      'cell',
      'groups',
      'heading',
      'row',
      'row',
    ]);
    const own = unfollow(shown(followed.value.document), all);
    if (!own.ok) throw new Error(own.refusal.message);
    const again = applyEdit(followed.value.document, own.value);
    if (!again.ok) throw new Error(again.refusal.message);
    const [first] = [...childrenOf(again.value.document.items, all)];
    expect(kinds(again.value.document, first)).toBe('row cell12 groups row cell12 heading');
  });
});

describe('presets', () => {
  it.each(shippedPresets)('“$name” shows every child, whatever their number', (preset) => {
    for (const children of [0, 1, 3, 9, 14]) {
      const many = outlined(
        ['Shop', ...Array.from({ length: children }, (_, at) => `  Group ${at}\n    Link ${at}`)].join('\n'),
      );
      const owner = many.ids.get('Shop') ?? '';
      const edit = usePreset(contextFor(many.document), owner, preset);
      if (!edit.ok) throw new Error(edit.refusal.message);
      const applied = applyEdit(many.document, edit.value);
      if (!applied.ok) throw new Error(applied.refusal.message);
      const document = applied.value.document;
      expect(notYetShown(document, owner), `${preset.key} of ${children}`).toEqual([]);
      const made = renderMenu(resolveMenu(document, many.menu), { place: 'bar' });
      for (let at = 0; at < children; at += 1)
        expect(made, `${preset.key} of ${children}`).toContain(`Link ${at}<`);
      for (const row of childrenOf(document.parts, owner)) {
        const spans = [...childrenOf(document.parts, row)].map(
          (id) => document.parts.nodes.get(id)?.span ?? 0,
        );
        expect(freeColumns(spans), preset.key).toBe(0);
      }
    }
  });

  it('of one’s own pour the children of another item in, by their places', () => {
    const cell = nth(composed, 'cell').id;
    const apart = after(composed, (context) =>
      addPartOf(context, shop, cell, 'group', { item: site.id('Tools') }),
    );
    const saved = after(apart, (context) => savePreset(context, shop, 'Two parts'));
    const [preset] = [...saved.presets.nodes.values()];
    expect(preset?.rows).toEqual([
      {
        kind: 'row',
        parts: [{ kind: 'cell', span: 12, parts: [{ kind: 'groups' }, { kind: 'group', child: 1 }] }],
      },
    ]);
    expect(why(saved, (context) => savePreset(context, shop, 'Two parts'))).toBe('keyTaken');
    expect(why(saved, (context) => savePreset(context, site.id('About'), 'Empty'))).toBe('noParts');
    const seeds = site.id('Seeds');
    const used = after(saved, (context) => usePreset(context, seeds, { preset: preset!.id }));
    expect(partsIn(used, seeds).find(({ kind }) => kind === 'group')?.item).toBe(site.id('Bulbs'));
    const pots = after(saved, (context) => usePreset(context, site.id('Pots'), { preset: preset!.id }));
    expect(kinds(pots, site.id('Pots')), 'a child that is not there has no group').toBe('row cell12 groups');
    expect(panelSketch(saved, shop)).toEqual(preset?.rows);
  });
});

describe('the twelve columns', () => {
  it('are never left, whatever edge is put wherever', () => {
    for (let seed = 1; seed <= 200; seed += 1) {
      let spans: readonly number[] = [12];
      for (let step = 0; step < 12; step += 1) {
        const at = (seed * 7 + step * 3) % spans.length;
        if ((seed + step) % 3 === 0) {
          const made = spansWithCell(spans, at);
          if (made !== null) spans = [...made.spans.slice(0, at + 1), made.own, ...made.spans.slice(at + 1)];
        } else if ((seed + step) % 7 === 0 && spans.length > 1) spans = spansWithout(spans, at);
        else spans = shapeCells(spans, at, ((seed * step) % 17) - 2);
        expect(Math.min(...spans), `seed ${seed}`).toBeGreaterThanOrEqual(1);
        expect(
          spans.reduce((sum, one) => sum + one, 0),
          `seed ${seed}`,
        ).toBeLessThanOrEqual(12);
      }
    }
    expect(shapeCells([6, 6], 0, 6)).toEqual([6, 6]);
  });

  it('of a panel are swept over all screens: where it is narrowed, where it is shifted', () => {
    const seen = {
      screen: 1280,
      item: { start: 900, size: 90 },
      bar: { start: 40, size: 1200 },
      container: { start: 0, size: 1280 },
      content: 300,
    };
    const sweep = (extent: Parameters<typeof sweepPanel>[0], offset = 0) =>
      sweepPanel(extent, 'item', { ...seen, offset, from: 768, to: 1920 });
    expect(sweep('bar')).toEqual({ narrowed: [], shifted: [] });
    expect(sweep('page')).toEqual({ narrowed: [], shifted: [] });
    expect(sweep(1000), 'too wide up to 1016 px, beyond the edge up to where 900 and 1000 fit').toEqual({
      narrowed: [{ from: 768, to: 1015 }],
      shifted: [{ from: 1016, to: 1907 }],
    });
    expect(sweep('content', -700).shifted, 'put on, it stands where it fits').toEqual([]);
  });
});

describe('the HTML of composed panels', () => {
  const filled = (
    document: SiteDocument,
    kind: PartKind,
    facts: Parameters<typeof setPart>[2],
  ): SiteDocument => {
    const added = after(document, (context) => addPartOf(context, shop, nth(composed, 'cell').id, kind));
    return after(added, (context) => setPart(context, nth(added, kind).id, facts));
  };

  it('escapes what is typed, and says the size of every picture', () => {
    const hostile = '<img src=x onerror=alert(1)>';
    let document = filled(composed, 'heading', { text: hostile });
    document = filled(document, 'text', {
      body: [{ kind: 'listed', runs: [{ text: hostile, bold: true }] }],
    });
    document = filled(document, 'search', {
      text: hostile,
      address: '/search',
      extraParameter: { name: 'in', value: '"><script>' },
    });
    document = filled(document, 'picture', {
      picture: { file: 'a'.repeat(32), width: 1200, height: 800 },
      alt: hostile,
      destination: { kind: 'address', address: '/x?y=z&w' },
    });
    const made = html(document);
    expect(made).not.toMatch(/<img src=x|"><script/);
    expect(made).toContain('action="/search"');
    expect(made).toMatch(
      /<img src="a{32}-1200\.webp" srcset="a{32}-320\.webp 320w, [^"]+" sizes="[^"]+" width="1200" height="800" alt="&lt;img[^"]+" loading="lazy" decoding="async">/,
    );
  });

  it('gives links of a list their icon and badge, like items: where the link says, or its menu, in colours of their own', () => {
    const icon = { name: 'leaf', path: 'M2 2h20v20H2Z', position: 'after' } as const;
    const listed = after(composed, (context) => addPartOf(context, shop, nth(composed, 'cell').id, 'links'));
    const { id } = nth(listed, 'link');
    const set = (document: SiteDocument, changes: Parameters<typeof setPart>[2]): SiteDocument =>
      after(document, (context) => setPart(context, id, changes));
    const plain = set(listed, { text: 'Maps', destination: { kind: 'address', address: '/maps' } });
    expect(html(plain)).toContain('<li><a href="/maps">Maps</a></li>');
    const css = (document: SiteDocument): string =>
      renderStyles(document.site, [resolveMenu(document, site.menu)], undefined, sheetOf(document));
    expect(css(plain)).not.toContain('zv-badge');
    const shown = set(plain, { icon, badge: { text: ' New <b> \n' } });
    const sign =
      '<svg class="zv-after" viewBox="0 0 24 24" aria-hidden="true"><path d="M2 2h20v20H2Z"/></svg>';
    expect(html(shown)).toContain(
      `<li><a href="/maps">Maps${sign}<b class="zv-badge">New &lt;b&gt;</b></a></li>`,
    );
    expect(css(shown)).toMatch(/\.zv-badge[^{]*\{[^}]*background/);
    const before = after(shown, (context) => setMenu(context, site.menu, { usual: { badgeAt: 'above' } }));
    expect(html(before)).toContain(
      `<a href="/maps" class="zv-face-stacked"><b class="zv-badge">New &lt;b&gt;</b>Maps${sign}</a>`,
    );
    const own = set(before, { badge: { text: 'New', position: 'before' } });
    expect(html(own)).toContain('<b class="zv-badge zv-before">New</b>Maps');
    const green = after(own, (context) => setEntryLooks(context, [id], 'badge', { background: '#004400' }));
    expect(entryStyle(green, id, 'badge', 'background')?.value).toBe('#004400');
    expect(renderMenu(resolveMenu(green, site.menu), { place: 'bar', styled: styledIn(green) })).toContain(
      `<li class="${styleClass(id)}"><a href="/maps">`,
    );
    expect(css(green)).toContain(
      `.zv-badge:where(.${styleClass(id)},.${styleClass(id)} *){background-color:#004400}`,
    );
    expect(html(set(own, { icon: null, badge: { text: '  ' } }))).toContain(
      '<li><a href="/maps">Maps</a></li>',
    );
    expect(why(own, (context) => setPart(context, id, { badge: { text: 'x'.repeat(41) } }))).toBe('tooLong');
    expect(why(own, (context) => setPart(context, id, { icon: { ...icon, path: '"><script>' } }))).not.toBe(
      'it was not refused',
    );
  });

  it('has sign-up forms: a labelled e-mail field, what one agrees to, a button, and a picture', () => {
    const to = { kind: 'address' as const, address: '/privacy?a=1&b' };
    const facts: PartFacts = {
      label: 'E-mail <address>',
      text: 'Sign up',
      body: [{ kind: 'paragraph', runs: [{ text: 'See our ' }, { text: 'privacy page', to }] }],
      picture: { file: 'b'.repeat(32), width: 300, height: 200 },
    };
    const plain = filled(composed, 'form', facts);
    const { id } = nth(plain, 'form');
    const [field] = /<input id="([^"]+)" type="email" name="email" autocomplete="email" required>/.exec(
      html(plain),
    ) ?? [''];
    expect(field).not.toBe('');
    const made = html(plain);
    expect(made).toContain('method="post" action="/newsletter"');
    expect(made).toMatch(
      new RegExp(`<label for="[^"]+-${id}">E-mail &lt;address&gt;</label><input id="[^"]+-${id}"`),
    );
    expect(made).toContain('See our <a href="/privacy?a=1&amp;b">privacy page</a>');
    expect(made).toContain(`src="${'b'.repeat(32)}-300.webp"`);
    expect(made).not.toContain('checkbox');
    const ticked = html(after(plain, (context) => setPart(context, id, { needsConsent: true })));
    expect(ticked).toMatch(
      /<input type="checkbox" id="([^"]+)-consent" name="consent" value="yes" required><label for="\1-consent">/,
    );
    expect(why(plain, (context) => setPart(context, id, { address: 'tel:+491234567' }))).toBe('badAction');
    expect(why(plain, (context) => setPart(context, id, { address: null }))).toBe('wrongPart');
    const wide = after(plain, (context) => addPartOf(context, shop, nth(composed, 'cell').id, 'spacer'));
    expect(html(wide)).toContain('class="zv-spacer-24"');
    expect(renderStyles(wide.site, [resolveMenu(wide, site.menu)])).toContain(
      '.zv-spacer-24{block-size:24px}',
    );
  });

  it('takes no address that no link may lead to, and delivers none that an older document holds: neither as HTML nor as JSON', () => {
    const script = { kind: 'address', address: 'javascript:alert(1)' } as const;
    const unsafe: readonly (readonly [PartKind, PartFacts])[] = [
      ['heading', { text: 'Heading', destination: script }],
      ['text', { body: [{ kind: 'listed', runs: [{ text: 'In the text', to: script }] }] }],
      ['search', { text: 'Search', address: '//evil.example/' }],
      ['button', { text: 'Button', destination: { kind: 'address', address: 'data:text/html,x' } }],
    ];
    let document = composed;
    for (const [kind, facts] of unsafe) {
      document = after(document, (context) => addPartOf(context, shop, nth(composed, 'cell').id, kind));
      const { id } = nth(document, kind);
      expect(why(document, (context) => setPart(context, id, facts))).toBe('badAddress');
      // As an edit from before the rule has left it.
      const older = updatePart.apply(document, { kind: 'updatePart', id, set: facts, was: {} });
      if (!older.ok) throw new Error(older.refusal.message);
      document = older.value.document;
    }
    expect(toStored(readStored(toStored(document))), 'it can be read').toEqual(toStored(document));
    const made = html(document);
    expect(made).toContain('In the text');
    expect(made + JSON.stringify(resolveMenu(document, site.menu))).not.toMatch(
      /javascript:|data:|evil\.example/,
    );
  });

  it('holds back what is empty or leads nowhere yet, and shows it while it is composed', () => {
    let document = composed;
    for (const kind of ['picture', 'video', 'links', 'pages'] as const)
      document = after(document, (context) => addPartOf(context, shop, nth(composed, 'cell').id, kind));
    expect(html(document)).not.toMatch(/zv-picture|zv-video|zv-links|zv-pages/);
    const composing = renderMenu(resolveMenu(document, site.menu, { keepsEmpty: true }), {
      place: 'bar',
      marks: true,
    });
    for (const name of ['zv-picture', 'zv-video', 'zv-links', 'zv-pages']) expect(composing).toContain(name);
  });

  it('has a rule in the style sheet for each number and form in it, and none for kinds that are not there', () => {
    const two = after(composed, (context) => addCell(context, nth(composed, 'cell').id));
    const tabs = after(two, (context) => addPartOf(context, shop, nth(two, 'cell', 1).id, 'tabs'));
    const inTab = after(tabs, (context) => addPartOf(context, shop, nth(tabs, 'tab').id, 'heading'));
    const css = renderStyles(inTab.site, [resolveMenu(inTab, site.menu)]);
    expect(css).toContain('.zv-span-6{grid-column:span 6}');
    expect(css).toContain('.zv-tabs>input:nth-of-type(1):checked~.zv-tab:nth-of-type(1)');
    expect(css).not.toContain('zv-search');
    expect(renderStyles(site.document.site, [resolveMenu(site.document, site.menu)])).not.toContain(
      'zv-cell',
    );
  });

  it('has its vertical form where nothing drops: its rows one below the other, its list, or nothing, as on narrow screens', () => {
    const titled = after(composed, (context) =>
      addPartOf(context, shop, nth(composed, 'cell').id, 'heading'),
    );
    const own = after(titled, (context) => addRow(context, shop, null, 'narrow'));
    const narrowed = after(own, (context) =>
      addPartOf(context, shop, nth(own, 'cell', 1).id, 'heading', { text: 'On phones' }),
    );
    const as = (narrow: PanelFacts['narrow']): string => {
      const item = narrowed.items.nodes.get(shop)!;
      const document = {
        ...narrowed,
        items: withNodeChanged(narrowed.items, {
          ...item,
          dropdown: { form: 'panel', panel: { ...(narrow === undefined ? {} : { narrow }) } },
        }),
      };
      return renderMenu(resolveMenu(document, site.menu), { place: 'drawer' });
    };
    expect(as('stacked')).toMatch(/zv-stacked.*>Heading</);
    expect(as('stacked')).not.toContain('On phones');
    expect(as('own')).toContain('On phones');
    expect(as('own')).not.toContain('Herbs');
    expect(as('list')).not.toContain('zv-stacked');
    expect(as('list')).toContain('Herbs');
    expect(as('item')).not.toContain('Herbs');
    expect(
      renderMenu(resolveMenu(narrowed, site.menu), { place: 'footer' }),
      'a footer has its links',
    ).not.toContain('zv-rows');
  });

  it('is fetched when it is opened first, where that is wanted and the item leads somewhere', () => {
    const fetched = after(composed, (context) => setPartsFetched(context));
    const menu = resolveMenu(fetched, site.menu);
    const made = renderMenu(menu, { place: 'bar', panels: 'panels/menu' });
    expect(made).toContain(`data-zv-from="panels/menu/${shop}.html"></div>`);
    expect(made).not.toContain('Herbs');
    expect(renderMenu(menu, { place: 'bar' }), 'but not where it is composed').toContain('Herbs');
  });
});

function setPartsFetched(context: CommandContext): Result<Edit> {
  const dropdown = { form: 'panel' as const, panel: { isFetched: true as const } };
  return {
    ok: true,
    value: {
      ...base(context),
      operations: [{ kind: 'updateItem', id: shop, set: { dropdown }, was: { dropdown: null } }],
    },
  };
}

function base(context: CommandContext): Edit {
  const made = addRow(context, shop, null);
  if (!made.ok) throw new Error(made.refusal.message);
  return made.value;
}
