import { describe, expect, it } from 'vitest';
import type { Id } from '../src/base/ids.ts';
import { seededRandom } from '../src/base/seededRandom.ts';
import type { IncomingPage } from '../src/diff/diffPages.ts';
import { diffReading, type ReadingDiff } from '../src/diff/diffReading.ts';
import { newDocument, type SiteDocument } from '../src/model/document.ts';
import { findBreach } from '../src/model/findBreach.ts';
import { childrenOf, nodeAt, withNodeChanged } from '../src/model/forest.ts';
import { toStored } from '../src/model/stored.ts';
import { changeTree } from '../src/diff/changeRows.ts';
import { importPages, type ImportPages } from '../src/ops/importPages.ts';
import type { Page } from '../src/schema/page.ts';
import { outlined } from '../testing/outlined.ts';
import { siteFixture } from '../testing/siteFixture.ts';

/** Pages as a reading gives them, from lines set in by two spaces a level: `/address Title`. */
function read(outline: string): IncomingPage[] {
  const open: string[] = [];
  return outline
    .split('\n')
    .filter((line) => line.trim() !== '')
    .map((line) => {
      const depth = (line.length - line.trimStart().length) / 2;
      const [address = '', ...title] = line.trim().split(' ');
      open[depth] = address;
      const above = depth === 0 ? [] : [open[depth - 1] ?? ''];
      return { key: address, address, title: title.join(' '), kind: 'page', above };
    });
}
function taken(document: SiteDocument, { operation }: ReadingDiff): SiteDocument {
  const applied = importPages.apply(document, operation);
  if (!applied.ok) throw new Error(applied.refusal.message);
  expect(findBreach(applied.value.document)).toBeNull();
  const back = importPages.apply(applied.value.document, importPages.invert(applied.value.operation));
  expect(back.ok && toStored(back.value.document)).toEqual(toStored(document));
  return applied.value.document;
}
let seed = 0;
const diff = (
  document: SiteDocument,
  outline: string,
  redirects: Readonly<Record<string, string>> = {},
  missing: 'keep' | 'retire' = 'retire',
): ReadingDiff =>
  diffReading(document, read(outline), {
    missing,
    random: seededRandom((seed += 1)),
    redirects: new Map(Object.entries(redirects)),
  });
function outlineOf({ pages, site }: SiteDocument): string {
  const lines = (parent: Id, inset: string): string[] =>
    [...childrenOf(pages, parent)].flatMap((id) => {
      const { title, state } = nodeAt(pages, id);
      return [...(state === 'gone' ? [] : [inset + title]), ...lines(id, `${inset}-`)];
    });
  return lines(site.id, '').join(' ');
}
const idAt = (document: SiteDocument, address: string): Id | undefined =>
  [...document.pages.nodes.values()].find((page) => page.address === address)?.id;

const FIRST =
  '/ Home\n/seeds Seeds\n  /seeds/beans Beans\n  /seeds/corn Corn\n/tools Tools\n  /tools/hoes Hoes';
const start = taken(newDocument(siteFixture), diff(newDocument(siteFixture), FIRST));

