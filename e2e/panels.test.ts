import { By, Key } from 'selenium-webdriver';
import { beforeAll, describe, expect, it } from 'vitest';
import type { StoredDocument } from '@zorvik/core';
import type { Person } from './person.ts';
import { enterStage, type Stage } from './stage.ts';

/** Panels and the other forms in which a branch drops: set by an editor, met by a visitor at every width. */
let stack: Stage['stack'];
let browser: Stage['browser'];
let person: Person;
beforeAll(async () => {
  ({ stack, browser, person } = await enterStage());
});

const stored = async (): Promise<StoredDocument> => {
  await person.kept();
  return (
    (await (await fetch(`${stack.editor}/api/v1/sites/quillmere`)).json()) as { document: StoredDocument }
  ).document;
};
const dropdownOf = async (title: string): Promise<unknown> => {
  const { items, pages, menus } = await stored();
  const main = menus.find(({ key }) => key === 'main')?.id;
  const page = pages.find((one) => one.title === title)?.id;
  return items.find(
    ({ parent, destination }) => parent === main && destination.kind === 'page' && destination.page === page,
  )?.dropdown;
};
const choose = async (label: string): Promise<void> => (await person.byText('label', label)).click();
/** The panel that is open in the live header: the labels of each column, its groups' alone. */
const columnsShown = async (): Promise<string[][]> => {
  await browser.driver.switchTo().frame(await person.find('iframe'));
  const found = await browser.driver.executeScript<string[][]>(
    `return [...document.querySelectorAll('button[aria-expanded=true]~.zv-panel>ul')].map((list) => [...list.children].map((entry) => entry.firstElementChild.textContent))`,
  );
  await browser.driver.switchTo().defaultContent();
  return found;
};

