import { parseFragment, type DefaultTreeAdapterMap } from 'parse5';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../src/base/seededRandom.ts';
import { renderMenu } from '../src/render/renderMenu.ts';
import { renderStyles } from '../src/render/renderStyles.ts';
import type { ResolvedItem, ResolvedMenu } from '../src/resolve/resolved.ts';
import { resolveMenu } from '../src/resolve/resolveMenu.ts';
import { places } from '../src/schema/placement.ts';
import { outlined } from '../testing/outlined.ts';
import { randomDocument } from '../testing/randomDocument.ts';

type Element = DefaultTreeAdapterMap['element'];
type Tree = { label: string; href: string | null; children: Tree[] };

const HOSTILE = [
  '<script>alert(1)</script>',
  '"><img src=x onerror=alert(1)>',
  "' onmouseover='alert(1)",
  '</nav></ul>--><!--',
  '&lt;not escaped&gt; &amp; &#x41;',
  '\u202eright to left\u202c',
  '😀👩‍🌾 emoji',
  'x'.repeat(10_000),
  ' \u00a0 ',
  'a\u0000b\u0008c\u001fd\u007fe\u0085f',
  '\ud800 half \udfff',
  '{{constructor}} ${1+1} %s',
];

const item = (label: string, href: string | null = '/a', children: ResolvedItem[] = []): ResolvedItem => ({
  id: 'i00000000000000x',
  label,
  href,
  opensNewTab: false,
  children,
});
const menuOf = (items: ResolvedItem[]): ResolvedMenu => ({
  key: 'main',
  name: 'Main',
  language: 'en',
  direction: 'ltr',
  items,
});

const isElement = (node: DefaultTreeAdapterMap['childNode']): node is Element => 'tagName' in node;
const elements = (node: { childNodes: DefaultTreeAdapterMap['childNode'][] }): Element[] =>
  node.childNodes.filter(isElement);
/** The label itself, without the badge and the description that may stand with it. */
const textOf = (node: Element): string =>
  node.childNodes
    .map((child) =>
      'value' in child ? child.value : isElement(child) && child.tagName === 'i' ? textOf(child) : '',
    )
    .join('');

/** What a browser makes of the HTML, as a tree of labels and addresses. */
function treeIn(html: string): Tree[] {
  const [nav] = elements(parseFragment(html));
  const [list] = nav === undefined ? [] : elements(nav);
  return list === undefined ? [] : entriesOf(list);
}

function entriesOf(list: Element): Tree[] {
  return elements(list).map((entry) => {
    const [face] = elements(entry);
    // A panel has a list for each of its columns.
    const panel = elements(entry).find(({ tagName }) => tagName === 'div');
    const inner =
      panel === undefined ? elements(entry).filter(({ tagName }) => tagName === 'ul') : elements(panel);
    const href = face?.attrs.find(({ name }) => name === 'href')?.value ?? null;
    return { label: face === undefined ? '' : textOf(face), href, children: inner.flatMap(entriesOf) };
  });
}

const plainTree = (items: readonly ResolvedItem[]): Tree[] =>
  items.map(({ label, href, children }) => ({ label, href, children: plainTree(children) }));

