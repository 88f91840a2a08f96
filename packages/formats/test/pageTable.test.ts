import { describe, expect, it } from 'vitest';
import { decodeHtml } from '../src/reading/decodeHtml.ts';
import { readMenus } from '../src/menus/menuFormats.ts';
import {
  pagesFromSketches,
  pagesFromTable,
  readPageTable,
  tableText,
  type PagesFromFile,
} from '../src/pages/pageTable.ts';

function read(text: string): PagesFromFile {
  const table = readPageTable(text);
  if (!table.ok) throw new Error(table.refusal.message);
  return pagesFromTable(table.value, table.value.guesses);
}
const outline = ({ pages }: PagesFromFile): string[] =>
  pages.map(({ address, above }) => `${above[0] ?? ''} > ${address}`);

describe('pages from a table', () => {
  it('takes all that its columns say, with parents by id, title or address, also when they come later', () => {
    const { pages, problems } = read(
      'ID;Title;URL;Parent;Type;Categories;Date;Views;Template\n2;Beans;https://m.example/seeds/beans;1;product;sun|dry;2026-03-04T10:00;1,204;item\n1;Seeds;/seeds;;category;;;;\n3;Corn;seeds/corn;Seeds;post;;;7;\n4;Dill;/dill;/seeds/corn;;;;;',
    );
    expect(problems).toEqual([]);
    expect(pages).toEqual([
      { key: '/seeds', address: '/seeds', title: 'Seeds', kind: 'category', above: [] },
      {
        key: '/seeds/beans',
        address: '/seeds/beans',
        title: 'Beans',
        kind: 'product',
        above: ['/seeds'],
        categories: ['sun', 'dry'],
        date: '2026-03-04',
        visits: 1204,
        template: 'item',
      },
      {
        key: '/seeds/corn',
        address: '/seeds/corn',
        title: 'Corn',
        kind: 'article',
        above: ['/seeds'],
        visits: 7,
      },
      { key: '/dill', address: '/dill', title: 'Dill', kind: 'page', above: ['/seeds/corn'] },
    ]);
  });

  it('takes a path of titles, and an order', () => {
    expect(outline(read('path,order\nSeeds,2\nSeeds > Beans,2\nSeeds > Corn,1\nTools,1'))).toEqual([
      ' > /tools',
      ' > /seeds',
      '/seeds > /seeds/corn',
      '/seeds > /seeds/beans',
    ]);
  });

  it.each([
    [
      'neither title nor address',
      'title,address,kind\n,,page\nA,/a,',
      'it has neither a title nor an address',
    ],
    ['an address twice', 'title,address\nA,/a\nB,/a', 'the address /a is already used in line 2'],
    ['no address', 'title,address\nA,//evil.example\nB,/b', '“//evil.example” is not a valid page address'],
    [
      'a parent that is not there',
      'title,address,parent\nA,/a,Nobody',
      'its parent “Nobody” is not in the table, so it is on the top level',
    ],
    [
      'a circle',
      'title,address,parent\nA,/a,B\nB,/b,A',
      'its parent “A” is below it, so it is on the top level',
    ],
    [
      'no day',
      'title,address,date\nA,/a,yesterday',
      '“yesterday” is not a date such as 2026-11-23; it is skipped',
    ],
    [
      'no state',
      'title,address,state\nA,/a,hidden',
      '“hidden” is not a state (live, draft or gone), so the page is live',
    ],
    ['no number', 'title,address,visits\nA,/a,many', '“many” is not a number of visits; it is skipped'],
  ])('tells of %s with its line, and takes the rest', (_, text, reason) => {
    const { pages, problems } = read(text);
    expect(problems.map((one) => one.reason)).toEqual([reason]);
    expect(pages.length).toBeGreaterThan(0);
  });

  it('refuses what is no table, with the row', () => {
    const refused = (text: string): string => {
      const table = readPageTable(text);
      return table.ok ? 'read' : table.refusal.message;
    };
    expect(refused('')).toContain('it has no rows below the column names');
    expect(refused('title,address\n"A,/a')).toContain('row ');
  });

  it('reads quotes, tabs, a mark at the beginning, and what spreadsheets write in Windows-1252', () => {
    expect(read('\uFEFFtitle\taddress\n"A ""quoted""\tthing"\t/a').pages[0]?.title).toBe('A "quoted" thing');
    const bytes = new Uint8Array([
      ...new TextEncoder().encode('title,address\nG'),
      0xe4,
      ...new TextEncoder().encode('rten,/g'),
    ]);
    expect(read(tableText(bytes, decodeHtml)).pages[0]?.title).toBe('Gärten');
  });

  it('reads a hundred thousand rows', () => {
    const rows = Array.from(
      { length: 100_000 },
      (_, at) => `Page ${at},/p${at},${at === 0 ? '' : `/p${Math.floor((at - 1) / 10)}`}`,
    );
    const { pages, problems } = read(`title,address,parent\n${rows.join('\n')}`);
    expect([pages.length, problems.length]).toEqual([100_000, 0]);
    expect(readPageTable(`title\n${'x\n'.repeat(100_001)}`).ok).toBe(false);
  });
});

describe('pages from nested entries', () => {
  it.each([
    [
      'HTML',
      '<ul><li><a href="/seeds">Seeds</a><ul><li>By season<ul><li><a href="https://m.example/seeds/spring#x">Spring</a></li></ul></li></ul></li><li><a href="https://x.example/">Out</a></li></ul>',
    ],
    [
      'OPML',
      '<opml version="2.0"><body><outline text="Seeds" url="/seeds"><outline text="By season"><outline text="Spring" url="/seeds/spring"/></outline></outline><outline text="Out" url="https://x.example/"/></body></opml>',
    ],
  ])('are those that lead to the site, under the nearest one above: %s', (_, text) => {
    const { found } = readMenus(text);
    if (!found.ok) throw new Error(found.refusal.message);
    const made = pagesFromSketches(
      found.value.flatMap(({ sketches }) => sketches),
      'https://m.example',
    );
    expect(outline(made)).toEqual([' > /seeds', '/seeds > /seeds/spring']);
    expect(made.problems.map(({ reason }) => reason)).toEqual([
      '“By season” does not link to a page of the site',
      '“Out” does not link to a page of the site',
    ]);
  });
});
