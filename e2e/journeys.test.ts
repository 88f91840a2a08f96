import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { beforeAll, describe, expect, it } from 'vitest';
import type { Person, SeenRow } from './person.ts';
import { enterStage, type Stage } from './stage.ts';

/** One server and one browser for all journeys: each begins where a person would, at an address. */
let stack: Stage['stack'];
let browser: Stage['browser'];
let person: Person;
beforeAll(async () => {
  ({ stack, browser, person } = await enterStage());
});

const labels = (rows: readonly SeenRow[]): string[] => rows.map(({ label }) => label);

/** The published menu as a tree of labels, from the delivery address. */
async function delivered(
  site: string,
  menu: string,
): Promise<{ label: string; href: string | null; children: unknown[] }[]> {
  const reply = await fetch(`${stack.delivery}/delivery/v1/sites/${site}/menus/${menu}`);
  return reply.ok
    ? ((await reply.json()) as { items: { label: string; href: string | null; children: unknown[] }[] }).items
    : [];
}

describe('1. the first start', () => {
  it('shows Quillmere with its pages, a main menu with dropdowns and the live header', async () => {
    await browser.driver.get(stack.editor);
    expect(
      (
        await person
          .rows()
          .then(() =>
            person.eventually('no rows', async () =>
              (await person.rows()).length > 5 ? person.rows() : null,
            ),
          )
      )[0],
    ).toEqual({
      label: 'Visit',
      level: 1,
    });
    expect((await browser.driver.getCurrentUrl()).split('?')[0]).toBe(`${stack.editor}/quillmere/arrange`);
    const top = await person.eventually('the live header is empty', () =>
      person.inLiveHeader(async () => {
        const links = await browser.driver.findElements(By.css('.zv-bar > ul > li > a'));
        return links.length > 0 ? Promise.all(links.map((link) => link.getText())) : null;
      }),
    );
    expect(top).toEqual(['Visit', 'The garden', 'Seed house', 'Plant finder', 'Learn', 'What’s on']);
    await person.click('Pages');
    await person.byText('span', 'Plant finder');
    expect(await (await person.find('.head .number')).getText()).toBe('408');
  });
});

describe('2. a site of a sitemap', () => {
  const paths = [
    '',
    ...Array.from({ length: 40 }, (_, at) => `shop/seeds-${at}`),
    'shop',
    'caf%C3%A9',
    'about-us.html',
    ...Array.from({ length: 960 }, (_, at) => `shop/seeds-${at % 40}/sort-${at}`),
  ];
  const sitemap = `<?xml version="1.0" encoding="UTF-8"?><urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">${paths.map((path) => `<url><loc>https://larch.example/${path}</loc></url>`).join('')}</urlset>`;

  it('refuses a broken file with its place, and stores nothing', async () => {
    await browser.driver.get(`${stack.editor}/sites`);
    await person.click('New site …');
    await (await person.find('input[maxlength="120"]')).sendKeys('Larch');
    await (
      await person.find('textarea:not([aria-hidden])')
    ).sendKeys('<urlset><url><loc>https://larch.example/</loc></url>');
    await person.click('Create site');
    const message = await person.eventually('no refusal', async () =>
      (await browser.driver.findElement(By.css('.problem'))).getText(),
    );
    expect(message).toMatch(/^Line 1, column \d+: .+urlset.+Correct the XML there/);
    const { sites } = (await (await fetch(`${stack.editor}/api/v1/sites`)).json()) as {
      sites: { key: string }[];
    };
    expect(sites.map(({ key }) => key)).toEqual(['quillmere']);
  });

  it('reads a file of a thousand addresses into a page tree by their path, with readable titles', async () => {
    const file = join(stack.data, 'sitemap.xml');
    await writeFile(file, sitemap);
    await browser.driver.get(`${stack.editor}/sites`);
    await person.click('New site …');
    await (await person.find('input[maxlength="120"]')).sendKeys('Larch');
    await (await person.find('input[type=file]')).sendKeys(file);
    await person.click('Create site');
    await person.eventually(
      'not there',
      async () =>
        (await browser.driver.getCurrentUrl()).split('?')[0] === `${stack.editor}/larch/pages` || null,
    );
    expect(await (await person.find('.head .number')).getText()).toBe('1,004');
    // What to do next is offered.
    expect(await (await person.find('.next')).getText()).toMatch(/^Next:\s+create a menu from these pages/);
    const titles = await person.eventually('no rows', async () => {
      const found = await browser.driver.findElements(By.css('[role=row] .text'));
      return found.length > 0 ? Promise.all(found.map((one) => one.getText())) : null;
    });
    expect(titles).toEqual(['Home', 'Shop', 'Café', 'About us']);
    await (await person.find('[role=treegrid]')).sendKeys(Key.ARROW_DOWN, Key.ARROW_RIGHT);
    await person.byText('span', 'Seeds 0');
  });

  it('takes the sitemap that the stand-in site serves', async () => {
    const xml = await (await fetch(`${stack.site}/sitemap.xml`)).text();
    const reply = await fetch(`${stack.editor}/api/v1/sites/from-sitemap?name=Stand-in`, {
      method: 'POST',
      body: xml,
      headers: { 'Content-Type': 'application/xml' },
    });
    const lines = (await reply.text())
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as { stored?: number; of?: number; done?: { added: number } });
    expect(lines.at(-1)?.done?.added).toBe(407);
    expect(lines[0], 'progress comes before the end').toMatchObject({ of: 407 });
  });
});

