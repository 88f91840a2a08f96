import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key, type WebElement } from 'selenium-webdriver';
import type { Driver } from 'selenium-webdriver/chrome.js';
import { beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { Sketch, StoredDocument } from '@zorvik/core';
import { readMenus } from '@zorvik/formats';
import type { Person } from './person.ts';
import { storedSite } from './storedSite.ts';
import { enterStage, type Stage } from './stage.ts';

/**
 * Arrange at full strength, as a person goes through it: each journey has a menu of its own, or leaves the
 * main one as it was.
 */
let stack: Stage['stack'];
let browser: Stage['browser'];
let person: Person;
beforeAll(async () => {
  ({ stack, browser, person } = await enterStage('spread'));
});

const open = async (menu: string): Promise<void> => {
  await browser.driver.get(`${stack.editor}/quillmere/arrange/${menu}`);
  await person.find('[role=tree]');
};
const tree = (): Promise<WebElement> => person.find('[role=tree]');
const press = async (...keys: string[]): Promise<void> => (await tree()).sendKeys(...keys);
const ctrl = (key: string): string => Key.chord(Key.CONTROL, key);
const stored = async (): Promise<StoredDocument> =>
  ((await (await fetch(`${stack.editor}/api/v1/sites/quillmere`)).json()) as { document: StoredDocument })
    .document;

/** A menu as lines, set in by its depth, once all is kept. */
async function outline(menu: string): Promise<string[]> {
  await person.kept();
  const { menus, items, pages, sharedLinks } = await stored();
  const lines: string[] = [];
  const visit = (parent: string, depth: number): void => {
    for (const item of items.filter((one) => one.parent === parent)) {
      const face = sharedLinks.find(({ id }) => id === item.link) ?? item;
      const { destination } = face;
      const page = destination.kind === 'page' ? pages.find(({ id }) => id === destination.page) : undefined;
      lines.push('  '.repeat(depth) + (face.label ?? page?.title ?? ''));
      visit(item.id, depth + 1);
    }
  };
  visit(menus.find(({ key }) => key === menu)?.id ?? '', 0);
  return lines;
}

async function newMenu(name: string, prepare: () => Promise<void> = async () => undefined): Promise<void> {
  await person.click('Choose a menu');
  await person.click('New menu …');
  await (await person.find('form input[type=text]')).sendKeys(name);
  await prepare();
  await person.click('Create menu');
  await person.eventually(
    `“${name}” is not shown`,
    async () => (await (await person.find('h1 button')).getText()) === name,
  );
}

async function dragTo(from: WebElement, to: WebElement, offset: { x: number; y: number }): Promise<string> {
  const { driver } = browser;
  await driver.actions().move({ origin: from }).press().move({ origin: to }).perform();
  await driver
    .actions()
    .move({ origin: to, ...offset })
    // While something is dragged, the driver tells of a move with the next one.
    .move({ origin: to, ...offset, duration: 60 })
    .move({ origin: to, x: offset.x + 1, y: offset.y })
    .perform();
  // What is said follows the pointer a frame later.
  await driver.executeAsyncScript(
    'const done = arguments[0]; requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done, 50)))',
  );
  const words = await (await person.find('.drop span, .between span')).getText();
  await driver.actions().release().perform();
  return words;
}

describe('the spread', () => {
  beforeEach(() => open('main'));

  it('shows every branch side by side in the bar’s order; arrows go through it and across', async () => {
    const tops = await browser.driver.executeScript<string[]>(
      `return [...document.querySelectorAll('[role=treeitem][aria-level="1"]')].sort((a, b) => a.getBoundingClientRect().left - b.getBoundingClientRect().left).map((row) => row.querySelector('.label').textContent)`,
    );
    expect(tops).toEqual(['Visit', 'The garden', 'Seed house', 'Plant finder', 'Learn', 'What’s on']);
    await person.select('Visit');
    await press(Key.ARROW_RIGHT, Key.ARROW_DOWN, Key.ARROW_DOWN);
    expect(await person.selected()).toBe('Glasshouses');
    await press(Key.ARROW_LEFT);
    expect(await person.selected()).toBe('Tickets and prices');
  });

  it('reorders the bar by keys and by the pointer, and drags an item into another branch at the place shown before', async () => {
    await person.select('Learn');
    await press(Key.chord(Key.ALT, Key.ARROW_LEFT));
    await person.kept();
    expect((await outline('main')).filter((line) => !line.startsWith(' ')).slice(2, 5)).toEqual([
      'Seed house',
      'Learn',
      'Plant finder',
    ]);
    await press(ctrl('z'));
    const words = await dragTo(await person.row('Winter walk'), await person.row('Library'), {
      x: -40,
      y: 10,
    });
    expect(words).toBe('After “Library”, level 2');
    expect(await outline('main')).toContain('  Winter walk');
    expect((await outline('main')).slice(-6)).toEqual([
      '  Winter walk',
      'What’s on',
      '  Calendar',
      '  Seed swap day',
      '  Plant fair',
      '  Apple weekend',
    ]);
    await press(ctrl('z'));
    await person.kept();
  });

  it('is one press away for the keyboard: the skip link leads into it', async () => {
    const { driver } = browser;
    await driver.executeScript('document.activeElement?.blur()');
    await driver.executeScript("document.querySelector('a.skip').focus()");
    expect(await (await person.focused()).getAttribute('textContent')).toBe('Skip to the menu');
    await person.type(Key.ENTER);
    expect(await (await person.focused()).getAttribute('role')).toBe('tree');
    await person.type(Key.ARROW_DOWN);
    expect(await person.selected()).not.toBe('');
  });

  it('finds items by Ctrl F in both forms, in folded branches, too, and filters them', async () => {
    await person.select('Visit');
    for (const form of ['List', 'Columns']) {
      await (await person.byText('label', form)).click();
      await person.settled();
      await person.select('The garden');
      await press(Key.ARROW_LEFT);
      await press(ctrl('f'));
      const field = await person.find('input[aria-label="Find in this menu"]');
      await field.clear();
      await field.sendKeys('alpine');
      await person.eventually('it is not selected', async () => (await person.selected()) === 'Alpine house');
      await field.clear();
      await field.sendKeys('garden');
      const status = await person.find('.find .count');
      await person.eventually('they are not counted', async () => / of \d+$/.test(await status.getText()));
      const first = await person.selected();
      await field.sendKeys(Key.ENTER);
      await person.eventually('it does not go on', async () => (await person.selected()) !== first);
      await field.clear();
      await field.sendKeys('nothing like it');
      await person.eventually('it is found', async () => (await status.getText()) === 'No item matches');
      await field.sendKeys(ctrl('a'), Key.DELETE);
      await (await person.find('select[aria-label="State"] option[value="heading"]')).click();
      await person.eventually(
        'no heading is selected',
        async () => (await person.selected()) === 'Seeds by season',
      );
      await field.sendKeys(Key.ESCAPE);
      expect(await (await person.focused()).getAttribute('role')).toBe('tree');
    }
  });

  it('applies settings to siblings only where somebody says which, and to which', async () => {
    await person.select('Plant fair');
    await person.click('Apply to siblings …');
    const dialog = await person.find('[role=dialog] form');
    await person.eventually('its settings are not listed', async () =>
      /Settings\s[\s\S]*Badge/.test(await dialog.getText()),
    );
    await person.settled();
    const inDialog = async (label: string): Promise<void> => {
      for (const one of await dialog.findElements({ css: 'label' }))
        if ((await one.getText()).startsWith(label)) await one.findElement({ css: 'input' }).click();
    };
    const boxes = await dialog.findElements({ css: 'fieldset:first-of-type input' });
    if (boxes.length > 1) await inDialog('Badge');
    await inDialog('Calendar');
    await person.click('Apply to 2 siblings');
    await person.kept();
    const badges = (await storedSite(stack, person)).items.nodes;
    const labelled = [...badges.values()].filter(({ badge }) => badge?.text === 'May');
    expect(labelled).toHaveLength(3);
    await press(ctrl('z'));
    await person.kept();
  });

  it('sets a dropdown type and what opens it for all entries at once; an item can differ, and says what holds', async () => {
    const { driver } = browser;
    const dropsOf = async (label: string): Promise<string> => {
      await driver.switchTo().frame(await person.find('iframe'));
      try {
        return await driver.executeScript<string>(
          `return [...document.querySelectorAll('nav>ul>li')].find((one) => one.textContent.trim().startsWith(arguments[0]))?.className ?? ''`,
          label,
        );
      } finally {
        await driver.switchTo().defaultContent();
      }
    };
    await person.select('The garden');
    await (await person.byText('label', 'Dropdown')).click();
    expect(await (await person.find('.drops input:checked[value=list]')).isSelected()).toBe(true);
    await person.click('Menu');
    await person.click('Menu settings …');
    // While the dialog comes in, nothing in it can be pressed.
    await person.eventually('it is not there', async () =>
      (await (await person.find('.usual legend')).getText()).startsWith('For all entries'),
    );
    await person.settled();
    const choose = (value: string): Promise<unknown> =>
      person.eventually(`${value} is not chosen`, async () => {
        const option = await person.find(`.usual select option[value=${value}]`);
        await option.click();
        return option.isSelected();
      });
    await choose('flyouts');
    await choose('press');
    await person.click('Done');
    await person.eventually('the live header is as it was', async () =>
      (await dropsOf('The garden')).includes('zv-drops-flyouts'),
    );
    // Its details say so, next to what a click does; it can still differ.
    await person.find('.drops input:checked[value=flyouts]');
    await person.find('.drops input:checked[value=press]');
    await person.find('.drops .clicks select');
    await (await person.find('.drops input[value=list]')).click();
    await person.eventually(
      'it does not differ',
      async () => !(await dropsOf('The garden')).includes('zv-drops-flyouts'),
    );
    await person.kept();
    for (let step = 0; step < 3; step += 1) await press(ctrl('z'));
    await person.kept();
    const { menus } = await storedSite(stack, person);
    expect([...menus.nodes.values()].some(({ usual }) => usual !== undefined)).toBe(false);
  });

  it('nests what is dropped on the middle of a row, wherever it is let go across the column, and says so', async () => {
    const before = await outline('main');
    for (const x of [-60, 40]) {
      const words = await dragTo(await person.row('Winter walk'), await person.row('Library'), { x, y: 2 });
      expect(words).toBe('Nest in “Library”, level 3');
      await person.kept();
      expect((await outline('main')).slice(-6, -4)).toEqual(['    Winter walk', 'What’s on']);
      await press(ctrl('z'));
      await person.kept();
    }
    // On an entry of the bar, too.
    expect(await dragTo(await person.row('Winter walk'), await person.row('Learn'), { x: 0, y: 0 })).toBe(
      'Nest in “Learn”, level 2, at the end',
    );
    await person.kept();
    await press(ctrl('z'));
    await person.kept();
    expect(await outline('main')).toEqual(before);
  });

  it('puts what is dropped quickly where it is let go, and not where the pointer was a moment before', async () => {
    const { driver } = browser;
    const before = await outline('main');
    for (const [target, place] of [
      ['Library', '  Library'],
      ['Walled garden', '  Walled garden'],
      ['Seed swap day', '  Seed swap day'],
      ['Opening times', '  Opening times'],
    ] as const) {
      const [from, by, to] = [
        await person.row('Winter walk'),
        await person.row('Plant fair'),
        await person.row(target),
      ];
      await driver
        .actions()
        .move({ origin: from })
        .press()
        .move({ origin: by })
        .move({ origin: to, x: -40, y: 10, duration: 30 })
        .release()
        .perform();
      await person.eventually(`it is not behind “${target}”`, async () => {
        const lines = await outline('main');
        return lines[lines.indexOf(place) + 1] === '  Winter walk';
      });
      await press(ctrl('z'));
      await person.eventually(
        'it did not come back',
        async () => (await outline('main')).join() === before.join(),
      );
    }
  });

  it('goes over into the outline and back by one key: selection and folding stay', async () => {
    await person.select('Getting here');
    await press(' ');
    await press('s');
    await person.find('.outline [role=tree]');
    expect(await person.selected()).toBe('Getting here');
    expect((await person.rows()).map(({ label }) => label)).not.toContain('By bike');
    await person.eventually('the selected row is not in sight', async () => {
      const script = `const row = document.querySelector('.row.lead').getBoundingClientRect(); const box = document.querySelector('.outline').getBoundingClientRect(); return row.top >= box.top && row.bottom <= box.bottom + 1`;
      return browser.driver.executeScript<boolean>(script);
    });
    await press(Key.ARROW_RIGHT, 's');
    await person.find('.spread [role=tree]');
    expect((await person.rows()).map(({ label }) => label)).toContain('By bike');
  });

  it('chooses by drawing a rectangle, and sets one thing for all of them; what differs is shown as differing', async () => {
    const { driver } = browser;
    const first = await person.row('Wet meadow');
    const last = await person.row('Winter walk');
    await driver
      .actions()
      .move({ origin: first, x: 104, y: -8 })
      .press()
      .move({ origin: last, x: 90, y: 4 })
      .release()
      .perform();
    await person.byText('h2', '3 items');
    await (await person.byText('label', 'new tab')).click();
    await person.kept();
    const { items, pages } = await stored();
    const tabs = ['Wet meadow', 'Orchard of old sorts', 'Winter walk'].map((title) => {
      const page = pages.find((one) => one.title === title)!.id;
      return items.find(({ destination }) => destination.kind === 'page' && destination.page === page)
        ?.opensNewTab;
    });
    expect(tabs).toEqual([true, true, true]);
    await driver
      .actions()
      .keyDown(Key.CONTROL)
      .move({ origin: await person.row('Plant of the month') })
      .press()
      .release()
      .keyUp(Key.CONTROL)
      .perform();
    await person.byText('h2', '4 items');
    expect(await (await person.byText('legend', 'Opens in differs')).isDisplayed()).toBe(true);
    await press(ctrl('z'));
    await person.kept();
  });
});

describe('pasting and settling', () => {
  it('makes a nested branch of lines, finds pages by their titles, and leads through what is not decided', async () => {
    await open('main');
    await newMenu('Pasted');
    await person.putOnClipboard(
      'Glasshouses\n\tFern pit\n\tBrand new\nSeeds | /seeds-of-elsewhere\n- [Trees](/plants/trees)\nUnheard of',
    );
    await press(ctrl('v'));
    await person.eventually('nothing was pasted', async () => (await outline('pasted')).length > 0);
    expect(await outline('pasted')).toEqual([
      'Glasshouses',
      '  Fern pit',
      '  Brand new',
      'Seeds',
      '  Trees',
      'Unheard of',
    ]);
    await person.byText('button', '2 without a link');
    await press('u');
    const field = await person.find('input[aria-label^="Link: page or address"]');
    expect(await field.getAttribute('value')).toBe('Brand new');
    await field.sendKeys(ctrl('a'), 'alpine house');
    await field.sendKeys(Key.ENTER);
    await person.byText('button', '1 without a link');
    await person.kept();
    const { items } = await stored();
    expect(
      items.filter(({ destination }) => destination.kind === 'undecided').map(({ label }) => label),
    ).toEqual(['Unheard of']);
  });

  it('moves items across menus by cutting and pasting, with all they have, and back by undo', async () => {
    await open('footer');
    const before = await outline('main');
    await newMenu('Across');
    await open('main');
    await person.select('Sow in spring');
    await press(Key.chord(Key.SHIFT, Key.ARROW_DOWN), ctrl('x'));
    await person.eventually(
      'they were not cut',
      async () => !(await outline('main')).includes('    Sow in spring'),
    );
    await open('across');
    await press(ctrl('v'));
    await person.eventually('they were not pasted', async () => (await outline('across')).length === 2);
    expect(await outline('across')).toEqual(['Sow in spring', 'Sow in autumn']);
    await press(ctrl('z'), ctrl('z'));
    await person.eventually('it did not come back', async () => (await outline('across')).length === 0);
    expect(await outline('main')).toEqual(before);
  });

  it('is typed in the outline: Enter, Tab and Shift+Tab nest, Backspace in an empty one ends it', async () => {
    await open('main');
    await newMenu('Typed');
    await press(Key.ENTER);
    const type = person.type;
    await type(
      'Garden | /garden',
      Key.ENTER,
      Key.TAB,
      'Fern pit',
      Key.ENTER,
      'Alpine house',
      Key.ENTER,
      Key.chord(Key.SHIFT, Key.TAB),
      'Learn more',
      Key.ENTER,
      Key.BACK_SPACE,
    );
    expect(await outline('typed')).toEqual(['Garden', '  Fern pit', '  Alpine house', 'Learn more']);
    await press(Key.F2);
    await type(ctrl('a'), Key.BACK_SPACE, Key.BACK_SPACE);
    await person.eventually('it was not removed', async () => (await outline('typed')).length === 3);
  });
});

describe('the page finder', () => {
  it('forgives typing errors, filters what no menu has, and drags a page to an exact place', async () => {
    await open('main');
    await person.select('Calendar');
    await press('/');
    await person.find('.finder .search');
    await person.type('temprate');
    await person.byText('span', 'Temperate house');
    await person.type(ctrl('a'), 'garden');
    const counted = async (): Promise<string> => (await person.find('.finder header .number')).getText();
    const before = await counted();
    await (await person.find('.finder .unused input')).click();
    await person.eventually('the filter does nothing', async () => (await counted()) !== before);
    await person.settled();
    const page = await person.find('.finder .page');
    const title = await (await person.find('.finder .page .title')).getText();
    const words = await dragTo(page, await person.row('Calendar'), { x: -40, y: 10 });
    expect(words).toBe('After “Calendar”, level 2');
    await person.type(Key.ESCAPE);
    const lines = await outline('main');
    expect(lines[lines.indexOf('  Calendar') + 1]).toBe(`  ${title}`);
    await press(ctrl('z'));
    await person.kept();
  });

  it('leaves the menu and the details in sight, shows what each page stands below, and adds nothing twice', async () => {
    const { driver } = browser;
    await open('main');
    await person.select('Winter walk');
    const before = await outline('main');
    await press('/');
    await person.find('.finder .page');
    await person.settled();
    const box = (css: string): Promise<{ left: number; right: number }> =>
      driver.executeScript(
        `const { left, right } = document.querySelector(arguments[0]).getBoundingClientRect(); return { left, right }`,
        css,
      );
    const finder = await box('.finder');
    for (const css of ['.work', '.strip'])
      expect((await box(css)).left, css).toBeGreaterThanOrEqual(finder.right);
    // Browsed as a tree: a branch is folded and unfolded.
    const rows = (): Promise<string[]> =>
      driver.executeScript(
        `return [...document.querySelectorAll('.finder .page .title')].map((one) => one.textContent.trim())`,
      );
    expect((await rows()).slice(0, 3)).toEqual(['Quillmere', 'Visit', 'Opening times']);
    await person.type(Key.ARROW_DOWN, Key.ARROW_LEFT);
    await person.eventually('it is not folded', async () => (await rows())[2] === 'The garden');
    await person.type(Key.ARROW_RIGHT);
    await person.eventually('it is not unfolded', async () => (await rows())[2] === 'Opening times');
    // Found by a word: each says what it is below, and a second Enter does no harm.
    await person.type('rock gard');
    await person.eventually('it is not found', async () => (await rows())[0] === 'Rock garden');
    expect(await (await person.find('.finder .above')).getText()).toBe('The garden');
    await person.type(Key.ENTER);
    await person.byText('button', 'Added “Rock garden”. Select another page.');
    await person.type(Key.ENTER, Key.ENTER);
    await person.kept();
    expect((await outline('main')).length).toBe(before.length + 1);
    await person.type(Key.ESCAPE);
    await press(ctrl('z'));
    await person.kept();
    expect(await outline('main')).toEqual(before);
  });

  it('takes Enter for what was typed, however fast', async () => {
    await open('main');
    await person.select('Library');
    await press('/');
    await person.find('.finder .page');
    await person.type('temprate', Key.ENTER);
    await person.eventually(
      'it was not added',
      async () => (await outline('main')).filter((line) => line.trim() === 'Temperate house').length === 2,
    );
    await person.type(Key.ESCAPE);
    await press(ctrl('z'));
    await person.kept();
  });

  it('plans a page that the site has not: it stands in the menu and among the pages, and visitors do not get it', async () => {
    await open('main');
    await person.select('Fern pit');
    await press('p');
    await (await person.find('form input[type=text]')).sendKeys('Cactus house');
    await person.click('Add page');
    await person.find('.sign[title=planned]');
    expect(await (await person.find('[role=tree] .row.lead .label')).getText()).toBe('Cactus house');
    const page = (await stored()).pages.find(({ title }) => title === 'Cactus house');
    expect([page?.address, page?.state, page?.planned]).toEqual([
      '/garden/glasshouses/cactus-house',
      'draft',
      true,
    ]);
    await person.inLiveHeader(async () =>
      expect(
        await browser.driver.executeScript(`return document.body.textContent.includes('Cactus house')`),
      ).toBe(false),
    );
    await press(ctrl('z'));
    await person.kept();
  });
});

describe('settings of an item', () => {
  it('appear in the live header at once, and in what is delivered', async () => {
    await open('main');
    await person.select('Plant of the month');
    const badge = await person.byText('label', 'Badge');
    await (
      await browser.driver.findElement({ id: String(await badge.getAttribute('for')) })
    ).sendKeys('New', Key.ENTER);
    await (await browser.driver.findElement({ css: '.icon .shown' })).click();
    await (await person.find('.picker input')).sendKeys('flower tulip');
    await (await person.find('.picker .grid button[aria-label="flower-tulip"]')).click();
    await (await person.find('.variant select')).sendKeys('button');
    // Keys are for the tree again.
    await person.select('Plant of the month');
    await press('m');
    const line = await person.byText('label', 'Description (below the label)');
    await (
      await browser.driver.findElement({ id: String(await line.getAttribute('for')) })
    ).sendKeys('Chosen by <b>us</b>', Key.ENTER);
    await press('m');
    await person.inLiveHeader(async () => {
      await person.eventually('the header does not show it', async () =>
        browser.driver.executeScript<boolean>(
          `const face = document.querySelector('[data-zv-selected]>a.zv-button'); return face?.querySelector('svg') && face.querySelector('.zv-badge').textContent === 'New' && face.querySelector('small').textContent === 'Chosen by <b>us</b>'`,
        ),
      );
    });
    await person.kept();
    const { revision } = (await (await fetch(`${stack.editor}/api/v1/sites/quillmere`)).json()) as {
      revision: number;
    };
    await fetch(`${stack.editor}/api/v1/sites/quillmere/editions`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ note: 'Settings', revision }),
    });
    const html = await (await fetch(`${stack.delivery}/delivery/v1/sites/quillmere/menus/main.html`)).text();
    expect(html).toMatch(
      /<a href="[^"]+" class="zv-button"><svg viewBox="0 0 24 24" aria-hidden="true"><path d="[^"]+"\/><\/svg><i class="zv-label">Plant of the month<small>Chosen by &lt;b&gt;us&lt;\/b&gt;<\/small><\/i><b class="zv-badge">New<\/b><\/a>/,
    );
    const menu = (await (await fetch(`${stack.delivery}/delivery/v1/sites/quillmere/menus/main`)).json()) as {
      items: { label: string; children: { label: string; badge?: { text: string } }[] }[];
    };
    expect(menu.items[1]?.children.find(({ label }) => label === 'Plant of the month')?.badge?.text).toBe(
      'New',
    );
  });
});

