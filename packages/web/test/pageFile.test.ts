import { describe, expect, it } from 'vitest';
import {
  nodeAt,
  seededRandom,
  toStored,
  withChanges,
  withNodeChanged,
  type SiteDocument,
} from '@zorvik/core';
import { outlined, randomDocument } from '@zorvik/core/testing';
import { documentFeed, type DocumentPiece } from '../src/workers/documentFeed.ts';
import { pageChanges, pagesIn, readPageFile } from '../src/workers/pageFile.ts';

const ORIGIN = 'https://meadow.example';
const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);

describe('a file of pages', () => {
  it('is a table, from bytes or from text, whose columns are guessed and may be chosen otherwise', () => {
    const text = 'Title;URL;Note\nShop;/shop;x\nMugs;/shop/mugs;y\n;;\n';
    for (const file of [text, bytes(text)]) {
      const read = readPageFile(file, ORIGIN);
      if (read.kind !== 'table') throw new Error(read.kind);
      expect(read.table.guesses).toEqual(['title', 'address', null]);
      const { pages, problems } = pagesIn(read, read.table.guesses);
      expect(pages.map(({ title, address }) => [title, address])).toEqual([
        ['Shop', '/shop'],
        ['Mugs', '/shop/mugs'],
      ]);
      expect(problems).toEqual([]);
      expect(pagesIn(read, [null, 'address', 'title']).pages.map(({ title }) => title)).toEqual(['x', 'y']);
    }
  });

  it('is nested entries, or says why it is neither', () => {
    const nested = readPageFile(
      '<ul><li><a href="/a">A</a><ul><li><a href="/a/b">B</a></li></ul></li></ul>',
      ORIGIN,
    );
    expect(pagesIn(nested, []).pages.map(({ title, address }) => [title, address])).toEqual([
      ['A', '/a'],
      ['B', '/a/b'],
    ]);
    for (const broken of ['{"items":', '', '"', '\u0000\u0001']) {
      const read = readPageFile(broken, ORIGIN);
      const outcome = read.kind === 'problem' ? read.problem : pagesIn(read, []).pages.length;
      expect(outcome === 0 || /\.$/.test(String(outcome)), broken).toBe(true);
    }
  });

  it('is compared with the site: what is new, renamed, or missing, as somebody wants it', () => {
    const { document } = outlined('', '/shop Shop\n/news News');
    const read = readPageFile('title,address\nThe shop,/shop\nMugs,/mugs\n', ORIGIN);
    const { pages } = pagesIn(read, ['title', 'address']);
    expect(pageChanges(document, pages, 'keep')).toEqual({
      added: 1,
      renamed: 1,
      moved: 0,
      readdressed: 0,
      gone: 0,
    });
    expect(pageChanges(document, pages, 'retire').gone).toBe(1);
  });
});

describe('a copy of the document in a worker', () => {
  const copied = (): {
    post: (piece: DocumentPiece) => void;
    copy: () => SiteDocument | null;
    pieces: DocumentPiece[];
  } => {
    const pieces: DocumentPiece[] = [];
    let copy: SiteDocument | null = null;
    return {
      pieces,
      copy: () => copy,
      post(piece) {
        pieces.push(piece);
        copy = withChanges(piece.isAnew ? null : copy, structuredClone(piece.changes));
      },
    };
  };

  it('is told in pieces, then only of what has changed, and anew when it is another site', async () => {
    const feed = documentFeed();
    const { post, copy, pieces } = copied();
    const first = randomDocument(seededRandom(3), { pages: 9000, menus: 2, items: 300, panels: 3 });
    await feed(first, post);
    expect(toStored(copy()!)).toEqual(toStored(first));
    expect([pieces.length > 3, pieces.filter(({ isLast }) => isLast).length]).toEqual([true, 1]);
    pieces.length = 0;
    const [id] = [...first.pages.nodes.keys()];
    const second = {
      ...first,
      pages: withNodeChanged(first.pages, { ...nodeAt(first.pages, id!), title: 'Changed' }),
    };
    await feed(second, post);
    expect([pieces.length, pieces[0]?.changes.forests[0]?.nodes.length]).toEqual([1, 1]);
    expect(toStored(copy()!)).toEqual(toStored(second));
    const { document: other } = outlined('A > /a');
    const moved = { ...other, site: { ...other.site, id: 's0000000000other' } };
    await feed(moved, post);
    expect(toStored(copy()!)).toEqual(toStored(moved));
  });

  it('is whole although it is told of two states at once', async () => {
    const feed = documentFeed();
    const { post, copy } = copied();
    const first = randomDocument(seededRandom(4), { pages: 9000, menus: 1, items: 10 });
    const menu = [...first.menus.nodes.keys()][0]!;
    const second = {
      ...first,
      menus: withNodeChanged(first.menus, { ...nodeAt(first.menus, menu), name: 'Second' }),
    };
    await Promise.all([feed(first, post), feed(second, post)]);
    expect(toStored(copy()!)).toEqual(toStored(second));
  });
});