describe('3. a menu', () => {
  it('is made with a place, from pages found by typing, branches, an outside link and a heading', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/arrange`);
    await person.click('Choose a menu');
    await person.click('New menu …');
    await (await person.find('.v-dialog input[type=text], .v-overlay input[type=text]')).sendKeys('Autumn');
    await (await person.find('input[name=place][value=bar]')).click();
    await person.click('Create menu');
    await person.eventually(
      'not shown',
      async () =>
        (await browser.driver.getCurrentUrl()).split('?')[0]?.endsWith('/quillmere/arrange/autumn') || null,
    );
    expect(await person.rows()).toEqual([]);
    expect(await (await person.find('.strip .next')).getText()).toMatch(/Next:\s+add items/);

    await person.click('Add pages');
    await person.eventually(
      'no field',
      async () =>
        (await (await person.focused()).getAttribute('aria-label')) === 'Part of a title or an address' ||
        null,
    );
    await person.type('tickets');
    await person.type(Key.ENTER);
    await person.eventually('not added', async () => ((await person.rows()).length === 1 ? true : null));

    // A whole branch, two levels deep, found by a part of its address.
    await person.type(Key.chord(Key.CONTROL, 'a'), 'garden/glass');
    await (await person.find('.finder input[type=radio][value="2"]')).click();
    await (await person.find('.finder .search')).click();
    await person.type(Key.ENTER);
    await person.eventually('no branch', async () => ((await person.rows()).length === 6 ? true : null));

    // Several pages at once.
    await (await person.find('.finder input[type=radio][value="0"]')).click();
    await (await person.find('.finder .search')).click();
    await person.type(Key.chord(Key.CONTROL, 'a'), 'fern');
    await person.type(Key.chord(Key.SHIFT, Key.ENTER), Key.chord(Key.SHIFT, Key.ENTER));
    await person.type(Key.ENTER);
    await person.eventually('not both', async () => ((await person.rows()).length === 8 ? true : null));
    await person.type(Key.ESCAPE);

    // An outside link and a heading, typed in the outline.
    await (await person.find('[role=tree]')).sendKeys(Key.ENTER);
    await person.eventually(
      'no field',
      async () => (await (await person.focused()).getAttribute('role')) === 'combobox' || null,
    );
    await person.type('Seed society | https://seeds.example/society', Key.ENTER);
    await person.eventually(
      'the field is not empty again',
      async () => (await (await person.focused()).getAttribute('value')) === '' || null,
    );
    await person.type('In the autumn', Key.ARROW_UP, Key.ENTER);
    await person.type(Key.ESCAPE);
    const rows = await person.eventually('not ten', async () =>
      (await person.rows()).length === 10 ? person.rows() : null,
    );
    expect(rows.slice(0, 6)).toEqual([
      { label: 'Tickets and prices', level: 1 },
      { label: 'Glasshouses', level: 1 },
      { label: 'Temperate house', level: 2 },
      { label: 'Alpine house', level: 2 },
      { label: 'Fern pit', level: 2 },
      { label: 'Succulent house', level: 2 },
    ]);
    expect(labels(rows.slice(8))).toEqual(['Seed society', 'In the autumn']);
    await person.kept();
  });

  it('refuses an address that no link may lead to, where it is typed', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/arrange/autumn`);
    await person.select('Seed society');
    await (await person.find('.leads .target')).click();
    await person.eventually(
      'no field',
      async () => (await (await person.focused()).getAttribute('role')) === 'combobox' || null,
    );
    await person.type('javascript:alert(1)');
    const offers = await person.eventually('no offers', async () => {
      const found = await browser.driver.findElements(By.css('.leads [role=option]'));
      return found.length > 0 ? Promise.all(found.map((one) => one.getText())) : null;
    });
    expect(offers.some((offer) => offer.includes('link to this address'))).toBe(false);
    await person.type(Key.ESCAPE);
  });
});

