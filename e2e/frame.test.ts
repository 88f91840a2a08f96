import { By, Key, type WebElement } from 'selenium-webdriver';
import { beforeAll, describe, expect, it } from 'vitest';
import {
  createMenu,
  partsIn,
  readStored,
  type Part,
  type PlannedItem,
  type SiteDocument,
  type StoredDocument,
} from '@zorvik/core';
import { contextOf } from '@zorvik/core/testing';
import type { Person } from './person.ts';
import { enterStage, type Stage } from './stage.ts';
import { storedSite } from './storedSite.ts';

/** The frame composed on the page itself, by pointer and by keys, and delivered. */
let stack: Stage['stack'];
let browser: Stage['browser'];
let person: Person;
beforeAll(async () => {
  ({ stack, browser, person } = await enterStage());
});

const stored = (): Promise<SiteDocument> => storedSite(stack, person);
const frameParts = async (): Promise<Part[]> => {
  const document = await stored();
  return partsIn(document, document.site.id);
};
const inPicture = <T>(act: () => Promise<T>): Promise<T> => person.inPicture(act);
const found = (css: string): Promise<WebElement> =>
  person.eventually(`nothing like ${css}`, async () => (await browser.driver.findElements(By.css(css)))[0]);
const tree = (): Promise<WebElement> => person.find('[aria-label="Frame contents"]');
const title = async (): Promise<string> => (await person.find('.strip h2')).getText();
/** With one picture, as wide as the window: places in it are where WebDriver takes them to be. */
const openFrame = async (): Promise<void> => {
  await browser.driver.get(`${stack.editor}/design`);
  await browser.driver.executeScript(`localStorage.setItem('zorvik-narrow-picture', 'no')`);
  await browser.driver.get(`${stack.editor}/quillmere/frame`);
  await inPicture(() => found('.zv-header .zv-logo'));
};
const lookAt = (typed: string): Promise<void> => person.lookAt(typed);

