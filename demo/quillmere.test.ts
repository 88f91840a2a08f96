import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  childrenOf,
  findBreach,
  nodeAt,
  readStored,
  resolveMenu,
  sheetOf,
  valuesOfStyle,
  type ResolvedItem,
} from '@zorvik/core';
import { makeFont } from '../packages/server/src/editing/makeFont.ts';
import { quillmereFonts } from './quillmere/look.ts';
import { quillmereDocument } from './quillmere/quillmereDocument.ts';
import { quillmerePages } from './quillmere/pages.ts';

describe('Quillmere', () => {
  const pages = quillmerePages();

  it('has a page of its own at every address, each with something to say', () => {
    expect(new Set(pages.map(({ path }) => path)).size).toBe(pages.length);
    expect(pages.filter(({ text }) => text.length < 20)).toEqual([]);
    expect(pages.filter(({ path }) => !/^\/(?:[a-z0-9-]+(?:\/[a-z0-9-]+)*)?$/.test(path))).toEqual([]);
    const texts = pages.map(({ text }) => text);
    expect(texts.length - new Set(texts).size, 'texts that stand twice').toBe(0);
  });

  it('is a sound document, the same every time', () => {
    expect(findBreach(readStored(quillmereDocument()))).toBeNull();
    expect(quillmereDocument()).toEqual(quillmereDocument());
  });

  it('has five menus whose every link leads to one of its pages, or outside', () => {
    const document = readStored(quillmereDocument());
    const paths = new Set(pages.map(({ path }) => path));
    const menus = [...childrenOf(document.menus, document.site.id)].map((id) => resolveMenu(document, id));
    expect(menus.map(({ key }) => key)).toEqual(['main', 'second', 'plants', 'footer', 'phone']);
    const dead = (items: readonly ResolvedItem[]): string[] =>
      items.flatMap(({ href, children }) => [
        ...(href === null || paths.has(href) || href.startsWith('https://') ? [] : [href]),
        ...dead(children),
      ]);
    expect(menus.flatMap(({ items }) => dead(items))).toEqual([]);
    const first = [...childrenOf(document.items, [...childrenOf(document.menus, document.site.id)][0] ?? '')];
    expect(
      first.map((id) => nodeAt(document.items, id).agreed !== null),
      'items of pages keep the facts agreed on',
    ).toEqual(first.map(() => true));
  });

  it('has fonts as the server reads them, and a look whose every name is there', async () => {
    for (const [face, facts] of Object.entries(quillmereFonts)) {
      const url = new URL(
        `../node_modules/@fontsource-variable/${face}/files/${face}-latin-wght-normal.woff2`,
        import.meta.url,
      );
      const made = await makeFont(readFileSync(url));
      expect(made.ok && made.value.font).toEqual(facts);
    }
    const document = readStored(quillmereDocument());
    const set = [...document.styles.nodes.values()].flatMap((style) => valuesOfStyle(style));
    expect(
      sheetOf(document)
        .set.filter(({ variant }) => variant === undefined)
        .flatMap(({ values }) => Object.values(values)),
    ).toHaveLength(set.length);
  });
});