describe('the HTML of a menu', () => {
  it('parses back to the same labels, addresses and nesting, for any menu and place', () => {
    for (let seed = 1; seed <= 40; seed += 1) {
      const document = randomDocument(seededRandom(seed), { pages: 20, menus: 2, items: 40 });
      for (const id of document.menus.nodes.keys()) {
        const menu = resolveMenu(document, id);
        for (const place of places)
          expect(treeIn(renderMenu(menu, { place })), `seed ${seed}`).toEqual(plainTree(menu.items));
      }
    }
  });

  it.each(HOSTILE)('shows the hostile label %j as text and nothing else', (label) => {
    const html = renderMenu(
      menuOf([item(label, '/a', [item(label)]), item(label, null, [item(label, null)])]),
      { place: 'bar' },
    );
    const [nav] = elements(parseFragment(html));
    const tags = new Set<string>();
    const attributes = new Set<string>();
    const visit = (node: Element): void => {
      tags.add(node.tagName);
      node.attrs.forEach(({ name }) => attributes.add(name));
      elements(node).forEach(visit);
    };
    if (nav !== undefined) visit(nav);
    expect([...tags].toSorted()).toEqual(['a', 'button', 'li', 'nav', 'span', 'ul']);
    expect([...attributes].toSorted()).toEqual([
      'aria-controls',
      'aria-expanded',
      'aria-label',
      'class',
      'dir',
      'href',
      'id',
      'lang',
      'type',
    ]);
    expect(html).not.toMatch(
      // eslint-disable-next-line no-control-regex -- these are what must not come out
      /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\ud800-\udfff](?![\udc00-\udfff])(?<![\ud800-\udbff][\udc00-\udfff])/,
    );
  });

  it.each([
    'javascript:alert(1)',
    ' javascript:alert(1)',
    'JAVASCRIPT:alert(1)',
    'data:text/html,x',
    '//elsewhere.example/',
    'java\tscript:x',
    'vbscript:x',
  ])('never links to %j, even when it got into a document', (href) => {
    expect(renderMenu(menuOf([item('A', href)]), { place: 'bar' })).not.toContain('href');
  });

  it('opens a new tab without giving it a hold on this one', () => {
    expect(renderMenu(menuOf([{ ...item('A'), opensNewTab: true }]), { place: 'bar' })).toContain(
      '<a href="/a" target="_blank" rel="noopener">A</a>',
    );
  });

  it('is, without its marks, what the live header shows', () => {
    for (let seed = 1; seed <= 20; seed += 1) {
      const document = randomDocument(seededRandom(seed), { pages: 20, menus: 1, items: 40 });
      for (const id of document.menus.nodes.keys()) {
        const menu = resolveMenu(document, id);
        const marked = renderMenu(menu, { place: 'bar', marks: true });
        expect(marked.replaceAll(/ data-zv-item="[0-9a-z]+"/g, '')).toBe(renderMenu(menu, { place: 'bar' }));
      }
    }
  });

  it('has a panel as a list for each of its columns, unfolded, and its numbers as classes for the style sheet', () => {
    const group = (label: string, ...links: string[]): ResolvedItem =>
      item(
        label,
        '/x',
        links.map((link) => item(link)),
      );
    const dropdown = {
      form: 'panel' as const,
      opens: 'press' as const,
      panel: { extent: 'page' as const, gap: 12, innerWidth: 900, narrow: 'list' as const },
    };
    const seeds: ResolvedItem = {
      ...item('Seeds', '/seeds', [group('Spring', 'Beans', 'Peas'), group('Autumn', 'Garlic'), item('All')]),
      dropdown,
      columns: [1, 2],
    };
    const menu = menuOf([
      seeds,
      { ...item('Row', '/row', [item('A')]), dropdown: { form: 'row' } },
      { ...item('Fly', '/fly', [item('B', '/b', [item('C')])]), dropdown: { form: 'flyouts' } },
    ]);
    const html = renderMenu(menu, { place: 'bar' });
    expect(html).toContain(
      '<li class="zv-drops-panel zv-gap-12 zv-inner-width-900 zv-narrow-list" data-zv-opens="press"><a href="/seeds">',
    );
    expect(html).toContain(
      '<div class="zv-panel zv-columns-2" id="zv-main-i00000000000000x" data-zv-panel="page item"><ul><li><a href="/x">Spring</a><ul>',
    );
    expect(html.match(/<button/g), 'one for each top entry, one in the flyout').toHaveLength(4);
    expect(treeIn(html)).toEqual(plainTree(menu.items));
    const styles = renderStyles({ breakpoints: { medium: 768, wide: 1024 } }, [menu]);
    for (const rule of [
      '.zv-columns-2{--_columns:2}',
      '.zv-gap-12{--_drop:12px}',
      '.zv :where(.zv-inner-width-900>.zv-columns-2){',
      '.zv-drops-row',
      '.zv-drops-flyouts',
    ])
      expect(styles).toContain(rule);
    expect(
      renderStyles({ breakpoints: { medium: 768, wide: 1024 } }, [menuOf([item('A', '/a', [item('B')])])]),
    ).not.toContain('zv-panel{');
    expect(renderMenu(menu, { place: 'footer' }), 'no panel where nothing drops').not.toContain('zv-panel');
  });

  it('gives every button a branch that is there, and ids that stand once', () => {
    const document = randomDocument(seededRandom(3), { pages: 20, menus: 1, items: 60 });
    const [id = ''] = document.menus.nodes.keys();
    const html = renderMenu(resolveMenu(document, id), { place: 'bar' });
    const controlled = [...html.matchAll(/aria-controls="([^"]+)"/g)].map(([, one]) => one);
    const ids = [...html.matchAll(/ id="([^"]+)"/g)].map(([, one]) => one);
    expect(controlled.length).toBeGreaterThan(5);
    expect(ids.toSorted()).toEqual([...controlled, 'zv-menu-0'].toSorted());
    expect(new Set(ids).size).toBe(ids.length);
  });

  it('renders and resolves 20,000 levels without overflowing', () => {
    let deep = item('bottom');
    for (let level = 0; level < 20_000; level += 1) deep = { ...item('x', null, [deep]) };
    expect(renderMenu(menuOf([deep]), { place: 'bar' })).toContain('bottom');
  });

  it('is an empty nav for an empty menu', () => {
    expect(renderMenu(menuOf([]), { place: 'footer' })).toBe(
      '<nav class="zv zv-list" id="zv-main" aria-label="Main" lang="en" dir="ltr"></nav>',
    );
  });
});