describe('many menus', () => {
  it('are made from a typical tree whose items are matched to this site’s pages, the rest left open', async () => {
    await open('main');
    await newMenu('From a starter', async () => {
      await (await person.byText('label', 'a typical menu')).click();
      await (await browser.driver.findElement({ css: '.starters input[value=store]' })).click();
      await person.byText('span', 'Growing guides');
    });
    const lines = await outline('from-a-starter');
    expect(lines.length).toBeGreaterThan(10);
    expect(lines[0]).toBe('Seed house');
    expect(await (await person.find('.undecided')).getText()).toMatch(/\d+ without a link/);
  });

  it('have the keys again after a dialog: what had the focus before has it back', async () => {
    await open('main');
    await person.select('Winter walk');
    const isBack = (): Promise<true> =>
      person.eventually('the focus is lost', () =>
        browser.driver.executeScript<boolean>(
          `return document.querySelector('.v-dialog') === null && document.activeElement.closest('[role=tree]') !== null`,
        ),
      ) as Promise<true>;
    await press('?');
    await person.byText('h1', 'Keyboard shortcuts');
    await person.type(Key.ESCAPE);
    await isBack();
    // Opened from a list that closes with it.
    await person.click('Menu');
    await person.click('Menu settings …');
    await person.find('.v-dialog h1');
    await person.settled();
    await person.type(Key.ESCAPE);
    await isBack();
  });

  it('begin with nothing of another menu selected', async () => {
    await open('main');
    await person.select('Winter walk');
    await newMenu('Begun');
    await person.eventually(
      'the details are of something else',
      async () => (await (await person.find('.who h2')).getText()) === 'Begun',
    );
    expect(await browser.driver.getCurrentUrl()).not.toContain('item=');
    // The keys are for it at once: Enter begins an item.
    await person.eventually('the focus is not in it', () =>
      browser.driver.executeScript<boolean>(`return document.activeElement.closest('[role=tree]') !== null`),
    );
    await person.type(Key.ENTER);
    await person.find('.adding input');
    await person.type(Key.ESCAPE);
    await press(ctrl('z'));
    await person.kept();
  });

  it('are filled by touch, too: a finger that rests takes an item up, one that moves at once does not', async () => {
    const driver = browser.driver as Driver;
    const touch = (type: string, ...points: { x: number; y: number }[]) =>
      driver.sendDevToolsCommand('Input.dispatchTouchEvent', { type, touchPoints: points });
    await driver.sendDevToolsCommand('Emulation.setTouchEmulationEnabled', {
      enabled: true,
      maxTouchPoints: 5,
    });
    try {
      await open('main');
      await person.select('Tickets and prices');
      await person.settled();
      const before = await outline('main');
      const middle = async (label: string) => {
        const { x, y, width, height } = await (await person.row(label)).getRect();
        return { x: Math.round(x + width / 2), y: Math.round(y + height / 2) };
      };
      let from = await middle('Tickets and prices');
      const to = await middle('Walled garden');
      const goThere = async (): Promise<void> => {
        // Across first, and then up: a move across between two rows would set the level.
        for (let step = 1; step <= 8; step += 1) {
          await touch('touchMove', { x: from.x + ((to.x - from.x) * step) / 8, y: from.y });
          await person.settled();
        }
        for (let step = 1; step <= 3; step += 1) {
          await touch('touchMove', { x: to.x, y: from.y + ((to.y + 10 - from.y) * step) / 3 });
          await person.settled();
        }
      };
      // On a busy machine, a finger that is to move at once may rest too long on its way: then it moves again.
      const watch = (): Promise<unknown> =>
        driver.executeScript(
          `let from = 0; window.rested = null;
           addEventListener('touchstart', () => { from = performance.now(); }, { once: true, capture: true });
           addEventListener('touchmove', () => { window.rested = performance.now() - from; }, { once: true, capture: true });`,
        );
      const swiftly = async (gesture: () => Promise<void>): Promise<void> => {
        for (let at = 0; at < 4; at += 1) {
          await watch();
          await gesture();
          await person.settled();
          const rested = await driver.executeScript<number | null>('return window.rested');
          if (rested !== null && rested < 150) return;
          if (JSON.stringify(await outline('main')) !== JSON.stringify(before)) await person.click('Undo');
        }
      };
      await swiftly(async () => {
        await touch('touchStart', from);
        await goThere();
        await touch('touchEnd');
      });
      expect(await outline('main'), 'it scrolled').toEqual(before);
      // A swipe over the left end must not send the browser back.
      const y = from.y;
      await swiftly(async () => {
        await touch('touchStart', { x: 60, y });
        for (let x = 100; x <= 1200; x += 50) {
          await touch('touchMove', { x, y });
          await person.settled();
        }
        await touch('touchEnd');
      });
      expect((await driver.getCurrentUrl()).split('?')[0]).toContain('/arrange/main');
      expect(await outline('main')).toEqual(before);
      await open('main');
      await person.settled();
      for (const isLetGo of [true, false]) {
        from = await middle('Tickets and prices');
        await driver.executeScript(
          "window.isTakenUp = false; addEventListener('dragstart', () => { window.isTakenUp = true; }, { once: true })",
        );
        await touch('touchStart', from);
        await person.eventually('it is not taken up', () =>
          driver.executeScript<boolean>('return window.isTakenUp'),
        );
        await goThere();
        expect(await (await person.find('.drop span, .between span')).getText()).toBe(
          'After “Walled garden”, level 2',
        );
        await touch(isLetGo ? 'touchCancel' : 'touchEnd');
        if (isLetGo) expect(await outline('main'), 'it was let go').toEqual(before);
      }
      await person.eventually('it did not move', async () => {
        const lines = await outline('main');
        return lines[lines.indexOf('  Walled garden') + 1] === '  Tickets and prices';
      });
      await press(ctrl('z'));
      await person.eventually(
        'it did not come back',
        async () => (await outline('main')).join() === before.join(),
      );
    } finally {
      await driver.sendDevToolsCommand('Emulation.setTouchEmulationEnabled', { enabled: false });
    }
  });

  it('stand side by side, and items are dragged between them', async () => {
    await open('main');
    await newMenu('Beside');
    await open('beside');
    await press('b');
    const pane = await person.find('.beside select');
    await pane.sendKeys('Main menu');
    const from = await person.eventually(
      'no such row',
      async () =>
        (
          await browser.driver.findElements({
            xpath:
              "//section[contains(@class,'beside')]//*[@role='treeitem'][.//*[normalize-space(.)='Visit']]",
          })
        )[0],
    );
    const empty = await person.find('.work > .spread');
    await dragTo(from, empty, { x: 0, y: -100 });
    await person.eventually('it did not move', async () => (await outline('beside'))[0] === 'Visit');
    expect(await outline('main')).not.toContain('Visit');
    await press(ctrl('z'));
    await person.eventually('it did not come back', async () => (await outline('main'))[0] === 'Visit');
  });

  it('say what they are for, limit their depth, and are retired with a word about where they stand', async () => {
    await open('main');
    await newMenu('Shallow', async () => (await person.byText('label', 'a copy')).click());
    const asked = async () => {
      await person.click('Menu');
      await person.click('Menu settings …');
    };
    await asked();
    await (
      await browser.driver.findElement({ xpath: "//label[contains(.,'Max. levels')]//select" })
    ).sendKeys('3');
    await person.click('Done');
    await person.kept();
    await person.select('Alpine house');
    await press(Key.chord(Key.ALT, Key.ARROW_RIGHT));
    await person.eventually('nothing was said', async () =>
      (await browser.driver.getPageSource()).includes('this menu allows 3 levels'),
    );
    await asked();
    await person.find('.retire');
    // While the dialog comes in, nothing in it is seen.
    await person.settled();
    expect(await (await person.find('.retire p')).getText()).toContain('This menu is in the header bar.');
    await person.click('Delete menu');
    await person.eventually(
      'it is still there',
      async () => !(await stored()).menus.some(({ key }) => key === 'shallow'),
    );
    await press(ctrl('z'));
    await person.eventually('it did not come back', async () => (await outline('shallow')).length > 50);
  });
});

