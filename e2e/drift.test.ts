import { Key } from 'selenium-webdriver';
import { beforeAll, describe, expect, it } from 'vitest';
import {
  addLink,
  EDIT_VERSION,
  makeEdit,
  mintId,
  readdressPage,
  refsOf,
  removeItems,
  type StoredDocument,
} from '@zorvik/core';
import { edited } from './editing.ts';
import type { Person } from './person.ts';
import { enterStage, type Stage } from './stage.ts';
import { storedSite } from './storedSite.ts';

/** Drift as its editors find it on a Monday, and how they mend it. */
let stack: Stage['stack'];
let browser: Stage['browser'];
let person: Person;
beforeAll(async () => {
  ({ stack, browser, person } = await enterStage());
});

const open = async (menu: string): Promise<void> => {
  await browser.driver.get(`${stack.editor}/quillmere/drift/${menu}`);
  await person.find('.picture .row');
};
const title = async (): Promise<string> => (await person.find('h1')).getText();
const says = (text: string): Promise<unknown> =>
  person.eventually(`it does not say “${text}”`, async () => {
    const said = await title();
    return said === text || said.startsWith(`${text} in this menu, `);
  });
const findings = (): Promise<string[]> =>
  browser.driver.executeScript<string[]>(
    `return [...document.querySelectorAll('.card .what')].map((one) => one.textContent.replaceAll(/\\s+/g, " ").trim())`,
  );
const press = async (...keys: string[]): Promise<void> => (await person.find('.list')).sendKeys(...keys);
const stored = async (): Promise<StoredDocument> => {
  await person.kept();
  return (
    (await (await fetch(`${stack.editor}/api/v1/sites/quillmere`)).json()) as { document: StoredDocument }
  ).document;
};

