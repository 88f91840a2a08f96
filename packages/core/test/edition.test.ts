import { readFileSync } from 'node:fs';
import { parseFragment, serialize, type DefaultTreeAdapterMap } from 'parse5';
import { describe, expect, it } from 'vitest';
import { escapeHtml, unescapeHtml } from '../src/base/escape.ts';
import { pathKey } from '../src/base/pathKey.ts';
import { seededRandom } from '../src/base/seededRandom.ts';
import { utf8Length } from '../src/base/utf8Length.ts';
import { nodeAt, withNodeChanged } from '../src/model/forest.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { readStored } from '../src/model/stored.ts';
import { currentMarks, markPlaces } from '../src/render/currentMarks.ts';
import { isFetched } from '../src/render/panelHtml.ts';
import { pageTable } from '../src/render/pageTable.ts';
import { renderEdition, resolvedMenus } from '../src/render/renderEdition.ts';
import { renderMenu, renderPanel } from '../src/render/renderMenu.ts';
import { splice } from '../src/render/splice.ts';
import { outlined } from '../testing/outlined.ts';
import { randomDocument } from '../testing/randomDocument.ts';

type Element = DefaultTreeAdapterMap['element'];
type Node = DefaultTreeAdapterMap['node'];

const every = readStored(
  JSON.parse(readFileSync(new URL('../laws/samples/format-5.json', import.meta.url), 'utf8')) as {
    format: number;
  },
);
const byCode = (a: string, b: string): number => (a < b ? -1 : Number(a > b));
const choices = { compareTitles: byCode, pictures: '/pictures/' };
const isElement = (node: Node): node is Element => 'tagName' in node;
const inside = (node: Node): Element[] => ('childNodes' in node ? node.childNodes.filter(isElement) : []);
const all = (node: Node): Element[] => inside(node).flatMap((one) => [one, ...all(one)]);
const attribute = ({ attrs }: Element, name: string): string | undefined =>
  attrs.find((one) => one.name === name)?.value;

/** What the marks should be, found out on the parsed page. */
function markedByTree(html: string, page: string, above: ReadonlySet<string>): string {
  const tree = parseFragment(html);
  const mark = (element: Element, value: string): void => {
    const present = element.attrs.find(({ name }) => name === 'aria-current');
    if (present === undefined) element.attrs.unshift({ name: 'aria-current', value });
    else if (value === 'page') present.value = value;
  };
  const markAbove = (from: Node): void => {
    for (let node: Node | null = from; node !== null; node = parentOf(node)) {
      if (!isElement(node) || node.tagName !== 'li') continue;
      const below = inside(node).findIndex(({ tagName }) => ['ul', 'div'].includes(tagName));
      for (const face of inside(node).slice(0, below < 0 ? undefined : below))
        if (attribute(face, 'aria-label') === undefined) mark(face, 'true');
    }
  };
  for (const link of all(tree)) {
    const href = link.tagName === 'a' ? attribute(link, 'href') : undefined;
    if (href?.startsWith('/') !== true) continue;
    const path = pathKey(href);
    if (path !== page && !above.has(path)) continue;
    mark(link, path === page ? 'page' : 'true');
    const holder = parentOf(link);
    markAbove(
      (holder !== null && isElement(holder) && holder.tagName === 'li' ? parentOf(holder) : holder) ?? tree,
    );
  }
  return serialize(tree);
}

function parentOf(node: Node): Node | null {
  return 'parentNode' in node ? node.parentNode : null;
}

function spliced(html: string, page: string, above: ReadonlySet<string>): string {
  const inserts = currentMarks(markPlaces(html), page, above);
  return Buffer.from(splice(Buffer.from(html, 'utf8'), inserts)).toString('utf8');
}

describe('an edition', () => {
  it('is all that a site is served, each file once, and says which pages there are', () => {
    const { files, pages, uploads, items } = renderEdition(every, choices);
    const paths = files.map(({ path }) => path);
    expect(new Set(paths).size).toBe(paths.length);
    expect(paths).toEqual(
      expect.arrayContaining(['navigation.css', 'navigation.js', 'menus/menu-0', 'menus/menu-0.html']),
    );
    expect(items).toBeGreaterThan(8);
    expect(uploads.length).toBeGreaterThan(0);
    expect(pages.length).toBeGreaterThan(3);
    for (const [at, { parent }] of pages.entries()) expect(parent).toBeLessThan(at);
  });

  it('lists live pages below the nearest live one above them, each path once', () => {
    const { document, ids } = outlined(
      '= /shop',
      '/shop Shop\n  /shop/old Old\n    /shop/old/mug Mug\n/Shop/ Twin',
    );
    const draft = { ...nodeAt(document.pages, ids.get('/shop/old') ?? ''), state: 'draft' as const };
    const twin = { ...nodeAt(document.pages, ids.get('/Shop/') ?? ''), address: '/shop/?from=mail#top' };
    const pages = withNodeChanged(withNodeChanged(document.pages, draft), twin);
    expect(pageTable({ ...document, pages })).toEqual([
      { path: '/shop', parent: -1, template: null },
      { path: '/shop/old/mug', parent: 0, template: null },
    ]);
  });

  it('compares paths decoded once, without query, fragment and slash at the end', () => {
    expect(
      ['/', '//', '/a/', '/a?b=/c/', '/a#b', '/caf%C3%A9', '/100%', '/%25zz', '/a%2Fb', ''].map(pathKey),
    ).toEqual(['/', '/', '/a', '/a', '/a', '/café', '/100%', '/%zz', '/a/b', '']);
  });
});