describe('shared links', () => {
  it('are made of an item, used in another menu, changed once for all, detached, and not removed unawares', async () => {
    await open('main');
    await person.select('Tickets and prices');
    await person.click('Make shared link');
    await person.byText('strong', 'Shared link.');
    await open('footer');
    await person.click('Menu');
    await person.click('Shared links');
    await person.eventually('the shared link does not open', async () => {
      await (await person.byText('span', '1× in 1 menu')).click();
      return true;
    });
    await person.click('Add to “Footer”');
    await person.byText('span', '2× in 2 menus');
    const label = await person.byText('label', 'Label');
    const field = await browser.driver.findElement({ css: '.sheet .open input' });
    expect(await label.isDisplayed()).toBe(true);
    await field.sendKeys(ctrl('a'), 'Book a visit', Key.ENTER);
    await person.eventually('they did not both change', async () => {
      const [main, footer] = [await outline('main'), await outline('footer')];
      return (
        main.some((line) => line.trim() === 'Book a visit') &&
        footer.some((line) => line.trim() === 'Book a visit')
      );
    });
    await (
      await browser.driver.findElement({
        xpath: "//*[contains(@class,'sheet')]//button[normalize-space(.)='Remove']",
      })
    ).click();
    expect(await (await person.find('.refused')).getText()).toContain('used in 2 places');
    await person.click('Unlink all and remove');
    await person.eventually('it is still there', async () => (await stored()).sharedLinks.length === 0);
    expect(await outline('main')).toContain('  Book a visit');
  });
});

