import { Key } from 'selenium-webdriver';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Person } from './person.ts';
import { enterStage, type Stage } from './stage.ts';

/** How much of the window is left to the work, and that nothing moves it about. */
let stack: Stage['stack'];
let browser: Stage['browser'];
let person: Person;
beforeAll(async () => {
  ({ stack, browser, person } = await enterStage('spread'));
});
afterAll(() => browser.resize(1280, 800));

const open = async (path: string): Promise<void> => {
  await browser.driver.get(stack.editor + path);
  await person.find('[role=treeitem], [role=row], .card');
};
const height = (css: string): Promise<number> =>
  browser.driver.executeScript<number>('return document.querySelector(arguments[0]).clientHeight', css);
const topOf = (label: string): Promise<number> =>
  browser.driver.executeScript<number>(
    `return [...document.querySelectorAll('[role=treeitem]')].find((row) => row.querySelector('.label')?.textContent === arguments[0]).getBoundingClientRect().top`,
    label,
  );
const tab = async (name: string): Promise<void> => (await person.byText('label', name)).click();
const tree = (): Promise<unknown> => person.find('[role=tree]');

/**
 * What of the live header's iframe is seen, and the lower edge of the open dropdown in it, in px of the
 * iframe; null: none is open.
 */
async function dropdown(): Promise<{ readonly seen: number; readonly bottom: number } | null> {
  const seen = await height('iframe[title="Live header"]');
  const bottom = await person.inLiveHeader(() =>
    browser.driver.executeScript<number | null>(
      `const open = document.querySelector('button[aria-expanded=true] ~ :is(ul, .zv-panel)'); return open === null ? null : open.getBoundingClientRect().bottom`,
    ),
  );
  return bottom === null ? null : { seen, bottom };
}

describe('the height left for the menu', () => {
  it('is at least what each window can give, and the same whatever is selected or set', async () => {
    // At 150 % zoom, a window of 1280 by 800 has 853 by 533 CSS px.
    const windows = [
      [1280, 800, 380],
      [1366, 768, 340],
      [1280, 640, 230],
      [853, 533, 180],
    ] as const;
    const steps: readonly (readonly [string, () => Promise<void>])[] = [
      ['nothing selected', () => open('/quillmere/arrange/main')],
      ['an item selected', () => person.select('Seed house')],
      ['more settings', () => tab('More')],
      ['dropdown settings', () => tab('Dropdown')],
    ];
    const seen: Record<string, number[]> = {};
    await browser.resize(1280, 800);
    for (const [, step] of steps) {
      await step();
      for (const [width, windowHeight] of windows) {
        await browser.resize(width, windowHeight);
        await person.settled();
        (seen[`${width} by ${windowHeight}`] ??= []).push(await height('.spread'));
      }
      await browser.resize(1280, 800);
    }
    for (const [width, windowHeight, least] of windows) {
      const heights = seen[`${width} by ${windowHeight}`] ?? [];
      expect(
        Math.min(...heights),
        `${width} by ${windowHeight}: ${heights.join(', ')}`,
      ).toBeGreaterThanOrEqual(least);
      expect(new Set(heights).size, `${width} by ${windowHeight}: ${heights.join(', ')}`).toBe(1);
    }
    await tab('Item');
  });

  it('is half of a phone’s screen for the lists of Arrange and Pages; details are a sheet', async () => {
    await browser.resize(390, 844);
    await open('/quillmere/arrange/main');
    await person.select('Opening times');
    expect(await height('.spread')).toBeGreaterThanOrEqual(422);
    await person.click('Details');
    await person.byText('label', 'Label');
    const sheet = await browser.driver.executeScript<number>(
      `return document.querySelector('.strip').getBoundingClientRect().top`,
    );
    expect(sheet).toBeGreaterThanOrEqual(400);
    await person.click('Close');
    await open('/quillmere/pages');
    expect(await height('[role=treegrid]')).toBeGreaterThanOrEqual(422);
  });
});

describe('what is under the pointer', () => {
  it('stays there when an item is selected, and when other settings, the dropdown or a field to add an item are opened', async () => {
    await browser.resize(1280, 800);
    await open('/quillmere/arrange/main');
    const before = await topOf('Visit');
    await person.select('Visit');
    expect(await topOf('Visit')).toBe(before);
    for (const name of ['More', 'Dropdown', 'Item']) {
      await tab(name);
      expect(await topOf('Visit'), name).toBe(before);
    }
    await (await person.find('[role=tree]')).sendKeys(Key.ENTER);
    await person.find('.adding input');
    expect(await topOf('Visit')).toBe(before);
    // A refusal lies over the work.
    await person.type(Key.ESCAPE);
    await (await person.find('[role=tree]')).sendKeys(Key.chord(Key.ALT, Key.ARROW_LEFT));
    await person.find('.refused');
    expect(await topOf('Visit')).toBe(before);
    await tree();
  });
});