describe('a panel', () => {
  it('of four balanced columns comes from a branch in at most 6 actions, and is drawn as it will be', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/arrange/main`);
    await choose('Columns');
    await person.select('Plant finder');
    await choose('Dropdown');
    await choose('panel');
    await choose('2');
    await choose('4');
    await person.eventually('it is not drawn', async () => (await columnsShown()).length === 4);
    expect(await dropdownOf('Plant finder')).toEqual({ form: 'panel', panel: { columns: 4 } });
    expect((await columnsShown()).flat().length, 'every group is in a column').toBeGreaterThan(1);
    expect(await (await person.find('.drops [role=status]')).getText()).toMatch(
      /^Rows per column: \d+, \d+, \d+, \d+$/,
    );
  });

  it('lets a group stay in a column, keeps what every form held, and all of it can be undone', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/arrange/main`);
    await person.select('Plant finder');
    await choose('Dropdown');
    await person.eventually('it is not drawn', async () => (await columnsShown()).length > 1);
    const [[first = ''] = []] = await columnsShown();
    // The dropdown lies over the menu until Escape, or work there, closes it.
    await browser.driver.actions().sendKeys(Key.ESCAPE).perform();
    await person.select(first);
    await choose('Column');
    await choose('3');
    await person.eventually(
      'it does not stay',
      async () => (await columnsShown())[2]?.includes(first) === true,
    );
    await choose('balanced (3)');
    await person.eventually('it stays', async () => (await columnsShown())[0]?.[0] === first);
    await person.select('Plant finder');
    const before = await dropdownOf('Plant finder');
    await choose('Dropdown');
    await choose('flyouts');
    await choose('list');
    await choose('panel');
    expect(await dropdownOf('Plant finder')).toEqual(before);
    for (let step = 0; step < 3; step += 1) await person.click('Undo');
    expect(await dropdownOf('Plant finder')).toEqual(before);
  });

  it('lets a group be dragged into another column, where it stays; Escape leaves it where it was', async () => {
    const { driver } = browser;
    await driver.get(`${stack.editor}/quillmere/arrange/main`);
    await choose('Columns');
    await person.select('Plant finder');
    await choose('Dropdown');
    await person.eventually('it is not drawn', async () => (await columnsShown()).length > 2);
    const [[first = ''] = []] = await columnsShown();
    const stage = await person.find('iframe');
    const drag = async (release: () => Promise<void>): Promise<void> => {
      await driver.switchTo().frame(stage);
      const [from, , to] = await driver.findElements(
        By.css('button[aria-expanded=true]~.zv-panel>ul>li:first-child>:first-child'),
      );
      if (from === undefined || to === undefined) throw new Error('The panel is not open.');
      await driver
        .actions()
        .move({ origin: from })
        .press()
        .move({ origin: from, x: 40, y: 10 })
        .move({ origin: to, x: 5, y: 20 })
        .move({ origin: to, x: 8, y: 20 })
        .perform();
      expect(await (await driver.findElement(By.css('.column-mark'))).getText()).toBe('column 3');
      await release();
      await driver.actions().release().perform();
      await driver.switchTo().defaultContent();
    };
    await drag(async () => void (await driver.actions().sendKeys(Key.ESCAPE).perform()));
    expect((await columnsShown())[0]?.[0]).toBe(first);
    await drag(() => Promise.resolve());
    await person.eventually(
      'it does not stay',
      async () => (await columnsShown())[2]?.includes(first) === true,
    );
    expect(
      Object.values(((await dropdownOf('Plant finder')) as { panel: { kept: object } }).panel.kept),
    ).toEqual([2]);
    await person.click('Undo');
    await person.eventually(
      'undo does not put it back',
      async () => (await columnsShown())[0]?.[0] === first,
    );
  });

  it('says at the field what is no width, and keeps nothing of it', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/arrange/main`);
    await person.select('Learn');
    await choose('Dropdown');
    const field = await person.find('.drops input[placeholder="0"]');
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), '80', Key.ENTER);
    await person.byText('p', 'Use a whole number from 0 to 64 px for the gap.');
    expect(await dropdownOf('Learn')).toMatchObject({ panel: { gap: 8 } });
  });
});

describe('what drops, on the site', () => {
  const boxes = `return [...document.querySelectorAll('.zv-bar[aria-label^=Main] > ul > li > button')].map((button) => {
    for (const other of document.querySelectorAll('.zv-bar[aria-label^=Main] button[aria-expanded=true]')) other.setAttribute('aria-expanded', 'false');
    button.click();
    const { left, right, width } = button.parentElement.querySelector(':scope>:is(ul,.zv-panel)').getBoundingClientRect();
    return { name: button.parentElement.firstElementChild.textContent, left, right, width, beyond: document.documentElement.scrollWidth - document.documentElement.clientWidth, screen: document.documentElement.clientWidth };
  })`;

  it('never leaves the screen and brings no horizontal scrollbar, from 768 to 1920 px', async () => {
    await browser.driver.get(`${stack.site}/visit`);
    const wrong: unknown[] = [];
    let looks = 0;
    for (let width = 768; width <= 1920; width += 32) {
      await browser.resize(width, 900);
      for (const box of await browser.driver.executeScript<
        { left: number; right: number; width: number; beyond: number; screen: number }[]
      >(boxes)) {
        looks += 1;
        if (box.left < -0.5 || box.right > box.screen + 0.5 || box.beyond > 0 || box.width < 100)
          wrong.push({ at: width, ...box });
      }
    }
    await browser.resize(1280, 900);
    expect(wrong).toEqual([]);
    expect(looks).toBe(37 * 6);
  });

  it('spans the page where it was told to, stands below its item where not, and is closed by Escape, which gives the focus back', async () => {
    await browser.resize(1280, 900);
    await browser.driver.get(`${stack.site}/visit`);
    const found = new Map(
      (await browser.driver.executeScript<{ name: string; left: number; width: number }[]>(boxes)).map(
        (box) => [box.name, box],
      ),
    );
    expect(found.get('Seed house')).toMatchObject({
      left: 0,
      width: await browser.driver.executeScript('return document.documentElement.clientWidth'),
    });
    expect(found.get('Visit')?.width).toBe(860);
    const item = await browser.driver.executeScript<number>(
      `return document.querySelector('.zv-bar[aria-label^=Main] > ul > li').getBoundingClientRect().left`,
    );
    expect(Math.abs((found.get('Visit')?.left ?? 0) - item)).toBeLessThan(1);
    await browser.driver.executeScript(
      `document.querySelector('.zv-bar[aria-label^=Main] > ul > li > button[aria-expanded=true]').click()`,
    );
    const button = await browser.driver.findElement(By.css('.zv-bar[aria-label^=Main] > ul > li > button'));
    await button.sendKeys(Key.ENTER, Key.TAB);
    expect(await (await person.focused()).getText(), 'reading order is focus order').not.toBe('');
    expect(
      await browser.driver.executeScript('return document.activeElement.closest(".zv-panel") !== null'),
    ).toBe(true);
    await (await person.focused()).sendKeys(Key.ESCAPE);
    expect(
      await browser.driver.executeScript(
        'return [document.activeElement.getAttribute("aria-expanded"), document.querySelectorAll(".zv-bar[aria-label^=Main] [aria-expanded=true]").length]',
      ),
    ).toEqual(['false', 0]);
  });

  it('stands in the bar on narrow screens, with all its links, and is reached without the script, too', async () => {
    await browser.resize(390, 800);
    await browser.driver.get(`${stack.site}/visit`);
    // As on a site without a drawer, whose header keeps everything.
    await browser.driver.executeScript(
      `for (const one of document.querySelectorAll('.zv-yields')) one.classList.remove('zv-yields')`,
    );
    for (const box of await browser.driver.executeScript<
      { left: number; right: number; beyond: number; screen: number }[]
    >(boxes)) {
      expect(box.beyond).toBeLessThanOrEqual(0);
      expect(box.right).toBeLessThanOrEqual(box.screen + 0.5);
    }
    const narrow = await browser.driver.executeScript<string>(
      `return getComputedStyle(document.querySelector('.zv-bar[aria-label^=Main] .zv-panel')).position`,
    );
    expect(narrow).toBe('static');
    await browser.resize(1280, 900);
    await browser.driver.get(`${stack.site}/visit`);
    const bare = await browser.driver.executeScript<{ display: string; left: number; right: number }>(
      `const nav = document.querySelector('.zv-bar[aria-label^=Main]');
       const copy = nav.cloneNode(true);
       nav.replaceWith(copy);
       copy.removeAttribute('data-zv-on');
       for (const button of copy.querySelectorAll('button')) button.setAttribute('aria-expanded', 'false');
       copy.querySelector('a').focus();
       const panel = copy.querySelector('.zv-panel');
       const { left, right } = panel.getBoundingClientRect();
       return { display: getComputedStyle(panel).display, left, right };`,
    );
    expect(bare.display).toBe('grid');
    expect(bare.left).toBeGreaterThanOrEqual(0);
    expect(bare.right).toBeLessThanOrEqual(1280);
  });
});
