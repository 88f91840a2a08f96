import { Key } from 'selenium-webdriver';
import { beforeAll, describe, expect, it } from 'vitest';
import type { StoredDocument } from '@zorvik/core';
import type { Person } from './person.ts';
import { enterStage, type Stage } from './stage.ts';

/** Work on the pages themselves. */
let stack: Stage['stack'];
let browser: Stage['browser'];
let person: Person;
beforeAll(async () => {
  ({ stack, browser, person } = await enterStage());
});

const open = async (): Promise<void> => {
  await browser.driver.get(`${stack.editor}/quillmere/pages`);
  await person.find('[role=treegrid] [role=row]');
};
const press = async (...keys: string[]): Promise<void> =>
  (await person.find('[role=treegrid]')).sendKeys(...keys);
const alt = (key: string): string => Key.chord(Key.ALT, key);
const titles = (): Promise<string[]> =>
  browser.driver.executeScript<string[]>(
    `return [...document.querySelectorAll('[role=treegrid] [role=row]')].sort((a, b) => a.getBoundingClientRect().top - b.getBoundingClientRect().top).map((row) => row.querySelector('.text').textContent)`,
  );
const selected = async (): Promise<string> => (await person.find('[role=row].lead .text')).getText();
const stored = async (): Promise<StoredDocument> => {
  await person.kept();
  return (
    (await (await fetch(`${stack.editor}/api/v1/sites/quillmere`)).json()) as { document: StoredDocument }
  ).document;
};
const pick = async (title: string): Promise<void> => {
  await (await person.find('[role=treegrid]')).click();
  await press(Key.HOME);
  for (let step = 0; step < 40 && (await selected()) !== title; step += 1) await press(Key.ARROW_DOWN);
  expect(await selected()).toBe(title);
};

