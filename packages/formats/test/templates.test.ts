import { parse } from 'parse5';
import { describe, expect, it } from 'vitest';
import { diffReading, newDocument, seededRandom, withNodesLast } from '@zorvik/core';
import { outlined } from '@zorvik/core/testing';
import { quillmerePages } from '../../../demo/quillmere/pages.ts';
import { pageHtml } from '../../../demo/site/pageHtml.ts';
import { readPage, type PageFacts } from '../src/reading/readPage.ts';
import { siteTree } from '../src/reading/siteTree.ts';
import { skeletonOf } from '../src/reading/skeleton.ts';
import { templatesOf } from '../src/reading/templatesOf.ts';

const origin = 'https://meadow.example';
const pages = quillmerePages();
const read = (html: string, path: string): PageFacts => readPage(html, origin + path);
const facts = pages.map((page) =>
  read(
    pageHtml({
      path: page.path,
      page,
      trail: [],
      children: pages.filter(({ parent }) => parent === page.path),
      frame: { skip: '', header: '', side: '', footer: '' },
    }),
    page.path,
  ),
);

describe('templates by the skeleton of markup', () => {
  it('are found on the stand-in site: of two pages, whether they share one', () => {
    const groups = templatesOf(facts);
    const groupOf = new Map(groups.flatMap(({ name, addresses }) => addresses.map((one) => [one, name])));
    const counts = { both: 0, guessed: 0, real: 0 };
    pages.forEach((one, at) => {
      for (const other of pages.slice(at + 1)) {
        const isReal = one.template === other.template;
        const isGuessed =
          groupOf.get(one.path) !== undefined && groupOf.get(one.path) === groupOf.get(other.path);
        counts.both += Number(isReal && isGuessed);
        counts.real += Number(isReal);
        counts.guessed += Number(isGuessed);
      }
    });
    expect(counts.both / counts.guessed, 'precision').toBeGreaterThan(0.98);
    expect(counts.both / counts.real, 'recall').toBeGreaterThan(0.85);
    expect(groups.map(({ name }) => name)).toEqual([...new Set(groups.map(({ name }) => name))]);
    expect(groups.every(({ sure }) => sure >= 0 && sure <= 100)).toBe(true);
  });

  it('does not depend on how long a page is, on numbers in classes, or on its menu', () => {
    const skeleton = (body: string): number[] => skeletonOf(parse(`<body>${body}</body>`));
    const one =
      '<nav><ul><li><a href="/">a</a></li></ul></nav><main><article class="post post-12"><p>a</p></article></main>';
    const other =
      '<nav><div><p>x</p></div></nav><main><article class="post post-99"><p>a</p><p><em>b</em></p><p>c</p></article></main>';
    expect(skeleton(one)).toEqual(skeleton(other));
    expect(skeleton(one)).not.toEqual(
      skeleton(other.replace('article', 'section').replace('/article', '/section')),
    );
  });

  it('are not guessed where a page names its own, where all pages are alike, or where there is one page', () => {
    const named = read(
      '<html data-template="Product page"><body><main><h1>A</h1></main></body></html>',
      '/a',
    );
    expect(named.template).toBe('Product page');
    const tree = siteTree([...facts.slice(0, 40), named], '/');
    expect(tree.find(({ address }) => address === '/a')?.template).toBe('Product page');
    expect(tree.some(({ guessedTemplate }) => guessedTemplate !== undefined)).toBe(false);
    expect(templatesOf(facts.slice(0, 1))).toEqual([]);
    const alike = Array.from({ length: 9 }, (_, at) => read('<main><h1>A</h1><p>b</p></main>', `/${at}`));
    expect(templatesOf(alike)).toEqual([]);
    expect(templatesOf([])).toEqual([]);
  });

  it('takes markup that is nested without end, and a site whose pages are all different', () => {
    expect(skeletonOf(parse('<div>'.repeat(50_000))).length).toBeLessThan(20);
    const random = seededRandom(1);
    const tags = ['div', 'section', 'article', 'table', 'ul', 'form', 'figure', 'aside'];
    const wild = Array.from({ length: 500 }, (_, at) =>
      read(
        Array.from({ length: 12 }, () => `<${tags[random() % 8]} class="c${'abcdefgh'[random() % 8]}">`).join(
          '',
        ),
        `/${at}`,
      ),
    );
    for (const { addresses } of templatesOf(wild)) expect(addresses.length).toBeGreaterThan(1);
  });

  it('fill in pages without a template, keep those that pages have, and keep the name that a group has here', () => {
    const fresh = newDocument({ ...outlined('', '/ A').document.site });
    const first = diffReading(fresh, siteTree(facts, '/'), { missing: 'keep', random: seededRandom(2) });
    const templates = new Map(first.operation.added.map(({ page }) => [page.address, page.template]));
    const guess = templates.get('/shop/tools/digging/digging-fork');
    expect(guess).not.toBeNull();
    const known = first.operation.added.map(({ page }) => ({
      ...page,
      parent: fresh.site.id,
      template: page.template === guess ? 'goods' : page.address === '/about' ? null : page.template,
    }));
    const without = known.find(({ template }) => template === 'goods')?.id;
    const document = {
      ...fresh,
      pages: withNodesLast(
        fresh.pages,
        known.filter(({ id }) => id !== without),
      ),
    };
    const again = diffReading(document, siteTree(facts, '/'), { missing: 'keep', random: seededRandom(3) });
    expect(again.operation.added.map(({ page }) => page.template)).toEqual(['goods']);
    const set = again.operation.changed.find(
      ({ id }) => known.find(({ address }) => address === '/about')?.id === id,
    );
    expect(set?.set.template).toBe(templates.get('/about'));
  });
});