describe('bringing a menu in and out', () => {
  it('shows beforehand what a file will do, lets choose among the menus of a page, and is one edit', async () => {
    await open('main');
    await newMenu('Brought');
    await person.click('Menu');
    await person.click('Import …');
    const text = await person.find('.source textarea');
    const page = `<html><body><nav aria-label="Top"><ul><li><a href="/visit">Visit</a><ul><li>Nowhere</li></ul></li></ul></nav><footer><ul><li><a href="/privacy">Privacy</a></li><li><a href="javascript:alert(1)">Bad</a></li></ul></footer></body></html>`;
    await browser.driver.executeScript(
      'arguments[0].value = arguments[1]; arguments[0].dispatchEvent(new Event("input"))',
      text,
      page,
    );
    await person.byText('legend', '2 menus found. Which one?');
    expect(await (await person.find('.preview .sum')).getText()).toMatch(
      /2 new items\s*1 links to a page of this site\s*1 without a link/,
    );
    await person.click('Import 2 items');
    await person.eventually('they are not there', async () => (await outline('brought')).length === 2);
    expect(await outline('brought')).toEqual(['Visit', '  Nowhere']);
    await press(ctrl('z'));
    await person.eventually('it was not one edit', async () => (await outline('brought')).length === 0);
  });
});

