import { describe, expect, it } from 'vitest';
import { decodeHtml } from '../src/reading/decodeHtml.ts';
import { addressKey, readPage, type PageFacts } from '../src/reading/readPage.ts';
import { siteTree } from '../src/reading/siteTree.ts';

const URL_OF = (path: string): string => `https://docs.example${path}`;
const page = (path: string, body: string, head = ''): PageFacts =>
  readPage(
    `<!doctype html><html lang="en"><head><title>${path === '/' ? 'Docs' : `${path.slice(1)} – Docs`}</title>${head}</head><body>${body}</body></html>`,
    URL_OF(path),
  );
const jsonLd = (...steps: readonly (readonly [string, string])[]): string =>
  `<script type="application/ld+json">${JSON.stringify({
    '@graph': [
      {
        '@type': 'BreadcrumbList',
        itemListElement: steps.map(([name, item], at) => ({
          '@type': 'ListItem',
          position: at + 1,
          name,
          item,
        })),
      },
    ],
  })}</script>`;
/** The tree as lines, set in by depth, each with what placed it. */
function outline(facts: readonly PageFacts[], trust: Parameters<typeof siteTree>[2] = null): string[] {
  const depth = new Map<string, number>();
  return siteTree(facts, '/', trust).map(({ title, address, above, placing }) => {
    const [parent] = above;
    const level = parent === undefined ? 0 : (depth.get(parent) ?? 0) + 1;
    depth.set(address, level);
    return `${'  '.repeat(level)}${title} (${placing})`;
  });
}