describe('a dropdown in the live header', () => {
  it('is shown whole or not at all: on demand over the work, until work goes on there; docked where the height is dragged to hold it', async () => {
    await browser.resize(1280, 800);
    await open('/quillmere/arrange/main');
    await person.select('Plant fair');
    await person.inLiveHeader(() => person.find('[data-zv-top-entry]'));
    expect(await dropdown()).toBeNull();
    await person.click('Show dropdown');
    const shown = await person.eventually('it is not shown', dropdown);
    await person.eventually('it is cut off', async () => {
      const now = await dropdown();
      return now !== null && now.bottom <= now.seen;
    });
    expect(shown.bottom).toBeGreaterThan(0);
    await person.select('Opening times');
    await person.eventually('it is not closed by work below', async () => (await dropdown()) === null);

    const handle = await person.find('[role=separator]');
    const low = Number(await handle.getAttribute('aria-valuenow'));
    await handle.sendKeys(...Array.from({ length: 12 }, () => Key.ARROW_DOWN));
    expect(Number(await handle.getAttribute('aria-valuenow'))).toBeGreaterThan(low + 100);
    await browser.driver.navigate().refresh();
    await person.select('Plant fair');
    await person.eventually('it is not docked', async () => {
      const now = await dropdown();
      return now !== null && now.bottom <= now.seen;
    });
    await (await person.find('[role=separator]')).sendKeys(Key.HOME);
  });
});

describe('the bar and the heads', () => {
  const openView = async (path: string): Promise<void> => {
    await browser.driver.get(`${stack.editor}/quillmere/${path}`);
    await person.find('main .head, .drift > header');
    await person.settled();
  };

  it('have all their buttons inside the window, none over another, from 360 px up', async () => {
    const { driver } = browser;
    await browser.resize(1280, 800);
    const found: string[] = [];
    for (const path of ['arrange/main', 'pages', 'drift/main', 'frame', 'style', 'fit']) {
      await openView(path);
      for (const width of [360, 480, 620, 760, 880, 1000, 1100, 1280]) {
        await browser.resize(width, 800);
        const wrong = await driver.executeScript<string[]>(
          `const all = [...document.querySelectorAll('header.bar :is(a, button), .head :is(h1, button, input, select), .drift > header :is(h1, button)')]
             .filter((one) => one.checkVisibility() && !one.closest('.choices'));
           const name = (one) => (one.textContent || one.getAttribute('aria-label') || one.tagName).trim().slice(0, 20);
           const boxes = all.map((one) => [one, one.getBoundingClientRect()]).filter(([, { width }]) => width > 1);
           const out = boxes.filter(([, { left, right }]) => left < -1 || right > innerWidth + 1).map(([one]) => 'outside: ' + name(one));
           const over = boxes.flatMap(([one, a], at) => boxes.slice(at + 1).filter(([other, b]) => !one.contains(other) && a.left < b.right - 1 && b.left < a.right - 1 && a.top < b.bottom - 1 && b.top < a.bottom - 1)
             .map(([other]) => name(one) + ' over ' + name(other)));
           return [...out, ...over];`,
        );
        found.push(...wrong.map((one) => `${path} at ${width} px: ${one}`));
      }
      await browser.resize(1280, 800);
    }
    expect(found).toEqual([]);
  });

  it('take no second line at 1280 px, whatever they have to say', async () => {
    const { driver } = browser;
    await browser.resize(1280, 800);
    /** What of a head, its sentences left out, begins below the end of what it begins with. */
    const below = (): Promise<string[]> =>
      driver.executeScript<string[]>(
        `const all = [...document.querySelector('main .head, .drift > header').children].flatMap((one) => one.matches('.actions') ? [...one.children] : [one])
           .filter((one) => one.checkVisibility() && !one.matches('p') && getComputedStyle(one).position !== 'absolute');
         const [first] = all;
         return all.filter((one) => one.getBoundingClientRect().top > first.getBoundingClientRect().bottom - 4).map((one) => one.textContent.trim())`,
      );
    for (const path of ['pages', 'drift/main', 'frame', 'style', 'fit', 'arrange/main']) {
      await openView(path);
      expect(await below(), path).toEqual([]);
    }
    // In Arrange, what has no link yet is told as soon as there is something.
    await person.select('Opening times');
    await person.putOnClipboard('Unheard of');
    await (await person.find('[role=tree]')).sendKeys(Key.chord(Key.CONTROL, 'v'));
    await person.byText('button', '1 without a link');
    expect(await below()).toEqual([]);
    await (await person.find('[role=tree]')).sendKeys(Key.chord(Key.CONTROL, 'z'));
    await person.kept();
  });
});