describe('the current page in what is delivered', () => {
  const fragments = (document: SiteDocument): string[] =>
    renderEdition(document, choices)
      .files.filter(({ path }) => path.endsWith('.html'))
      .map(({ body }) => body);

  it('is marked with all above it, at bytes, as the tree of the parsed HTML would have it', () => {
    const sites = Array.from({ length: 12 }, (_, seed) =>
      randomDocument(seededRandom(seed + 1), { pages: 20, menus: 3, items: 40, panels: 5 }),
    );
    let marks = 0;
    for (const document of [every, ...sites]) {
      const table = pageTable(document);
      for (const html of fragments(document)) {
        const linked = [...html.matchAll(/ href="(\/[^"]*)"/g)].map(([, href = '']) =>
          pathKey(unescapeHtml(href)),
        );
        for (const path of new Set([...linked.slice(0, 8), '/nowhere'])) {
          const row = table.find((one) => one.path === path);
          const above = new Set(row === undefined || row.parent < 0 ? [] : [table[row.parent]?.path ?? '']);
          const made = spliced(html, path, above);
          expect(serialize(parseFragment(made)), `${document.site.key} ${path}`).toBe(
            markedByTree(html, path, above),
          );
          marks += made.length - html.length;
        }
      }
    }
    expect(marks, 'something was marked').toBeGreaterThan(5000);
  });

  it('marks the links to it, and the entries and the pages that it stands below', () => {
    const { document, menu } = outlined(
      'Shop > /shop\n  Mugs > /shop/mugs\n  Tea\n    Green > /tea/green\nHome > /',
      '/ Home\n/shop Shop\n  /shop/mugs Mugs\n    /shop/mugs/blue Blue\n/tea/green Green',
    );
    const [html = ''] = resolvedMenus(document, byCode).map(({ menu: one }) =>
      renderMenu(one, { place: 'bar' }),
    );
    const at = (page: string, ...above: string[]): string[] =>
      [...spliced(html, page, new Set(above)).matchAll(/<\w+ aria-current="(\w+)"[^>]*>([^<]*)/g)].map(
        ([, mark, label]) => `${label} ${mark}`,
      );
    expect(menu).not.toBe('');
    expect(at('/shop/mugs', '/shop')).toEqual(['Shop true', 'Mugs page']);
    expect(at('/shop/mugs/blue', '/shop/mugs', '/shop'), 'a page that is in no menu').toEqual([
      'Shop true',
      'Mugs true',
    ]);
    expect(at('/tea/green'), 'a heading, too').toEqual(['Shop true', 'Tea true', 'Green page']);
    expect(at('/nowhere')).toEqual([]);
  });

  it('puts text in at bytes, whatever characters stand before them', () => {
    const text = 'é😀\ud800<b>';
    const bytes = Buffer.from(text, 'utf8');
    expect(utf8Length(text)).toBe(bytes.length);
    const at = utf8Length(text, 0, text.indexOf('b'));
    expect(Buffer.from(splice(bytes, [{ at, text: '+' }])).toString('utf8')).toBe('é😀\ufffd<+b>');
    expect(splice(bytes, [])).toBe(bytes);
    for (const hostile of ['&amp;lt;', '<&>"\'', '&#39;'])
      expect(unescapeHtml(escapeHtml(hostile))).toBe(hostile);
  });
});

describe('a menu that stands twice on a page', () => {
  it('has no id twice, panels that are fetched included, and every reference stays within it', () => {
    for (const { menu } of resolvedMenus(every, byCode)) {
      const written = ['zv-one', 'zv-two'].map((prefix) => {
        const nav = renderMenu(menu, { place: 'bar', prefix, panels: `panels/${prefix}` });
        const fetched = menu.items
          .filter(isFetched)
          .map((item) => renderPanel(menu, item, { place: 'bar', prefix }));
        return all(parseFragment([nav, ...fetched].join('')));
      });
      const ids = written.map((some) => some.flatMap((one) => attribute(one, 'id') ?? []));
      expect(new Set(ids.flat()).size).toBe(ids.flat().length);
      for (const [at, some] of written.entries())
        for (const one of some)
          for (const name of ['for', 'aria-controls']) {
            const to = attribute(one, name);
            if (to !== undefined) expect(ids[at], `${name}="${to}"`).toContain(to);
          }
      const groups = written.map((some) =>
        some.flatMap((one) => (attribute(one, 'type') === 'radio' ? (attribute(one, 'name') ?? []) : [])),
      );
      expect(groups[0]?.some((name) => groups[1]?.includes(name))).toBe(false);
    }
  });
});
