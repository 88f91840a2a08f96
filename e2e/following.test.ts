import { Key, type WebElement } from 'selenium-webdriver';
import { beforeAll, describe, expect, it } from 'vitest';
import type { ResolvedItem, ResolvedMenu } from '@zorvik/core';
import type { Person } from './person.ts';
import { enterStage, type Stage } from './stage.ts';

/**
 * Menus and items that take what is below them from the pages, or from another menu, as a person makes and
 * changes them.
 */
let stack: Stage['stack'];
let browser: Stage['browser'];
let person: Person;
beforeAll(async () => {
  ({ stack, browser, person } = await enterStage());
});

const open = async (menu: string): Promise<void> => {
  await browser.driver.get(`${stack.editor}/quillmere/arrange/${menu}`);
  await person.find('[role=tree]');
};
const tree = (): Promise<WebElement> => person.find('[role=tree]');
const press = async (...keys: string[]): Promise<void> => (await tree()).sendKeys(...keys);
/** A sheet that comes in must stand before it is clicked on. */
const letFollow = async (): Promise<void> => {
  await press('f');
  await person.byText('button', 'Follow');
  await person.settled();
};
const alt = (key: string): string => Key.chord(Key.ALT, key);

/** What stands below an item, as far as it is in sight: labels, with what is said beside them. */
async function below(label: string): Promise<string[]> {
  const all = await browser.driver.executeScript<{ level: number; label: string; remarks: string[] }[]>(
    `return [...document.querySelectorAll('[role=treeitem]')].sort((a, b) => a.getBoundingClientRect().top - b.getBoundingClientRect().top)
      .map((row) => ({ level: Number(row.getAttribute('aria-level')), label: row.querySelector('.label')?.textContent ?? '', remarks: [...row.querySelectorAll('.sign')].map((one) => one.title) }))`,
  );
  const at = all.findIndex((row) => row.label === label);
  const level = all[at]?.level ?? 0;
  const lines: string[] = [];
  for (const row of all.slice(at + 1)) {
    if (row.level <= level) break;
    lines.push([`${'  '.repeat(row.level - level - 1)}${row.label}`, ...row.remarks].join(' | '));
  }
  return lines;
}

async function delivered(menu: string): Promise<ResolvedMenu> {
  return (await (
    await fetch(`${stack.delivery}/delivery/v1/sites/quillmere/menus/${menu}`)
  ).json()) as ResolvedMenu;
}
const labelsOf = (items: readonly ResolvedItem[] = []): string[] => items.map(({ label }) => label);

async function publish(): Promise<void> {
  await person.kept();
  const api = `${stack.editor}/api/v1/sites/quillmere`;
  const { revision } = (await (await fetch(api)).json()) as { revision: number };
  const body = JSON.stringify({ note: '', revision, name: 'Rowan' });
  const reply = await fetch(`${api}/editions`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body,
  });
  expect(reply.status, await reply.text()).toBeLessThan(300);
}

describe('an item that follows a branch of pages', () => {
  it('takes its children from there; what is done to a child is an exception that is seen and can be taken back', async () => {
    await open('main');
    await person.select('The garden');
    await letFollow();
    await (await person.byText('label', '2')).click();
    await person.byText('h2', '18 followed items');
    await person.click('Follow');
    await person.eventually('nothing is followed', async () =>
      (await below('The garden')).includes('  Succulent house'),
    );
    await person.select('Glasshouses');
    await press(Key.F2);
    await person.type('Under glass', Key.ENTER);
    await person.select('Wet meadow');
    await press(alt(Key.ARROW_UP));
    await person.select('Walled garden');
    await press(Key.DELETE);
    await person.eventually('the exceptions are not seen', async () => {
      const rows = await below('The garden');
      return (
        rows[0] === 'Walled garden | hidden' &&
        rows[1] === 'Wet meadow | pinned' &&
        rows[2] === 'Under glass | own label'
      );
    });
    await person.byText('strong', 'Followed.');
    await press(Key.ARROW_DOWN);
    await person.click('Reset exception');
    await person.eventually(
      'the pin is not taken back',
      async () => (await below('The garden'))[1] === 'Under glass | own label',
    );
    await publish();
    const garden = (await delivered('main')).items.find(({ label }) => label === 'The garden');
    expect(labelsOf(garden?.children).slice(0, 2)).toEqual(['Under glass', 'Wet meadow']);
    expect(garden?.children[0]?.children).toHaveLength(4);
  });

  it('refuses what a followed child has not got to give where the eye is, and lets go into items of its own', async () => {
    await open('main');
    await person.select('Under glass');
    await press('t');
    await person.eventually('no reason is given', async () =>
      (await (await person.find('.refused')).getText()).includes('its link can’t be changed here'),
    );
    await person.select('The garden');
    await person.click('Stop');
    await person.eventually('it still follows', async () => {
      const rows = await below('The garden');
      return rows[0] === 'Under glass' && rows.every((row) => !row.includes('|'));
    });
    await press(Key.chord(Key.CONTROL, 'z'));
    await person.eventually(
      'undo does not bring it back',
      async () => (await below('The garden'))[0] === 'Walled garden | hidden',
    );
  });

  it('is a live list: the three newest products of the shop, whatever the shop adds', async () => {
    await open('second');
    await press(Key.ENTER);
    await person.type('New in', Key.ARROW_UP, Key.ARROW_UP, Key.ENTER, Key.ESCAPE);
    await person.select('New in');
    await letFollow();
    await person.byText('button', 'the whole site');
    await (await person.byText('label', 'all')).click();
    await (await person.byText('label', 'flat list')).click();
    await (await person.byText('label', 'newest')).click();
    await (await person.byText('label', 'product')).click();
    await (await person.find('input[type=number]')).sendKeys('3');
    await person.byText('h2', '3 followed items');
    await person.click('Follow');
    await publish();
    const list = (await delivered('second')).items.find(({ label }) => label === 'New in');
    expect(list?.children).toHaveLength(3);
    const { document } = (await (await fetch(`${stack.editor}/api/v1/sites/quillmere`)).json()) as {
      document: { pages: { title: string; kind: string; date?: string }[] };
    };
    const newest = document.pages
      .filter(({ kind }) => kind === 'product')
      .sort(({ date: a = '' }, { date: b = '' }) => (a < b ? 1 : a > b ? -1 : 0));
    expect(labelsOf(list?.children)).toEqual(newest.slice(0, 3).map(({ title }) => title));
  });
});

describe('a menu that follows another', () => {
  it('has its items, and exceptions of its own', async () => {
    await open('second');
    await person.click('Choose a menu');
    await person.click('New menu …');
    await (await person.find('form input[type=text]')).sendKeys('Pocket');
    await (await person.byText('label', 'another menu, followed')).click();
    await (await person.byText('option', 'Main menu')).click();
    await person.click('Create menu');
    await person.eventually(
      'it is not there',
      async () => (await (await person.find('h1 button')).getText()) === 'Pocket',
    );
    await person.row('Visit');
    await person.select('Bus timetable');
    await press(Key.DELETE);
    await person.find('.sign[title=hidden]');
    await publish();
    const [main, phone] = [await delivered('main'), await delivered('pocket')];
    expect(labelsOf(phone.items)).toEqual(labelsOf(main.items));
    const withoutBus = labelsOf(main.items[0]?.children).filter((label) => label !== 'Bus timetable');
    expect(labelsOf(phone.items[0]?.children)).toEqual(withoutBus);
    await person.click('Menu');
    await person.click('Menu settings …');
    await person.byText('span', 'the menu “Main menu”');
  });
});