describe('what pages say of their place', () => {
  it.each([
    ['jsonLd', '', jsonLd(['Docs', '/'], ['Guide', '/guide'], ['Leaf', '/leaf'])],
    [
      'microdata',
      `<ol itemscope itemtype="https://schema.org/BreadcrumbList"><li itemprop="itemListElement"><a itemprop="item" href="/"><span itemprop="name">Docs</span></a></li><li itemprop="itemListElement"><a itemprop="item" href="/guide"><span itemprop="name">Guide</span></a></li></ol>`,
      '',
    ],
    [
      'breadcrumb',
      '<nav aria-label="Breadcrumb"><ol><li><a href="/">Docs</a></li><li><a href="/guide">Guide</a></li><li>Leaf</li></ol></nav>',
      '',
    ],
    [
      'breadcrumb',
      '<div class="bread-crumbs"><a href="/">Docs</a> / <a href="/guide">Guide</a> / Leaf</div>',
      '',
    ],
    [
      'trail',
      '<div><ul><li style="float:right"><a href="/next">next</a> |</li><li><a href="/">Docs</a> &raquo;</li><li><a href="/guide">Guide</a> &raquo;</li><li>Leaf</li></ul></div>',
      '',
    ],
    ['up', '', '<link rel="up" href="/guide">'],
    [
      'list',
      '<nav><ul><li><a href="/guide">Guide</a><ul><li><a href="/leaf">Leaf</a></li></ul></li></ul></nav>',
      '',
    ],
  ] as const)('is taken from %s', (by, body, head) => {
    const facts = [
      page('/', '<a href="/guide">Guide</a>'),
      page('/guide', ''),
      page('/next', ''),
      page('/leaf', body, head),
    ];
    expect(outline(facts).find((line) => line.trim().startsWith('leaf'))).toBe(`  leaf (${by})`);
  });

  it('is the path where nothing better is said, and the top where that says nothing either', () => {
    expect(
      outline([page('/', ''), page('/a/', ''), page('/a/b.html', ''), page('/c', '')]).map((line) =>
        line.replace(/ – .*| \/.*/, ''),
      ),
    ).toEqual(['Docs (path)', 'a/ (none)', '  a/b.html (path)', 'c (none)']);
  });

  it('makes of a flat site whose addresses say nothing the tree that its breadcrumbs tell, in the order of its lists', () => {
    const crumb = (...steps: string[]): string =>
      `<nav class="breadcrumb">${steps.map((one) => `<a href="/${one}">${one}</a>`).join(' › ')}</nav>`;
    const nav = '<ul><li><a href="/z">z</a></li><li><a href="/b">b</a></li><li><a href="/a">a</a></li></ul>';
    const facts = [
      page('/', nav),
      page('/a', crumb('', 'z')),
      page('/b', crumb('', 'z')),
      page('/z', crumb('')),
      page('/c', crumb('', 'z', 'b')),
    ];
    expect(outline(facts)).toEqual([
      'Docs (path)',
      'z (breadcrumb)',
      '  b (breadcrumb)',
      '    c (breadcrumb)',
      '  a (breadcrumb)',
    ]);
  });

  it('takes the way up from the key that leads there, and nested terms for a list, as manuals have them', () => {
    const up = (path: string, above: string): PageFacts =>
      page(path, `<table><tr><td><a accesskey="U" href="${above}">Up</a></td></tr></table>`);
    const contents =
      '<dl><dt><span><a href="/part">1. Part</a></span></dt><dd><dl><dt><a href="/first">1.1. First</a></dt><dt><a href="/second">1.2. Second</a></dt></dl></dd><dt><a href="/end">2. End</a></dt></dl>';
    expect(
      outline([
        page('/', contents),
        up('/part', '/'),
        up('/first', '/part'),
        page('/second', ''),
        page('/end', ''),
      ]),
    ).toEqual(['Docs (path)', 'part (up)', '  first (up)', '  second (list)', 'end (none)']);
  });

  it('leaves out the numbers of chapters where most pages have one, and keeps them where they are part of a name', () => {
    const titled = (path: string, title: string): PageFacts =>
      readPage(`<title>${title}</title>`, URL_OF(path));
    const titles = (...all: string[]): string[] =>
      siteTree([page('/', ''), ...all.map((title, at) => titled(`/p${at}`, title))], '/')
        .map(({ title }) => title)
        .slice(1);
    expect(titles('1. Sowing', '1.1. Under glass', '2.10 Тёплая теплица', '3D printing')).toEqual([
      'Sowing',
      'Under glass',
      'Тёплая теплица',
      '3D printing',
    ]);
    expect(titles('2026 in review', 'Sowing', 'Watering')).toEqual(['2026 in review', 'Sowing', 'Watering']);
  });

  it('keeps what contradicts, believes what one is told to, and closes no circle', () => {
    const facts = [
      page('/', ''),
      page('/a', '<nav class="breadcrumb"><a href="/b">b</a></nav>', '<link rel="up" href="/c">'),
      page('/b', '<nav class="breadcrumb"><a href="/a">a</a></nav>'),
      page('/c', ''),
    ];
    const tree = siteTree(facts, '/');
    expect(tree.find(({ address }) => address === '/a')).toMatchObject({
      placing: 'breadcrumb',
      above: ['/b'],
      otherwise: [{ by: 'up', parent: '/c' }],
    });
    expect(tree).toHaveLength(4);
    expect(outline(facts, 'up')).toContain('  a (up)');
  });

  it('follows the order that pages say of one another', () => {
    const chain = ['/', '/c', '/a', '/b'];
    const facts = chain.map((path, at) =>
      page(path, '', chain[at + 1] === undefined ? '' : `<link rel="next" href="${chain[at + 1] ?? ''}">`),
    );
    expect(siteTree([facts[0]!, facts[2]!, facts[3]!, facts[1]!], '/').map(({ address }) => address)).toEqual(
      chain,
    );
  });

  it('gives titles as one would put them in a menu: without what nearly all of them repeat', () => {
    const titled = (path: string, title: string): PageFacts =>
      readPage(`<title>${title}</title><h1>Heading of ${path}</h1>`, URL_OF(path));
    const facts = [
      titled('/', 'Meadow'),
      titled('/a', 'Asters — Plants — Meadow'),
      titled('/b', 'Beans - and peas — Plants — Meadow'),
      titled('/c', 'Corn — Plants — Meadow'),
      titled('/d', ' — Meadow'),
    ];
    expect(siteTree(facts, '/').map(({ title }) => title)).toEqual([
      'Meadow',
      'Asters',
      'Beans - and peas',
      'Corn',
      'Heading of /d',
    ]);
  });

  it('knows kinds, anchors, days and pictures, and addresses that differ in nothing', () => {
    const facts = readPage(
      `<html lang="de"><meta name=description content=" About "><meta property="og:image" content="/p.png"><meta property="article:published_time" content="2026-03-04T10:00:00Z">
       <script type="application/ld+json">{"@type":"Product"}</script><h1>Thing <a href="#x">¶</a></h1><h2 id="care">Care</h2><section id="s"><h3>Soil</h3></section>
       <a href="https://docs.example/x/index.html#top">X</a><a href="/x/?b=2&a=1">Q</a><a href="//other.example/">O</a><a href="mailto:a@b">M</a><a href="/pic.png">P</a>`,
      URL_OF('/thing'),
    );
    expect(facts).toMatchObject({
      language: 'de',
      kind: 'product',
      summary: 'About',
      date: '2026-03-04',
      heading: 'Thing',
      links: ['/thing', '/x/', '/x/?a=1&b=2'],
    });
    expect(facts.anchors).toEqual([
      { id: 'care', title: 'Care' },
      { id: 's', title: 'Soil' },
    ]);
    expect(addressKey('/a/index.html?')).toBe('/a/');
  });

  it('reads what is broken as browsers do, and is not stopped by data that is none', () => {
    const facts = readPage(
      '<title>Broken<p><a href="/a"><nav class=breadcrumb><a href=":::">x</a><script type="application/ld+json">{"@type": </script><h1',
      URL_OF('/'),
    );
    expect(facts.title).toContain('Broken');
    expect(() => readPage(`${'<div>'.repeat(30_000)}<a href="/deep">x</a>`, URL_OF('/'))).not.toThrow();
    expect(
      readPage('<title>404 Not Found</title><meta name="robots" content="noindex"><h1>Oh</h1>', URL_OF('/'))
        .isErrorPage,
    ).toBe(true);
    expect(
      readPage(
        '<title>How we found 404 orchids</title><meta name="robots" content="index"><h1>Orchids</h1>',
        URL_OF('/'),
      ).isErrorPage,
    ).toBe(false);
  });
});

describe('character sets', () => {
  const korean = new Uint8Array([0xc1, 0xa4, 0xbf, 0xf8]);
  it.each([
    ['what the server says', korean, 'text/html; charset=EUC-KR', '정원'],
    [
      'what the page says',
      new Uint8Array([...new TextEncoder().encode('<meta charset="euc-kr">'), ...korean]),
      'text/html',
      '<meta charset="euc-kr">정원',
    ],
    [
      'a mark at the beginning, before all else',
      new Uint8Array([0xff, 0xfe, 0x41, 0x00]),
      'text/html; charset=utf-8',
      'A',
    ],
    ['UTF-8 where nothing is said and it is that', new TextEncoder().encode('Gärten'), null, 'Gärten'],
    [
      'Windows-1252 where nothing is said and it is not',
      new Uint8Array([0x47, 0xe4, 0x72, 0x80]),
      null,
      'Gär€',
    ],
    ['nothing that nobody knows', new TextEncoder().encode('Gärten'), 'text/html; charset=klingon', 'Gärten'],
  ])('are taken from %s', (_, bytes, type, text) => {
    expect(decodeHtml(bytes, type)).toBe(text);
  });
});