describe('the pages', () => {
  it('are added, renamed, moved, retired and brought back by keys alone, each undone like all else', async () => {
    await open();
    await pick('Contact');
    await press(Key.ENTER);
    await person.eventually(
      'no field',
      async () => (await (await person.focused()).getAttribute('aria-label')) === 'Title of the new page',
    );
    await person.type('Night garden', Key.ENTER);
    await person.eventually('it is not added', async () => (await titles()).includes('Night garden'));
    await person.eventually('it is not selected', async () => (await selected()) === 'Night garden');
    await press(Key.F2);
    await person.eventually(
      'no field',
      async () => (await (await person.focused()).getTagName()) === 'input',
    );
    await person.type(Key.chord(Key.CONTROL, 'a'), 'Night walks', Key.ENTER);
    await person.eventually('it is not renamed', async () => (await titles()).includes('Night walks'));
    await press(alt(Key.ARROW_UP));
    await person.eventually('it did not move', async () => {
      const all = await titles();
      return all.indexOf('Night walks') === all.indexOf('About Quillmere') + 1;
    });
    await press(alt(Key.ARROW_RIGHT));
    await person.eventually(
      'it is not in it',
      async () =>
        (await stored()).pages.find(({ title }) => title === 'Night walks')?.parent ===
        (await stored()).pages.find(({ title }) => title === 'About Quillmere')?.id,
    );
    await press(Key.DELETE);
    await person.eventually(
      'it is not gone',
      async () => (await stored()).pages.find(({ title }) => title === 'Night walks')?.state === 'gone',
    );
    await press(Key.DELETE);
    await person.eventually(
      'it is not back',
      async () => (await stored()).pages.find(({ title }) => title === 'Night walks')?.state === 'live',
    );
    for (let step = 0; step < 6; step += 1) await press(Key.chord(Key.CONTROL, 'z'));
    await person.eventually(
      'undo leaves something',
      async () =>
        !(await stored()).pages.some(({ title }) => title === 'Night walks' || title === 'Night garden'),
    );
  });

  it('keep their address in a move unless it is to move along; then the old ones are kept as a redirect map', async () => {
    await open();
    await pick('Press');
    await person.click('Move into the page above');
    await person.eventually(
      'it moved its address',
      async () => (await stored()).pages.find(({ title }) => title === 'Press')?.address === '/press',
    );
    await press(Key.chord(Key.CONTROL, 'z'));
    await person.eventually('undo', async () => (await titles()).includes('Press'));
    await pick('Press');
    await (await person.byText('label', 'Also change the address')).click();
    await person.click('Move into the page above');
    await person.eventually(
      'its address stayed',
      async () => (await stored()).pages.find(({ title }) => title === 'Press')?.address === '/contact/press',
    );
    await person.click('Export');
    await person.byText('div', 'Redirects: 2 old addresses (CSV)');
    await (await person.focused()).sendKeys(Key.ESCAPE);
    await person.eventually(
      'drift does not tell',
      async () => Number(await (await person.find('.works .badge')).getText()) > 4,
    );
  });

  it('say where they stand in the menus, and lead there; and show those that are in none', async () => {
    await open();
    await pick('Visit');
    const places = await browser.driver.executeScript<string[]>(
      `return [...document.querySelectorAll('[role=row].lead .menus button')].map((one) => one.textContent.replaceAll(/\\s+/g, ' ').trim())`,
    );
    expect(places).toEqual(['Main menu 1', 'Drawer on phones 1']);
    await (await person.byText('option', 'in no menu')).click();
    await person.eventually('it is not filtered', async () => !(await titles()).includes('Visit'));
    expect((await titles()).length).toBeGreaterThan(5);
    await (await person.byText('option', 'in several menus')).click();
    await person.eventually('it is not filtered', async () => (await titles()).includes('Visit'));
    await (await person.find('[role=row] .menus button')).click();
    await person.find('[role=treeitem][aria-selected=true]');
  });

  it('come from a table whose columns are chosen in a preview, as one edit', async () => {
    await open();
    await person.click('Import');
    await person.click('Import file …');
    const field = await person.find('textarea');
    await person.settled();
    await field.sendKeys(
      'Name,Where,Under,Seen\nBat walk,/whats-on/bat-walk,/whats-on,120\nSeed swap,/whats-on/seed-swap,/whats-on,\nOdd,/odd,Nobody,x',
    );
    await person.byText('h2', '3 pages found');
    const select = await person.find('select[aria-label="Column “Where”"]');
    await select.sendKeys('address');
    await (await person.find('select[aria-label="Column “Under”"]')).sendKeys('parent');
    await (await person.find('select[aria-label="Column “Seen”"]')).sendKeys('visits');
    await person.eventually('it is not matched', async () =>
      (await (await person.find('section[aria-label="Preview"] p')).getText()).startsWith('2 new, 1 renamed'),
    );
    await person.byText('summary', '2 lines to check');
    await person.click('Import pages');
    await person.eventually(
      'it is not taken in',
      async () => (await stored()).pages.find(({ title }) => title === 'Bat walk')?.visits === 120,
    );
    await press(Key.chord(Key.CONTROL, 'z'));
    await person.eventually(
      'undo leaves it',
      async () => !(await stored()).pages.some(({ title }) => title === 'Bat walk'),
    );
  });

  it('are dragged to the place shown before: between two, or into one; what cannot go there says why', async () => {
    await open();
    const { driver } = browser;
    const row = async (title: string) =>
      person.eventually(
        `no row ${title}`,
        async () =>
          (
            await driver.findElements({
              xpath: `//*[@role='row'][.//*[contains(@class,'text') and normalize-space(.)='${title}']]`,
            })
          )[0],
      );
    const drag = async (from: string, to: string, y: number, expected: RegExp): Promise<void> => {
      const [source, target] = [await row(from), await row(to)];
      await driver
        .actions()
        .move({ origin: source, x: -400 })
        .press()
        .move({ origin: target, x: -390 })
        .perform();
      let x = -380;
      // A browser tells of a drag some times a second, not with every move: as a hand does, this one goes on
      // to move.
      await person.eventually(`the drop is not shown as ${expected}`, async () => {
        x = x === -380 ? -370 : -380;
        await driver.actions().move({ origin: target, x, y }).perform();
        const [words] = await driver.findElements({ css: '.drop span' });
        return words !== undefined && expected.test(await words.getText());
      });
      await driver.actions().release().perform();
    };
    const under = async (title: string): Promise<string | undefined> => {
      const { pages } = await stored();
      const page = pages.find((one) => one.title === title);
      return pages.find(({ id }) => id === page?.parent)?.title;
    };
    await drag('Plant finder', 'What’s on', -13, /^under Quillmere, after Learn$/);
    await person.eventually('it did not move', async () => {
      const all = await titles();
      return all.indexOf('Plant finder') === all.indexOf('Learn') + 1;
    });
    await drag('Learn', 'Visit', 0, /^under Visit, after /);
    await person.eventually('it did not go in', async () => (await under('Learn')) === 'Visit');
    await drag('Visit', 'Opening times', 0, /that is inside “Visit” itself/);
    expect(await under('Learn')).toBe('Visit');
    await press(Key.chord(Key.CONTROL, 'z'), Key.chord(Key.CONTROL, 'z'));
    await person.eventually('undo', async () => (await under('Learn')) === undefined);
  });
});