describe('taking a menu out', () => {
  it('gives a file in each format, which brings the same menu in again', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'zorvik-taken-out-'));
    await (browser.driver as Driver).sendDevToolsCommand('Browser.setDownloadBehavior', {
      behavior: 'allow',
      downloadPath: folder,
    });
    await open('footer');
    const expected = await outline('footer');
    for (const [name, file] of [
      ['JSON', 'footer.json'],
      ['CSV', 'footer.csv'],
      ['OPML', 'footer.opml'],
      ['Markdown list', 'footer.md'],
      ['HTML list', 'footer.html'],
      ['Plain text, one line per item', 'footer.txt'],
    ] as const) {
      await person.click('Menu');
      await person.click(name);
      const text = await person.eventually(`${file} does not come`, () =>
        readFile(join(folder, file), 'utf8'),
      );
      const { found } = readMenus(text);
      const lines = (sketches: readonly Sketch[], depth = 0): string[] =>
        sketches.flatMap(({ label, children }) => [
          '  '.repeat(depth) + label,
          ...lines(children, depth + 1),
        ]);
      expect(found.ok && lines(found.value[0]?.sketches ?? []), name).toEqual(expected);
    }
    await rm(folder, { recursive: true, force: true });
  });
});

describe('a menu of sixty items, by the pointer alone', () => {
  it('is made of pages picked in the finder and dragged into its nesting, in at most 150 actions', async () => {
    const { driver } = browser;
    let actions = 0;
    const clickOn = async (element: WebElement): Promise<void> => {
      actions += 1;
      await driver.actions().move({ origin: element }).press().release().perform();
    };
    await open('main');
    await newMenu('By pointer');
    await clickOn(await person.find('button[title="Find pages (/)"]'));
    await person.find('.finder .page');
    await person.settled();
    const found = await person.find('.finder .found');
    const picked = new Set<string>();
    while (picked.size < 60) {
      const script = `const box = arguments[0].getBoundingClientRect(); return [...arguments[0].querySelectorAll('.page')].filter((row) => { const { top, bottom } = row.getBoundingClientRect(); return top >= box.top && bottom <= box.bottom; })`;
      for (const row of await driver.executeScript<WebElement[]>(script, found)) {
        const id = String(await row.getAttribute('id'));
        if (picked.size >= 60 || picked.has(id)) continue;
        picked.add(id);
        await clickOn(row);
      }
      actions += 1;
      const { x, y } = await found.getRect();
      const top = (): Promise<number> => driver.executeScript<number>('return arguments[0].scrollTop', found);
      const before = await top();
      await (driver as Driver).sendDevToolsCommand('Input.dispatchMouseEvent', {
        type: 'mouseWheel',
        x: x + 50,
        y: y + 50,
        deltaX: 0,
        deltaY: 256,
      });
      await person.eventually('it does not scroll', async () => (await top()) >= before + 256);
      await person.settled();
    }
    await clickOn(await person.find('.finder .go'));
    await person.eventually('they are not there', async () => (await outline('by-pointer')).length === 60);
    await clickOn(await person.find('.finder header button'));
    await clickOn(await person.byText('label', 'List'));
    await person.find('.outline [role=treeitem]');
    await person.settled();
    const rows = await driver.findElements({ css: '.outline [role=treeitem]' });
    actions += 1;
    const words = await dragTo(rows[3]!, rows[1]!, { x: -400, y: 0 });
    expect(words).toMatch(/^Nest in .*, level 2$/);
    expect((await outline('by-pointer')).filter((line) => line.startsWith('  '))).toHaveLength(1);
    expect(actions).toBeLessThanOrEqual(150);
  });
});