describe('Frame', () => {
  it('shows the page as visitors get it; one click selects the part, a second one the entry in it, and both lead on', async () => {
    await openFrame();
    await inPicture(async () => (await found('.zv-logo a')).click());
    await person.eventually('the logo is not selected', async () => (await title()) === 'Quillmere');
    await inPicture(async () => (await found('[aria-label^=Main] a[href="/garden"]')).click());
    await person.eventually('the menu is not selected', async () => (await title()) === 'Main menu');
    expect(await browser.driver.getCurrentUrl(), 'a click never leads away').toContain('/quillmere/frame');
    await inPicture(async () => (await found('[aria-label^=Main] a[href="/garden"]')).click());
    await person.byText('a', 'Arrange this entry');
    await (await person.byText('a', 'Arrange this entry')).click();
    await person.eventually('the entry is not selected in Arrange', async () =>
      (await browser.driver.getCurrentUrl()).includes('/arrange/main?item='),
    );
    await browser.driver.navigate().back();
    await person.eventually('Back does not show the same', async () => (await title()) === 'Main menu');
  });

  it('is composed by keys: a part is found by a few letters, moved through zones, and removed; undo brings all back', async () => {
    await openFrame();
    const before = (await frameParts()).map(({ id }) => id);
    await inPicture(async () => (await found('.zv-logo a')).click());
    await person.eventually('the logo is not selected', async () => (await title()) === 'Quillmere');
    await (await tree()).sendKeys('p');
    await (await person.find('input[aria-label="Part to add"]')).sendKeys('sea', Key.ENTER);
    await inPicture(() => found('.zv-header .zv-search input[type=search]'));
    await person.eventually('the search is not selected', async () => (await title()) === 'Search');
    const zoneOf = async (): Promise<string | undefined> => {
      const parts = await frameParts();
      const search = parts.find(({ kind }) => kind === 'search');
      return parts.find(({ id }) => id === search?.parent)?.at;
    };
    expect(await zoneOf()).toBe('start');
    for (let step = 0; step < 3; step += 1)
      await (await tree()).sendKeys(Key.chord(Key.ALT, Key.ARROW_RIGHT));
    expect(await zoneOf()).toBe('end');
    await (await tree()).sendKeys(Key.DELETE);
    await person.eventually('it is still there', async () => (await zoneOf()) === undefined);
    for (let step = 0; step < 5; step += 1) await (await tree()).sendKeys(Key.chord(Key.CONTROL, 'z'));
    await person.eventually(
      'not all is undone',
      async () => (await frameParts()).map(({ id }) => id).join(' ') === before.join(' '),
    );
  });

  it('is composed where it is drawn: a mark between two parts adds one, and parts are dragged to the place shown before', async () => {
    await openFrame();
    const { driver } = browser;
    await inPicture(async () => {
      const logo = await found('.zv-logo');
      const { width } = await logo.getRect();
      // To the right of the logo, before the menu.
      await driver
        .actions()
        .move({ origin: logo, x: 0 })
        .move({ origin: logo, x: Math.round(width / 2 + 8) })
        .perform();
      await (await found('.plus')).click();
    });
    await (await person.find('input[aria-label="Part to add"]')).sendKeys('button', Key.ENTER);
    const order = async (): Promise<string[]> =>
      (await frameParts())
        .filter(({ kind }) => ['logo', 'button', 'placement'].includes(kind))
        .map(({ kind }) => kind);
    await person.eventually(
      'no button',
      async () => (await order()).slice(0, 4).join(' ') === 'placement logo button placement',
    );
    await inPicture(async () => {
      const button = await found('.zv-header .zv-action');
      const last = await found('[aria-label^=Main]>ul>li:last-child');
      await driver
        .actions()
        .move({ origin: button })
        .press()
        .move({ origin: last, x: 10, duration: 100 })
        .move({ origin: last, x: 20, duration: 100 })
        .perform();
      await found('.marks .drop');
      await driver.actions().release().perform();
    });
    await person.eventually(
      'it is not moved',
      async () => (await order()).slice(0, 4).join(' ') === 'placement logo placement button',
    );
    for (let step = 0; step < 2; step += 1) await (await tree()).sendKeys(Key.chord(Key.CONTROL, 'z'));
    await person.kept();
  });

  it('hides a part on some pages, says where it is different, and delivers just that', async () => {
    await openFrame();
    await lookAt('Tickets');
    await inPicture(() => found('.zv-breadcrumb nav'));
    await (await person.byText('label', 'this page and below')).click();
    await inPicture(async () => (await found('.zv-header .zv-contact a')).click());
    await person.eventually(
      'the contact line is not selected',
      async () => (await title()) === 'contact line',
    );
    await (await person.find('.shown select')).sendKeys('Hidden');
    await person.find('.list .wins');
    await inPicture(() =>
      person.eventually(
        'it is still shown',
        async () => (await browser.driver.findElements(By.css('.zv-header .zv-contact'))).length === 0,
      ),
    );
    await person.kept();
    await person.click('Publish');
    await person.byText('li', 'Changed a contact line in the header');
    await person.click('Publish edition 2');
    const header = async (path: string): Promise<string> =>
      (
        (await (await fetch(`${stack.delivery}/delivery/v1/sites/quillmere/frame?page=${path}`)).json()) as {
          header: string;
        }
      ).header;
    await person.eventually(
      'it is delivered',
      async () => !(await header('/visit/tickets')).includes('zv-contact'),
    );
    expect(await header('/visit')).toContain('zv-contact');
    await browser.driver.navigate().back();
    await (await person.find('[aria-label="Remove this exception"]')).click();
    await inPicture(() => found('.zv-header .zv-contact'));
  });

  it('takes a logo file that is dropped on it; a band’s height and a logo’s width are dragged, with the number shown', async () => {
    await openFrame();
    const { driver } = browser;
    await inPicture(() =>
      driver.executeScript(`
        const logo = document.querySelector('.zv-header .zv-logo a');
        const dataTransfer = new DataTransfer();
        dataTransfer.items.add(new File(['<svg xmlns="http://www.w3.org/2000/svg" width="240" height="80"><rect width="240" height="80" fill="#1f3a2c"/></svg>'], 'logo.svg', { type: 'image/svg+xml' }));
        for (const type of ['dragover', 'drop']) logo.dispatchEvent(new DragEvent(type, { bubbles: true, cancelable: true, dataTransfer }));`),
    );
    await inPicture(() => found('.zv-header .zv-logo img'));
    expect((await stored()).site.logo).toMatchObject({ width: 240, height: 80, isDrawn: true });
    const drag = (css: string, x: number, y: number): Promise<void> =>
      inPicture(async () => {
        // Marks are drawn anew when something on the page is: then there is another handle.
        await person.eventually('the handle cannot be dragged', async () => {
          const handle = await found(css);
          await driver.actions().move({ origin: handle }).press().move({ origin: handle, x, y }).perform();
          return true;
        });
        expect(await (await found('.marks .number')).getText()).toMatch(/^\d+ px$/);
        await driver.actions().release().perform();
      });
    await inPicture(async () => (await found('.zv-logo img')).click());
    await drag('.grip.beside', 60, 0);
    const logo = async (): Promise<Part | undefined> =>
      (await frameParts()).find(({ kind }) => kind === 'logo');
    const before = await inPicture(async () => (await (await found('.zv-logo img')).getRect()).width);
    expect((await logo())?.logoWidth).toBe(before);
    expect(before).toBeGreaterThan(150);
    await person.eventually('no band can be selected', async () => {
      const rows = await driver.findElements(By.css('.tree .row'));
      for (const row of rows)
        if ((await row.getText()).startsWith('band 2')) {
          await row.click();
          return true;
        }
      return false;
    });
    await drag('.grip.lower', 0, 40);
    const bands = (await frameParts()).filter(({ kind }) => kind === 'band');
    expect(bands.map(({ bandHeight }) => bandHeight).filter((height) => height !== undefined)).toHaveLength(
      1,
    );
    for (let step = 0; step < 3; step += 1) await (await tree()).sendKeys(Key.chord(Key.CONTROL, 'z'));
    await person.eventually('not all is undone', async () => (await stored()).site.logo === undefined);
  });

  it('can be tried: links lead to the next page, whose mark they carry, and Escape ends it', async () => {
    await openFrame();
    await person.click('Try it');
    await inPicture(async () => (await found('[aria-label^=Second] a[href="/membership"]')).click());
    await person.eventually(
      'no other page',
      async () => (await (await person.find('.page .shown strong')).getText()) === 'Membership',
    );
    await person.click('Back to composing');
    await inPicture(() => found('.zv-header [data-zv-part]'));
  });
});

