import { describe, expect, it } from 'vitest';
import {
  childrenOf,
  diffReading,
  nodeAt,
  preorder,
  readStored,
  seededRandom,
  Sequence,
  type Id,
  type IncomingPage,
  type Page,
  type SiteDocument,
} from '@zorvik/core';
import { quillmereDocument } from '../../../demo/quillmere/quillmereDocument.ts';
import { pagesFromSketches, pagesFromTable, readPageTable } from '../src/pages/pageTable.ts';
import { pageFormats, writePages } from '../src/pages/writePages.ts';
import { readMenus } from '../src/menus/menuFormats.ts';

const pagesIn = (document: SiteDocument): Page[] => {
  const below = (id: Id): Iterable<Id> => childrenOf(document.pages, id);
  return [...preorder<Id>(below(document.site.id), below)].map(({ node }) => nodeAt(document.pages, node));
};
const added = (
  document: SiteDocument,
  fields: Partial<Page>,
  parent: Id = document.site.id,
): SiteDocument => {
  const [like] = pagesIn(document);
  if (like === undefined) throw new Error('There is no page.');
  const page = { ...like, parent, ...fields };
  const { nodes, children } = document.pages;
  return {
    ...document,
    pages: {
      nodes: nodes.with(page.id, page),
      children: children.with(parent, (children.get(parent) ?? Sequence.empty).placed(page.id, null)),
    },
  };
};
/** Quillmere with what is hard to write down. */
function hard(): SiteDocument {
  const [first] = pagesIn(readStored(quillmereDocument()));
  let document = added(readStored(quillmereDocument()), {
    id: 'p00000000000hard1',
    title: '=HYPERLINK("x"), "quoted"; a',
    address: '/hard?a=1,2',
    key: '/hard',
  });
  document = added(
    document,
    {
      id: 'p00000000000hard2',
      title: '-5 °C',
      address: '/cold',
      key: '/cold',
      state: 'draft',
      categories: ['a', 'b c'],
      visits: 0,
    },
    first?.id,
  );
  return added(document, {
    id: 'p00000000000hard3',
    title: 'Was here',
    address: '/was',
    key: '/was',
    state: 'gone',
  });
}
function read(text: string, isTable: boolean): readonly IncomingPage[] {
  if (isTable) {
    const table = readPageTable(text);
    if (!table.ok) throw new Error(table.refusal.message);
    const { pages, problems } = pagesFromTable(table.value, table.value.guesses);
    expect(problems).toEqual([]);
    return pages;
  }
  const { found } = readMenus(text);
  if (!found.ok) throw new Error(found.refusal.message);
  return pagesFromSketches(
    found.value.flatMap(({ sketches }) => sketches),
    '',
  ).pages;
}

describe('pages that are written down', () => {
  it('are read back as they were from a table: nothing is otherwise', () => {
    const document = hard();
    const incoming = read(writePages(document, 'csv'), true);
    const { operation, ...differences } = diffReading(document, incoming, {
      missing: 'retire',
      random: seededRandom(1),
    });
    expect(differences).toMatchObject({ added: [], moved: [], readdressed: [], gone: [] });
    expect(
      operation.changed.filter(({ set }) => Object.keys(set).some((name) => name !== 'readTitle')),
    ).toEqual([]);
    expect(incoming.map(({ title, state = 'live' }) => [title, state])).toEqual(
      pagesIn(document).map(({ title, state }) => [title, state]),
    );
  });

  it.each(pageFormats.filter(({ key }) => key !== 'csv').map(({ key }) => key))(
    'are read back from %s with their titles, addresses and places',
    (key) => {
      const document = hard();
      const incoming = read(writePages(document, key), false);
      const there = pagesIn(document).filter(({ state }) => state !== 'gone');
      const addressOf = (id: Id): string[] =>
        id === document.site.id ? [] : [nodeAt(document.pages, id).address];
      expect(incoming.map(({ address, above }) => [address, above])).toEqual(
        there.map(({ address, parent }) => [address, addressOf(parent)]),
      );
      expect(incoming.map(({ title }) => title)).toEqual(there.map(({ title }) => title));
    },
  );
});