describe('a wide window', () => {
  it('gives its width to the columns, so that no label is cut while there is room', async () => {
    await browser.resize(1920, 1080);
    await open('/quillmere/arrange/main');
    const cut = await browser.driver.executeScript<string[]>(
      `return [...document.querySelectorAll('.spread .label')].filter((one) => one.scrollWidth > one.clientWidth).map((one) => one.textContent)`,
    );
    expect(cut).toEqual([]);
    const [edge = 0] = await browser.driver.executeScript<number[]>(
      `return [Math.max(...[...document.querySelectorAll('.spread .column')].map((one) => one.getBoundingClientRect().right))]`,
    );
    expect(edge).toBeGreaterThan(1850);
    await browser.resize(1280, 800);
  });
});

describe('the address', () => {
  it('says what is selected, which details, how wide the header is and which dropdown is open: a reload, Back and a colleague see the same', async () => {
    const { driver } = browser;
    await open('/quillmere/arrange/main');
    await person.select('Glasshouses');
    await tab('More');
    await person.click('medium');
    await person.eventually('it is not in the address', async () =>
      /item=.*view=more|view=more.*item=/.test(await driver.getCurrentUrl()),
    );
    const address = await driver.getCurrentUrl();
    expect(address).toContain('w=820');
    await person.click('Drift 4');
    await person.find('.card');
    await driver.navigate().back();
    await person.row('Glasshouses');
    expect(await driver.getCurrentUrl()).toBe(address);
    expect(await person.selected()).toBe('Glasshouses');
    // Somebody else opens it in an empty window.
    await driver.executeScript('localStorage.clear(); sessionStorage.clear();');
    await driver.get('about:blank');
    await driver.get(address);
    await person.eventually(
      'it is not selected',
      async () => (await person.selected()) === 'Glasshouses' || null,
    );
    expect(await (await person.find('output')).getText()).toBe('820 px');
    await person.find('[aria-label="More settings"]');
    await driver.get(`${stack.editor}/quillmere/pages`);
    await (await person.find('[role=treegrid]')).sendKeys(Key.ARROW_DOWN, Key.ARROW_DOWN);
    await person.eventually('the page is not in the address', async () =>
      (await driver.getCurrentUrl()).includes('page='),
    );
  });
});

describe('a site from right to left', () => {
  it('has its columns and its header from the right, and its addresses as people read them', async () => {
    const { driver } = browser;
    const made = await fetch(
      `${stack.editor}/api/v1/sites/from-sitemap?name=${encodeURIComponent('الحديقة')}&language=ar`,
      {
        method: 'POST',
        headers: { 'Content-Type': 'application/xml' },
        body: '<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9"><url><loc>https://garden.example/%D8%B2%D9%8A%D8%A7%D8%B1%D8%A9</loc></url><url><loc>https://garden.example/shop</loc></url></urlset>',
      },
    );
    expect(made.status).toBe(201);
    await made.text();
    await driver.get(`${stack.editor}/alhdyqa/arrange`);
    await person.click('Create menu …');
    await (await person.find('.v-overlay input[type=text]')).sendKeys('القائمة');
    await person.click('Create menu');
    await person.eventually('its ID is not made from its name', async () =>
      (await driver.getCurrentUrl()).includes('/arrange/alqayma'),
    );
    const add = async (text: string): Promise<void> => {
      await person.type(text);
      await person.find('[role=listbox] [role=option]');
      await person.type(Key.ENTER);
    };
    await person.click('Type items');
    await person.find('.adding input');
    await add('زيارة');
    await add('shop');
    await person.type(Key.ESCAPE);
    await person.eventually(
      'they are not added',
      async () => (await driver.findElements({ css: '.spread .entry' })).length === 2,
    );
    const [first = 0, second = 0] = await driver.executeScript<number[]>(
      `return [...document.querySelectorAll('.spread .entry')].map((one) => one.getBoundingClientRect().left)`,
    );
    expect(first).toBeGreaterThan(second);
    await person.inLiveHeader(async () => {
      const [name = 0, entry = 0] = await driver.executeScript<number[]>(
        `return ['.site-name', '.zv-bar > ul > li'].map((css) => document.querySelector(css).getBoundingClientRect().left)`,
      );
      expect(name, 'the site’s name comes first, from the right').toBeGreaterThan(entry);
    });
    await driver.get(`${stack.editor}/alhdyqa/pages`);
    await person.byText('span', '/زيارة');
  });
});