describe('drift', () => {
  it('is counted in the bar, drawn side by side, and explained in one sentence each', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/arrange/main`);
    await person.eventually(
      'no count',
      async () => (await (await person.find('.works .badge')).getText()) === '4',
    );
    await open('main');
    await says('3 differences');
    expect(await findings()).toEqual([
      '“Dried plants” is the old title: the page is now called “Herbarium”',
      'The address of “Getting here” changed from /visit/travel to /visit/getting-here',
      'New page “Succulent house” under “Glasshouses”, which is in this menu',
    ]);
    await press(Key.ARROW_DOWN, Key.ARROW_DOWN);
    expect(await (await person.find('.row.ghost')).getText()).toBe('Succulent house would go here');
    expect(
      await browser.driver.executeScript('return document.querySelectorAll(".lines g.agrees").length'),
    ).toBeGreaterThan(10);
  });

  it('is said before publishing: what is broken, what will be skipped and why, each with a way there', async () => {
    await open('main');
    await edited(stack, person, (context) => {
      const menus = [...context.document.menus.nodes.values()];
      const parent = menus.find(({ key }) => key === 'main')?.id ?? '';
      return addLink(context, { parent, after: null }, { label: 'Something new', address: 'undecided' });
    });
    await browser.driver.get(`${stack.editor}/quillmere/editions`);
    const broken = await person.find('section[aria-labelledby="broken-links"]');
    expect(await broken.getText()).toContain('“Garden lottery” links to a deleted page');
    const skipped = await person.find('section[aria-labelledby="skipped-items"]');
    expect(await skipped.getText()).toMatch(/Something new\s+no link yet, in Main menu/);
    await (await person.byText('button', 'Something new')).click();
    await person.eventually('it is not selected', async () => (await person.selected()) === 'Something new');
    const added = [...(await storedSite(stack, person)).items.nodes.values()].find(
      ({ label }) => label === 'Something new',
    );
    await edited(stack, person, (context) => removeItems(context, [added?.id ?? '']));
  });

  it('is walked and mended by keys alone, each mend one edit that undo takes back', async () => {
    await open('main');
    await says('3 differences');
    await press(Key.ARROW_DOWN, Key.ARROW_DOWN, Key.ENTER);
    await says('2 differences');
    const { items, pages } = await stored();
    const house = pages.find(({ title: one }) => one === 'Succulent house')?.id;
    const added = items.find(({ destination }) => destination.kind === 'page' && destination.page === house);
    const before = items.filter(({ parent }) => parent === added?.parent).map(({ id }) => id);
    expect(before.at(-1)).toBe(added?.id);
    await press(Key.chord(Key.CONTROL, 'z'));
    await says('3 differences');
  });

  it('is left with a reason, and taken up again', async () => {
    await open('main');
    await says('3 differences');
    await press(Key.ARROW_DOWN, 'l');
    await person.eventually(
      'no field',
      async () => (await (await person.focused()).getTagName()) === 'input',
    );
    await person.type('It opens to members first', Key.ENTER);
    await says('2 differences');
    expect((await stored()).leftFindings).toMatchObject([{ reason: 'It opens to members first' }]);
    await person.click('1 ignored');
    await person.byText('p', 'It opens to members first');
    await person.click('Reopen');
    await says('3 differences');
  });

  it('is left with a reason by the pointer, too, in a card that is not the current one', async () => {
    await open('main');
    await says('3 differences');
    await person.settled();
    const card = await person.find('.card[aria-current=false]');
    await (await card.findElement({ css: '.mends .plain' })).click();
    const field = await card.findElement({ css: '.leave input' });
    await field.sendKeys('Kept under');
    await field.click();
    await field.sendKeys(' its old name');
    await (await card.findElement({ css: '.leave [type=submit]' })).click();
    await says('2 differences');
    expect((await stored()).leftFindings).toMatchObject([{ reason: 'Kept under its old name' }]);
    await person.click('Undo');
    await says('3 differences');
  });

  it('is mended all at once where that is safe, and says where else something is amiss', async () => {
    await open('main');
    await says('3 differences');
    await person.click('Fix the 2 safe ones');
    await says('1 difference');
    await press('1');
    await says('No differences');
    const { items } = await stored();
    expect(items.filter(({ label }) => label === 'Dried plants')).toEqual([]);
    await person.byText('p', 'Other menus with differences:');
    await press(']', ']', ']', ']');
    await says('1 difference');
    expect(await findings()).toEqual(['Broken: “Garden lottery” links to a deleted page']);
    await (await person.find('.mend')).click();
    await says('No differences');
    await person.eventually(
      'the count stays',
      async () => (await browser.driver.findElements({ css: '.works .badge' })).length === 0,
    );
  });

  it('is one card where one change caused several, which can be unfolded, mended at once and by keys', async () => {
    await open('main');
    await says('No differences');
    const document = await storedSite(stack, person);
    const learn = [...document.pages.nodes.values()].find(({ address }) => address === '/learn');
    await edited(stack, person, (context) => readdressPage(context, learn?.id ?? '', '/courses'));
    await person.eventually('it is not told', async () => (await findings()).length > 0);
    const [first = ''] = await findings();
    const [, count = '0'] = /^(\d+) addresses changed, from \/learn to \/courses$/.exec(first) ?? [];
    expect(Number(count)).toBeGreaterThan(3);
    await says('1 difference');
    expect(await findings()).toHaveLength(1);
    await person.click(`Show all ${count}`);
    expect(await findings()).toHaveLength(Number(count) + 1);
    await person.click('Hide them');
    await press(Key.ENTER);
    await says('No differences');
    await person.click('Undo');
    await says('1 difference');
    await edited(stack, person, (context) => readdressPage(context, learn?.id ?? '', '/learn'));
    await says('No differences');
  });

  it('links to the page itself where somebody types its address, and offers that for older links', async () => {
    await open('main');
    const document = await storedSite(stack, person);
    const [menu = ''] = [...document.menus.nodes.values()].flatMap(({ id, key }) =>
      key === 'main' ? [id] : [],
    );
    await edited(stack, person, (context) =>
      makeEdit(context, [
        {
          kind: 'addItem',
          after: null,
          branch: [
            {
              id: mintId('item', context.random),
              parent: menu,
              label: 'Opening hours',
              destination: { kind: 'address', address: '/visit/opening-times#winter' },
              opensNewTab: false,
              agreed: null,
            },
          ],
        },
      ]),
    );
    await says('1 difference');
    expect(await findings()).toEqual([
      '“Opening hours” links to the address /visit/opening-times#winter, not to the page “Opening times” that has it',
    ]);
    await press(Key.ENTER);
    await says('No differences');
    const pages = await storedSite(stack, person);
    const page = [...pages.pages.nodes.values()].find(({ address }) => address === '/visit/opening-times');
    const linked = [...pages.items.nodes.values()].find(({ label }) => label === 'Opening hours');
    expect(linked?.destination).toEqual({ kind: 'page', page: page?.id, anchor: 'winter' });
    await edited(stack, person, (context) => removeItems(context, [linked?.id ?? '']));
    await says('No differences');
  });

  it('is mended in at most 12 actions where ten things are amiss', async () => {
    await change(await stored());
    await open('main');
    await says('10 differences');
    // One key each: what is likely is right here, and the next one is chosen by itself.
    for (let left = 9; left >= 0; left -= 1) {
      await press(Key.ENTER);
      await says(left === 0 ? 'No differences' : left === 1 ? '1 difference' : `${left} differences`);
    }
    expect(
      (await stored()).items.filter(
        ({ destination }) => destination.kind === 'page' && destination.page === NEW,
      ),
    ).toHaveLength(1);
  });
});

const NEW = 'p0000000000newest';

/**
 * The site changes in ten places that the main menu carries: seven addresses, two pages that go, and one that
 * comes.
 */
async function change({ site, pages, items, menus, parts }: StoredDocument): Promise<void> {
  const { revision } = (await (await fetch(`${stack.editor}/api/v1/sites/quillmere`)).json()) as {
    revision: number;
  };
  const main = menus.find(({ key }) => key === 'main')?.id;
  const menuOf = (parent: string): string => {
    const above = items.find(({ id }) => id === parent);
    return above === undefined ? parent : menuOf(above.parent);
  };
  const at = (id = ''): StoredDocument['pages'][number] => {
    const page = pages.find((one) => one.id === id);
    if (page === undefined) throw new Error(`There is no page ${id}.`);
    return page;
  };
  const hasChildren = (page: string): boolean => pages.some(({ parent }) => parent === page);
  // What a panel links to as well would be two differences.
  const inPanels = new Set(parts.flatMap((part) => refsOf('parts', part)).map(({ value }) => value));
  const linked = items.flatMap(({ destination, parent, link, agreed }) =>
    destination.kind === 'page' &&
    link === undefined &&
    agreed !== null &&
    menuOf(parent) === main &&
    !inPanels.has(destination.page) &&
    !hasChildren(destination.page)
      ? [destination.page]
      : [],
  );
  const [first, second, ...rest] = [...new Set(linked)];
  const others = rest.slice(0, 7);
  const { parent } = at(others[0]);
  const operations = [
    ...others.map((id) => ({
      kind: 'updatePage',
      id,
      set: { address: `${at(id).address}-now` },
      was: { address: at(id).address },
    })),
    ...[first, second].map((id) => ({
      kind: 'updatePage',
      id,
      set: { state: 'gone' },
      was: { state: at(id).state },
    })),
    {
      kind: 'importPages',
      added: [
        {
          page: {
            ...at(others[0]),
            id: NEW,
            parent,
            key: '/newest',
            address: '/newest',
            title: 'The newest',
            since: 999,
          },
          after: null,
        },
      ],
      moved: [],
      removed: [],
      changed: [],
    },
  ];
  const edit = {
    id: 'e000000000000ten1',
    version: EDIT_VERSION,
    base: revision,
    session: 'w0000000000000ten',
    group: null,
    undoes: null,
    sentence: { code: 'itemChanged', params: { label: site.name } },
    operations,
  };
  const answer = await fetch(`${stack.editor}/api/v1/sites/quillmere/edits`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(edit),
  });
  expect(await answer.text(), 'the site changed').not.toContain('error');
}