describe('reading a site again', () => {
  it('changes nothing when the site says the same', () => {
    const { operation, added, renamed, moved, readdressed, gone } = diff(start, FIRST);
    expect(
      [operation.added, operation.moved, operation.changed, added, renamed, moved, readdressed, gone].flat(),
    ).toEqual([]);
    expect(outlineOf(start)).toBe('Home Seeds -Beans -Corn Tools -Hoes');
    expect([...start.pages.nodes.values()].every(({ since }) => since === undefined)).toBe(true);
  });

  it('tells what is new, renamed, moved and gone, and does it', () => {
    const again = diff(
      start,
      '/ Home\n/seeds Seeds\n  /seeds/beans Pulses\n  /seeds/peas Peas\n/tools Tools\n  /seeds/corn Corn',
    );
    expect(again).toMatchObject({
      added: [{ title: 'Peas', address: '/seeds/peas' }],
      renamed: [{ was: 'Beans', title: 'Pulses' }],
      moved: [{ title: 'Corn', was: 'Seeds', now: 'Tools' }],
      gone: [{ title: 'Hoes', address: '/tools/hoes' }],
    });
    const next = taken(start, again);
    expect(outlineOf(next)).toBe('Home Seeds -Pulses -Peas Tools -Corn');
    expect(idAt(next, '/seeds/corn')).toBe(idAt(start, '/seeds/corn'));
    expect(nodeAt(next.pages, idAt(next, '/seeds/peas') ?? '').since).toBe(1);
    expect(nodeAt(next.pages, idAt(next, '/tools/hoes') ?? '').state).toBe('gone');
    expect(outlineOf(taken(start, diff(start, '/ Home', {}, 'keep')))).toBe(outlineOf(start));
  });

  it.each([
    [
      'an address that is answered with another',
      '/ Home\n/seeds Seeds\n  /seeds/maize Maize\n  /seeds/beans Beans\n/tools Tools\n  /tools/hoes Hoes',
      { '/seeds/corn': '/seeds/maize' },
      '/seeds/maize',
      'redirect',
    ],
    [
      'the same title under the same parent',
      '/ Home\n/seeds Seeds\n  /s/corn Corn\n  /seeds/beans Beans\n/tools Tools\n  /tools/hoes Hoes',
      {},
      '/s/corn',
      'title',
    ],
  ] as const)('knows a page again by %s, and keeps where it was', (_, outline, redirects, address, by) => {
    const again = diff(start, outline, redirects);
    expect(again.readdressed).toMatchObject([{ was: '/seeds/corn', address, by }]);
    expect([again.added, again.gone]).toEqual([[], []]);
    const next = taken(start, again);
    expect(idAt(next, address)).toBe(idAt(start, '/seeds/corn'));
    expect(nodeAt(next.pages, idAt(next, address) ?? '').formerAddresses).toEqual(['/seeds/corn']);
  });

  it('lets a title stand that a person gave the page, until the site changes its own', () => {
    const page = nodeAt(start.pages, idAt(start, '/seeds/beans') ?? '');
    const own = { ...start, pages: withNodeChanged(start.pages, { ...page, title: 'Our beans' }) };
    expect(diff(own, FIRST).renamed).toEqual([]);
    expect(diff(own, FIRST.replace('Beans', 'Pulses')).renamed).toEqual([
      { was: 'Our beans', title: 'Pulses' },
    ]);
  });

  it('takes over the order, however much of it changed, and what came between', () => {
    const outline =
      '/tools Tools\n  /tools/hoes Hoes\n/seeds Seeds\n  /seeds/corn Corn\n  /seeds/new New\n  /seeds/beans Beans\n/ Home';
    expect(outlineOf(taken(start, diff(start, outline)))).toBe('Tools -Hoes Seeds -Corn -New -Beans Home');
  });

  it('brings back what was gone, and puts a branch below what stood below it', () => {
    const without = taken(
      start,
      diff(start, '/ Home\n/seeds Seeds\n  /seeds/beans Beans\n  /seeds/corn Corn'),
    );
    expect(outlineOf(without)).toBe('Home Seeds -Beans -Corn');
    const back = taken(without, diff(without, FIRST));
    expect(outlineOf(back)).toBe(outlineOf(start));
    expect(nodeAt(back.pages, idAt(back, '/tools') ?? '').since).toBe(1);
    const turned = taken(
      start,
      diff(
        start,
        '/ Home\n/seeds/corn Corn\n  /seeds Seeds\n    /seeds/beans Beans\n/tools Tools\n  /tools/hoes Hoes',
      ),
    );
    expect(outlineOf(turned)).toBe('Home Corn -Seeds --Beans Tools -Hoes');
  });
});

describe('the tree of changes', () => {
  const { document, ids } = outlined(
    '',
    '/shop Shop\n  /shop/mugs Mugs\n    /shop/mugs/red Red mug\n  /shop/sale Sale\n/about About\n/help Help',
  );
  const at = (path: string): Page => nodeAt(document.pages, ids.get(path) ?? '');
  const base: ImportPages = { kind: 'importPages', added: [], moved: [], removed: [], changed: [] };
  const changed = (path: string, set: Partial<Page>): ImportPages['changed'][number] => ({
    kind: 'updatePage',
    id: at(path).id,
    set,
    was: Object.fromEntries(Object.keys(set).map((name) => [name, at(path)[name as keyof Page] ?? null])),
  });
  const fresh: Page = {
    ...at('/help'),
    id: 'p0000000000fresh',
    key: '/shop/mugs/blue',
    parent: at('/shop/mugs').id,
    title: 'Blue mug',
    address: '/shop/mugs/blue',
  };

  it('has each change in its place, below the pages that it stands below, and no other pages', () => {
    const moved = {
      kind: 'movePage',
      id: at('/shop/sale').id,
      from: { parent: at('/shop').id, after: at('/shop/mugs').id },
      to: { parent: document.site.id, after: at('/help').id },
    } as const;
    const { rows, left } = changeTree(
      document,
      {
        ...base,
        added: [{ page: fresh, after: at('/shop/mugs/red').id }],
        moved: [moved],
        changed: [changed('/about', { title: 'About us' }), changed('/shop/mugs/red', { state: 'gone' })],
      },
      100,
    );
    expect(left).toBe(0);
    expect(rows).toEqual([
      { title: 'Shop', address: '/shop', depth: 0 },
      { title: 'Mugs', address: '/shop/mugs', depth: 1 },
      { title: 'Red mug', address: '/shop/mugs/red', depth: 2, isDeleted: true },
      { title: 'Blue mug', address: '/shop/mugs/blue', depth: 2, isNew: true },
      { title: 'About us', address: '/about', depth: 0, wasTitle: 'About' },
      { title: 'Sale', address: '/shop/sale', depth: 0, wasUnder: 'Shop' },
    ]);
  });

  it('says how many are not listed, and lists nothing of what cannot be done', () => {
    const many = { ...base, changed: [changed('/about', { title: 'A' }), changed('/help', { title: 'H' })] };
    expect(changeTree(document, many, 1)).toMatchObject({ rows: [{ title: 'A' }], left: 1 });
    expect(changeTree(document, { ...base, added: [{ page: at('/help'), after: null }] }, 9)).toEqual({
      rows: [],
      left: 0,
    });
  });
});