describe('the placement table', () => {
  it('gives product pages another menu in at most four actions, and says where each menu shows', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/frame`);
    await inPicture(() => found('.zv-header .zv-logo'));
    let actions = 0;
    const act = async (what: () => Promise<unknown>): Promise<void> => {
      actions += 1;
      await what();
    };
    await act(async () => (await person.byText('label', 'Placements')).click());
    const cell = await person.find('select[aria-label="Header / band 2 / start, template product"]');
    const choose = async (words: string): Promise<void> =>
      (await cell.findElement(By.xpath(`option[starts-with(normalize-space(.),'${words}')]`))).click();
    await act(() => choose('Plant finder'));
    expect(actions).toBeLessThanOrEqual(4);
    const document = await stored();
    const made = [...document.parts.nodes.values()].find(({ template }) => template === 'product');
    expect(document.menus.nodes.get(made?.shows ?? '')?.key).toBe('plants');
    await person.find('select.own');
    await choose('as all');
    await person.eventually(
      'it is still an exception',
      async () => !(await stored()).parts.nodes.has(made?.id ?? ''),
    );
    expect(await person.find('[aria-label="Placement table"]')).toBeTruthy();
  });
});

/** An item that links nowhere. */
const heading = (label: string): PlannedItem => ({
  label,
  source: label,
  destination: { kind: 'none' },
  foundBy: null,
  opensNewTab: false,
  settings: {},
  depth: 0,
  dropped: null,
});

describe('an empty frame', () => {
  it('becomes a header of two bands with logo, menu, search, button, phone and social links in at most 25 actions', async () => {
    const post = (path: string, body: object): Promise<Response> =>
      fetch(`${stack.editor}/api/v1/sites${path}`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(body),
      });
    expect((await post('', { name: 'Fresh', key: 'fresh' })).status).toBe(201);
    const site = (await (await fetch(`${stack.editor}/api/v1/sites/fresh`)).json()) as {
      document: StoredDocument;
      revision: number;
    };
    const made = createMenu(
      { ...contextOf(readStored(site.document)), base: site.revision },
      {
        name: 'Main',
        place: 'inPage',
        fill: { kind: 'planned', items: ['Shop', 'Help'].map(heading) },
      },
    );
    if (!made.ok) throw new Error(made.refusal.message);
    expect((await post('/fresh/edits', made.value)).status).toBe(200);

    let actions = 0;
    const act = async (what: () => Promise<unknown>): Promise<void> => {
      actions += 1;
      await what();
    };
    const add = async (name: string): Promise<void> => {
      await act(async () => (await tree()).sendKeys('p'));
      const field = await person.find('input[aria-label="Part to add"]');
      await field.sendKeys(name);
      await act(() => field.sendKeys(Key.ENTER));
    };
    const toEnd = (): Promise<void> => act(async () => (await person.byText('label', 'end')).click());
    await browser.driver.get(`${stack.editor}/fresh/frame`);
    await act(() => person.click('Site'));
    await act(() => person.click('Site settings …'));
    await act(async () => (await person.find('.fields input[type=text]')).click());
    await (await person.focused()).sendKeys('01632 960140');
    await act(() => person.click('Add a social link'));
    await act(() => person.click('Done'));
    await act(() => person.click('Add a band to the header'));
    await add('contact');
    await add('social');
    await toEnd();
    await act(async () => (await tree()).sendKeys('b'));
    await add('logo');
    await add('menu');
    await add('search');
    await toEnd();
    await add('button');
    expect(actions).toBeLessThanOrEqual(25);
    await person.kept();
    await inPicture(async () => {
      for (const css of [
        'a[href="tel:01632960140"]',
        '.zv-social a',
        '.zv-logo',
        'nav[aria-label=Main] li',
        '.zv-search input',
        '.zv-action',
      ])
        await found(`.zv-header ${css}`);
      expect((await browser.driver.findElements(By.css('.zv-header > .zv-band'))).length).toBe(2);
    });
  });
});