describe('a store’s large menu', () => {
  it('is brought in, found by keys, sorted, and stays quick to go through: three hundred items over nine entries', async () => {
    await open('main');
    await newMenu('Store');
    await (await person.byText('label', 'Columns')).click();
    const lines = Array.from({ length: 9 }, (_, entry) => [
      `Entry ${entry + 1} | /e${entry}`,
      ...Array.from({ length: 33 }, (__, at) => `\tItem ${entry + 1}-${at + 1} | /e${entry}/${at}`),
    ]).flat();
    await person.putOnClipboard(lines.join('\n'));
    await press(ctrl('v'));
    await person.eventually('they are not there', async () => (await outline('store')).length === 306);
    await person.select('Entry 9');
    await person.byText('h2', 'Entry 9');
    await press(Key.chord(Key.ALT, Key.ARROW_LEFT), Key.chord(Key.ALT, Key.ARROW_LEFT));
    const tops = async (): Promise<string[]> =>
      (await outline('store')).filter((line) => !line.startsWith(' '));
    await person.eventually('it did not move by two', async () => (await tops())[6] === 'Entry 9');
    await press(Key.HOME, Key.ARROW_DOWN, Key.chord(Key.ALT, Key.ARROW_DOWN));
    expect(await person.selected()).toBe('Item 1-1');
    expect((await outline('store')).slice(1, 3)).toEqual(['  Item 1-2', '  Item 1-1']);
    expect(
      await browser.driver.executeScript<number>(
        `return document.querySelectorAll('[role=treeitem]').length`,
      ),
      'only what is seen is in the page',
    ).toBeLessThan(200);
  });
});