describe('the style sheet', () => {
  it('names no physical direction, so that right-to-left needs nothing of its own', () => {
    const css = renderStyles({ breakpoints: { medium: 768, wide: 1024 } });
    expect(css).not.toMatch(
      /(?:margin|padding|inset|border)-(?:left|right)|(?:^|[{;])(?:left|right):|text-align:(?:left|right)|float/,
    );
  });
});

describe('what a visitor gets', () => {
  const { document, ids, menu } = outlined(
    '= /live\n  = /gone\n= /draft\n  Below > /x\n= /gone\nHeading',
    '/live Live page\n/gone Gone page\n/draft Draft page',
  );
  const withStates = {
    ...document,
    pages: {
      ...document.pages,
      nodes: document.pages.nodes
        .with(ids.get('/gone') ?? '', {
          ...document.pages.nodes.get(ids.get('/gone') ?? '')!,
          state: 'gone' as const,
        })
        .with(ids.get('/draft') ?? '', {
          ...document.pages.nodes.get(ids.get('/draft') ?? '')!,
          state: 'draft' as const,
        }),
    },
  };

  it('leaves out what leads to a page that is not live, but not what stands below it', () => {
    expect(plainTree(resolveMenu(withStates, menu).items)).toEqual([
      { label: 'Live page', href: '/live', children: [] },
      { label: 'Draft page', href: null, children: [{ label: 'Below', href: '/x', children: [] }] },
      { label: 'Heading', href: null, children: [] },
    ]);
  });

  it('goes the way its language is written, unless it is the site’s own', () => {
    const arabic = {
      ...document,
      menus: {
        ...document.menus,
        nodes: document.menus.nodes.with(menu, { ...document.menus.nodes.get(menu)!, language: 'ar-EG' }),
      },
    };
    expect([resolveMenu(document, menu).direction, resolveMenu(arabic, menu).direction]).toEqual([
      'ltr',
      'rtl',
    ]);
  });
});
