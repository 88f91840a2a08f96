import { describe, expect, it } from 'vitest';
import type { Id } from '../src/base/ids.ts';
import { createMenu, placeMenu } from '../src/commands/menus.ts';
import { setException, setShownMenu } from '../src/commands/frame.ts';
import type { CommandContext } from '../src/commands/context.ts';
import type { Result } from '../src/base/result.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { nodeAt, withNodeChanged } from '../src/model/forest.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import type { Edit } from '../src/ops/edit.ts';
import { placementOf } from '../src/resolve/placementOf.ts';
import { placementTable } from '../src/resolve/placementTable.ts';
import { contextOf } from '../testing/contextOf.ts';
import { outlined } from '../testing/outlined.ts';

const start = outlined('Shop > /shop', '/ Home\n/shop Shop\n  /shop/mugs Mugs\n/help Help');
const page = (address: string): Id => start.ids.get(address) ?? '';
const after = (document: SiteDocument, command: (context: CommandContext) => Result<Edit>): SiteDocument => {
  const made = command(contextOf(document, document.parts.nodes.size));
  if (!made.ok) throw new Error(made.refusal.message);
  const applied = applyEdit(document, made.value);
  if (!applied.ok) throw new Error(applied.refusal.message);
  return applied.value.document;
};
const templated: SiteDocument = {
  ...start.document,
  pages: [
    ['/shop', 'shop'],
    ['/shop/mugs', 'product'],
    ['/help', 'shop'],
  ].reduce(
    (now, [address = '', template = '']) => withNodeChanged(now, { ...nodeAt(now, page(address)), template }),
    start.document.pages,
  ),
};
const placement = placementOf(templated, start.menu)!.id;

describe('the placement table', () => {
  it('has a row for each place of a menu and a column for each template, the one with most pages first', () => {
    const { rows, templates, nowhere } = placementTable(templated);
    expect(templates).toEqual([
      { template: 'shop', pages: 2 },
      { template: 'product', pages: 1 },
    ]);
    expect(rows.map(({ usual, cells }) => [usual.menu, cells.map(({ menu, by }) => [menu, by])])).toEqual([
      [
        start.menu,
        [
          [start.menu, null],
          [start.menu, null],
        ],
      ],
    ]);
    expect(nowhere).toEqual([]);
  });

  it('says in each cell which menu wins, and by which exception; exceptions for pages are with their template', () => {
    const more = after(templated, (context) => createMenu(context, { name: 'Products', place: 'side' }));
    const products = [...more.menus.nodes.values()].find(({ name }) => name === 'Products')!.id;
    const set = [
      (context: CommandContext) =>
        setException(context, placement, { template: 'product' }, { isShown: true, shows: products }),
      (context: CommandContext) =>
        setException(context, placement, { onPage: page('/help') }, { isShown: false }),
      (context: CommandContext) =>
        setException(context, placement, { onPage: page('/'), isBelow: true }, { isShown: false }),
      (context: CommandContext) =>
        setException(context, placement, { template: 'nobody' }, { isShown: true, shows: start.menu }),
    ].reduce(after, more);
    const { rows, templates } = placementTable(set);
    expect(templates.map(({ template, pages }) => `${template} ${pages}`)).toEqual([
      'shop 2',
      'product 1',
      'nobody 0',
    ]);
    const row = rows.find((one) => one.placement.id === placement)!;
    expect(row.cells.map(({ menu, by }) => [menu, by?.template ?? null])).toEqual([
      [start.menu, null],
      [products, 'product'],
      [start.menu, 'nobody'],
    ]);
    expect(row.cells[0]?.pages.map(({ onPage }) => onPage)).toEqual([page('/help')]);
    expect(
      row.pages.map(({ onPage }) => onPage),
      'a page without a template',
    ).toEqual([page('/')]);
  });

  it('names menus that show on no page: hidden ones, and those whose place was given to another', () => {
    const second = after(templated, (context) => createMenu(context, { name: 'Second', place: 'bar' }));
    const other = [...second.menus.nodes.values()].find(({ name }) => name === 'Second')!.id;
    expect(placementTable(second).nowhere, 'a page does not get two main menus').toEqual([other]);
    const swapped = after(second, (context) => setShownMenu(context, placement, other));
    expect(placementTable(swapped).nowhere).toEqual([start.menu]);
    const moved = after(second, (context) => placeMenu(context, other, 'footer'));
    expect(
      placementTable(moved).rows.map(({ usual }) => usual.isShown),
      'in a place of its own it shows',
    ).toEqual([true, true]);
  });
});