describe('a menu of sixty items, by hand', () => {
  it('is typed in one go, with its nesting, in at most 150 actions', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/arrange`);
    await person.click('Choose a menu');
    await person.click('New menu …');
    await (await person.find('.v-overlay input[type=text]')).sendKeys('Sixty');
    await person.click('Create menu');
    await person.click('Type items');
    let actions = 5;
    const press = async (...keys: string[]): Promise<void> => {
      actions += 1;
      await person.eventually(
        'the field is not ready',
        async () =>
          (await (await person.focused()).getAttribute('role')) === 'combobox' &&
          (await (await person.focused()).getAttribute('value')) === '',
      );
      await person.type(...keys);
    };
    const expected: SeenRow[] = [];
    for (let branch = 1; branch <= 10; branch += 1) {
      if (branch > 1) await press(Key.chord(Key.SHIFT, Key.TAB));
      await press(`Branch no. ${branch} | /branch/${branch}`, Key.ENTER);
      expected.push({ label: `Branch no. ${branch}`, level: 1 });
      await press(Key.TAB);
      for (let item = 1; item <= 5; item += 1) {
        await press(`Item ${branch}-${item} | /branch/${branch}/${item}`, Key.ENTER);
        expected.push({ label: `Item ${branch}-${item}`, level: 2 });
      }
    }
    await person.type(Key.ESCAPE);
    await person.kept();
    expect(actions).toBeLessThanOrEqual(150);
    const { document } = (await (await fetch(`${stack.editor}/api/v1/sites/quillmere`)).json()) as {
      document: {
        menus: { id: string; key: string }[];
        items: { id: string; parent: string; label: string }[];
      };
    };
    const menu = document.menus.find(({ key }) => key === 'sixty')?.id ?? '';
    const levelOf = (parent: string): number =>
      parent === menu ? 1 : 1 + levelOf(document.items.find(({ id }) => id === parent)?.parent ?? menu);
    const inMenu = document.items
      .filter(({ label }) => /^(?:Branch no\.|Item \d)/.test(label))
      .map(({ label, parent }) => ({ label, level: levelOf(parent) }));
    expect(inMenu).toEqual(expected);
    await person.click('Undo');
    await person.kept();
  });
});

describe('4. arranging', () => {
  it('moves items by keys: down, in, out, up; renames, removes, undoes and redoes', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/arrange/autumn`);
    await person.select('Tickets and prices');
    const tree = await person.find('[role=tree]');
    const alt = (key: string) => tree.sendKeys(Key.chord(Key.ALT, key));
    await alt(Key.ARROW_DOWN);
    expect(labels(await person.rows()).slice(0, 2)).toEqual(['Glasshouses', 'Temperate house']);
    await alt(Key.ARROW_RIGHT);
    expect((await person.rows())[5]).toEqual({ label: 'Tickets and prices', level: 2 });
    await alt(Key.ARROW_UP);
    expect((await person.rows())[4]).toEqual({ label: 'Tickets and prices', level: 2 });
    await alt(Key.ARROW_LEFT);
    expect((await person.rows())[5]).toEqual({ label: 'Tickets and prices', level: 1 });

    await tree.sendKeys(Key.F2);
    await person.eventually(
      'no field',
      async () => (await (await person.focused()).getTagName()) === 'input' || null,
    );
    await person.type(Key.chord(Key.CONTROL, 'a'), 'Come and see', Key.ENTER);
    await person.row('Come and see');

    await tree.sendKeys(Key.DELETE);
    expect(labels(await person.rows())).not.toContain('Come and see');
    await tree.sendKeys(Key.chord(Key.CONTROL, 'z'));
    expect((await person.rows())[5]).toEqual({ label: 'Come and see', level: 1 });
    await tree.sendKeys(Key.chord(Key.CONTROL, Key.SHIFT, 'z'));
    expect(labels(await person.rows())).not.toContain('Come and see');
    await tree.sendKeys(Key.chord(Key.CONTROL, 'z'));
    await person.row('Come and see');
    await person.kept();
  });

  it('moves items by the pointer: a line shows where and how deep, and there it goes', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/arrange/autumn`);
    const from = await person.row('Come and see');
    const to = await person.row('Alpine house');
    const { x: left } = await to.getRect();
    const middle = (await to.getRect()).width / 2;
    await browser.driver
      .actions()
      .move({ origin: from, x: -300 })
      .press()
      .move({ origin: to, x: Math.round(70 - middle - left), y: 12 })
      .perform();
    await browser.driver
      .actions()
      .move({ origin: to, x: Math.round(70 - middle - left), y: 13 })
      .perform();
    const line = await person.eventually('no line', async () =>
      (await browser.driver.findElement(By.css('.drop'))).getText(),
    );
    expect(line).toBe('After “Alpine house”, level 2');
    await browser.driver.actions().release().perform();
    expect(
      await person.eventually('not there', async () =>
        (await person.rows())[3]?.label === 'Come and see' ? (await person.rows())[3] : null,
      ),
    ).toEqual({
      label: 'Come and see',
      level: 2,
    });
    expect(await person.selected()).toBe('Come and see');
    await person.kept();
  });

  it('says before the drop why a branch cannot go into itself, and Escape leaves all as it was', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/arrange/autumn`);
    const before = await person.eventually('no rows', async () =>
      (await person.rows()).length > 0 ? person.rows() : null,
    );
    const from = await person.row('Glasshouses');
    const to = await person.row('Fern pit');
    await browser.driver
      .actions()
      .move({ origin: from, x: -300 })
      .press()
      .move({ origin: to, x: -300, y: 4 })
      .perform();
    await browser.driver.actions().move({ origin: to, x: -301, y: 4 }).perform();
    const line = await person.eventually('no line', async () =>
      (await browser.driver.findElement(By.css('.drop'))).getText(),
    );
    expect(line, 'the dragged branch counts as taken out').toMatch(/, level 1$/);
    await browser.driver.actions().keyDown(Key.ESCAPE).keyUp(Key.ESCAPE).release().perform();
    expect(await person.rows()).toEqual(before);
  });

  it('moves items by buttons, whose names and reasons can be read', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/arrange/autumn`);
    await person.select('Come and see');
    await person.click('Move out of its parent');
    await person.eventually('not out', async () =>
      (await person.rows()).find(({ label }) => label === 'Come and see')?.level === 1 ? true : null,
    );
    const button = await person.find('button[aria-label="Move out of its parent"]');
    expect(await button.getAttribute('aria-disabled')).toBe('true');
    expect(await button.getAttribute('aria-description')).toBe('“Come and see” is already on the top level.');
    await person.kept();
  });

  it('loses nothing when the server stops, and none of what was done while it was away', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/arrange/autumn`);
    await person.select('Seed society');
    await stack.stop('SIGKILL');
    const tree = await person.find('[role=tree]');
    await tree.sendKeys(Key.chord(Key.ALT, Key.ARROW_UP), Key.F2);
    await person.type(Key.chord(Key.CONTROL, 'a'), 'Society of seeds', Key.ENTER);
    const state = await person.eventually('it says nothing', async () => {
      const text = await (await person.find('[data-state=waiting]')).getText();
      return text.includes('2 changes') ? text : null;
    });
    expect(state).toMatch(/offline since \d?\d:\d\d.*safe in this browser/);
    const expected = await person.rows();
    await stack.start();
    await person.kept();
    await browser.driver.get(`${stack.editor}/quillmere/arrange/autumn`);
    expect(
      await person.eventually('no rows', async () =>
        (await person.rows()).length > 0 ? person.rows() : null,
      ),
    ).toEqual(expected);
  });

  it('keeps what was done in a tab that was closed before the server came back', async () => {
    const { driver } = browser;
    const first = await driver.getWindowHandle();
    await driver.switchTo().newWindow('tab');
    await driver.get(`${stack.editor}/quillmere/arrange/autumn`);
    await person.select('Society of seeds');
    await stack.stop();
    await (await person.find('[role=tree]')).sendKeys(Key.DELETE);
    await person.find('[data-state=waiting]');
    await driver.close();
    await driver.switchTo().window(first);
    await stack.start();
    await driver.get(`${stack.editor}/quillmere/arrange/autumn`);
    await person.row('Come and see');
    await person.kept();
    expect(labels(await person.rows())).not.toContain('Society of seeds');
    const { document } = (await (await fetch(`${stack.editor}/api/v1/sites/quillmere`)).json()) as {
      document: { items: { label: string | null }[] };
    };
    expect(document.items.some(({ label }) => label === 'Society of seeds')).toBe(false);
  });

  it('takes back after a reload what was done before it', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/arrange/autumn`);
    await person.select('Come and see');
    await (await person.find('[role=tree]')).sendKeys(Key.DELETE);
    await person.kept();
    await browser.driver.navigate().refresh();
    await person.row('Glasshouses');
    expect(labels(await person.rows())).not.toContain('Come and see');
    await person.click('Undo');
    await person.row('Come and see');
    await person.kept();
  });
});

describe('5. the live header', () => {
  it('opens dropdowns by pointer and by keyboard, and selects in both directions', async () => {
    const { driver } = browser;
    await driver.get(`${stack.editor}/quillmere/arrange/main`);
    await person.select('Walled garden');
    // It is not seen whole in the header's own height, so its entry in the bar is marked until somebody asks
    // for all of it.
    await person.inLiveHeader(() => person.find('[data-zv-top-entry]'));
    await (await person.find('[role=tree]')).sendKeys('v');
    const marked = await person.eventually('nothing is marked', () =>
      person.inLiveHeader(async () => {
        const [entry] = await driver.findElements(By.css('[data-zv-selected] > a'));
        return entry !== undefined && (await entry.isDisplayed()) ? entry.getText() : null;
      }),
    );
    expect(marked, 'its dropdown is open').toBe('Walled garden');

    // By the pointer: it opens when the pointer rests, and a click selects below instead of leading away.
    await person.inLiveHeader(async () => {
      const learn = await driver.findElement(By.xpath("//a[normalize-space()='Learn']"));
      await driver.actions().move({ origin: learn }).perform();
      const library = await person.eventually('it does not open', async () => {
        const [link] = await driver.findElements(By.xpath("//a[normalize-space()='Library']"));
        return link !== undefined && (await link.isDisplayed()) ? link : null;
      });
      await library.click();
    });
    await person.eventually('not selected', async () =>
      (await person.selected()) === 'Library' ? true : null,
    );
    expect((await driver.getCurrentUrl()).split('?')[0]).toBe(`${stack.editor}/quillmere/arrange/main`);

    // By the keyboard: Enter opens, Escape closes and gives the focus back.
    await driver.actions().move({ x: 640, y: 780 }).perform();
    await person.inLiveHeader(async () => {
      const button = await driver.findElement(By.css('.zv-bar > ul > li:nth-child(2) > button'));
      await driver.executeScript('arguments[0].focus()', button);
      await button.sendKeys(Key.ENTER);
      expect(await button.getAttribute('aria-expanded')).toBe('true');
      await (await person.focused()).sendKeys(Key.TAB);
      await person.eventually(
        'the first link is not reached',
        async () => (await (await person.focused()).getText()) === 'Walled garden' || null,
      );
      await (await person.focused()).sendKeys(Key.ESCAPE);
      expect(await button.getAttribute('aria-expanded')).toBe('false');
      const own = await button.getAttribute('aria-controls');
      await person.eventually(
        'the focus did not come back',
        async () => (await (await person.focused()).getAttribute('aria-controls')) === own || null,
      );
    });
  });

  it('shows a change at once and keeps an open dropdown open', async () => {
    const { driver } = browser;
    await driver.get(`${stack.editor}/quillmere/arrange/main`);
    await person.select('Wet meadow');
    const tree = await person.find('[role=tree]');
    await tree.sendKeys(Key.F2);
    await person.eventually(
      'no field',
      async () => (await (await person.focused()).getTagName()) === 'input' || null,
    );
    await person.type(Key.chord(Key.CONTROL, 'a'), 'The <b>wet</b> meadow', Key.ENTER);
    await tree.sendKeys('v');
    const shown = await person.eventually('it does not show', () =>
      person.inLiveHeader(async () => {
        const [entry] = await driver.findElements(By.css('[data-zv-selected] > a'));
        const text = entry === undefined ? '' : await entry.getText();
        return text === 'The <b>wet</b> meadow' ? text : null;
      }),
    );
    expect(shown).toBe('The <b>wet</b> meadow');
    await tree.sendKeys(Key.chord(Key.CONTROL, 'z'));
    await person.kept();
  });

  it('is shown at any width, in the device class that it falls in', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/arrange/main`);
    await person.click('narrow');
    const width = await person.eventually('it stays wide', async () =>
      (await person.inLiveHeader(() => browser.driver.executeScript<number>('return innerWidth'))) === 390
        ? 390
        : null,
    );
    expect(width).toBe(390);
    const slider = await person.find('input[type=range]');
    await slider.sendKeys(Key.ARROW_RIGHT);
    expect(await (await person.find('output')).getText()).toBe('391 px');
  });
});

describe('6. publishing', () => {
  it('puts the menu on the stand-in site, marks the current page, and every link works; later edits stay off it', async () => {
    const { driver } = browser;
    await driver.get(`${stack.editor}/quillmere/arrange/main`);
    await person.select('Tickets and prices');
    await (await person.find('[role=tree]')).sendKeys(Key.F2);
    await person.eventually(
      'no field',
      async () => (await (await person.focused()).getTagName()) === 'input' || null,
    );
    await person.type(Key.chord(Key.CONTROL, 'a'), 'What it costs', Key.ENTER);
    await person.kept();
    await person.click('Publish');
    await person.byText('li', 'Renamed “Tickets and prices” to “What it costs”');
    await person.click('Publish edition 2');
    await person.byText('h1', 'Edition 2 is live');
    expect(
      await (await person.byText('a', 'The stand-in site (opens in a new tab)')).getAttribute('href'),
    ).toBe(`${stack.site}/`);

    await driver.get(`${stack.site}/visit/tickets`);
    const current = await driver.findElements(By.css('.zv-bar[aria-label^=Main] [aria-current=page]'));
    expect(await Promise.all(current.map((one) => one.getAttribute('textContent')))).toEqual([
      'What it costs',
      'Tickets and prices',
    ]);
    const links = await driver.findElements(By.css('header a[href^="/"], footer a[href^="/"]'));
    const hrefs = [...new Set(await Promise.all(links.map((one) => one.getAttribute('href'))))].filter(
      (href): href is string => href !== null,
    );
    expect(hrefs.length).toBeGreaterThan(50);
    const statuses = await Promise.all(hrefs.map(async (href) => `${(await fetch(href)).status} ${href}`));
    expect(statuses.filter((one) => !one.startsWith('200'))).toEqual([]);

    // The menu works there as it does in the live header, and leads where it says.
    await driver
      .actions()
      .move({ origin: await driver.findElement(By.css('[aria-label^=Main] > ul > li:nth-child(2) > a')) })
      .perform();
    const link = await person.eventually('it does not open', async () => {
      const found = await driver.findElement(By.css('[aria-label^=Main] a[href="/garden/orchard"]'));
      return (await found.isDisplayed()) ? found : null;
    });
    await link.click();
    await person.byText('h1', 'Orchard of old sorts');

    await driver.get(`${stack.editor}/quillmere/arrange/main`);
    await person.select('What it costs');
    await (await person.find('[role=tree]')).sendKeys(Key.DELETE);
    await person.kept();
    const served = (await delivered('quillmere', 'main'))[0]?.children as { label: string }[];
    expect(served.map(({ label }) => label)).toContain('What it costs');
    expect(await (await fetch(`${stack.site}/visit`)).text()).toContain('What it costs');
  });

  it('works on the site without the script', async () => {
    const { driver } = browser;
    await driver.get(`${stack.site}/garden`);
    await driver.executeScript(
      "document.querySelectorAll('[data-zv-on]').forEach((nav) => nav.replaceWith(Object.assign(document.createElement('div'), { innerHTML: nav.outerHTML.replace(' data-zv-on=\"\"', '') }).firstChild))",
    );
    const entry = await driver.findElement(By.css('[aria-label^=Main] > ul > li:nth-child(2) > a'));
    await driver.executeScript('arguments[0].focus()', entry);
    expect(
      await driver
        .findElement(By.css('[aria-label^=Main] a[href="/garden/glasshouses/alpine-house"]'))
        .isDisplayed(),
      'deeper levels are unfolded',
    ).toBe(true);
  });
});
