import { By, Key, type WebElement } from 'selenium-webdriver';
import { afterEach, beforeAll, describe, expect, it } from 'vitest';
import {
  areaFacts,
  areaId,
  childrenOf,
  labelOf,
  partsIn,
  renameItem,
  type SiteDocument,
  setFit,
  writeOwnCss,
  type CssRule,
} from '@zorvik/core';
import { edited } from './editing.ts';
import type { Person } from './person.ts';
import { enterStage, type Stage } from './stage.ts';
import { storedSite } from './storedSite.ts';

/** The workspace Fit: problems first, every width as a chart, what mends them, and what visitors may have set. */
let stack: Stage['stack'];
let browser: Stage['browser'];
let person: Person;
beforeAll(async () => {
  ({ stack, browser, person } = await enterStage());
});

const stored = (): Promise<SiteDocument> => storedSite(stack, person);
const run = <T>(script: string): Promise<T> => browser.driver.executeScript<T>(script);
let actions = 0;
const act = async (what: () => Promise<unknown>): Promise<void> => {
  actions += 1;
  await what();
};
/** The rows of the list below the chart, as text. */
const listed = (): Promise<string[]> =>
  run(
    `return [...document.querySelectorAll('[aria-label="What does not fit"] li')].map((one) => one.innerText.replaceAll('\\n', ' '))`,
  );
const lane = async (name: string): Promise<string> =>
  run(
    `const found = [...document.querySelectorAll('.lanes .lane')].find((one) => one.querySelector('b').textContent === ${JSON.stringify(name)}); return found?.querySelector('button .only-heard').textContent ?? ''`,
  );
const inRow = async (words: string, button: string): Promise<WebElement> =>
  person.eventually(`no “${button}” beside ${words}`, async () => {
    for (const row of await browser.driver.findElements(By.css('[aria-label="What does not fit"] li')))
      if ((await row.getText()).replaceAll('\n', ' ').includes(words))
        return row.findElement(By.xpath(`.//button[normalize-space(.)="${button}"]`));
    return null;
  });
/** Rows of the main menu in the picture. */
const rowsSeen = async (): Promise<number> => {
  const { driver } = browser;
  await driver.switchTo().frame(await person.find('iframe[title="Live page"]'));
  try {
    return await run(
      `return new Set([...document.querySelectorAll('header [aria-label="Main menu"]>ul>li')].filter((one) => one.checkVisibility()).map((one) => Math.round(one.getBoundingClientRect().top))).size`,
    );
  } finally {
    await driver.switchTo().defaultContent();
  }
};
const openFit = async (query = ''): Promise<void> => {
  await browser.driver.get(`${stack.editor}/quillmere/fit${query}`);
  await person.eventually('nothing is measured', async () => (await lane('Main menu')) !== '');
};
const edit = (make: Parameters<typeof edited>[2]): Promise<void> => edited(stack, person, make);
/** A label that is too long for the bar on medium screens. */
const lengthen = (): Promise<void> =>
  edit((context) => {
    const { document } = context;
    const item = [...document.items.nodes.values()].find(
      (one) =>
        document.menus.nodes.get(one.parent)?.key === 'main' && labelOf(document, one) === 'The garden',
    );
    return renameItem(context, item?.id ?? '', 'The garden, the orchard and the wet meadow');
  });
afterEach(async () => {
  await browser.driver.actions().sendKeys(Key.ESCAPE).perform();
});

describe('a bar with two rows on tablets', () => {
  it('is the first thing that Fit shows, with its widths, and is mended in three actions', async () => {
    await openFit();
    expect(await lane('Main menu')).not.toContain('2 rows');
    await lengthen();
    actions = 0;
    await act(() => openFit());
    const [first = ''] = await person.eventually('no problem is listed', async () => {
      const all = await listed();
      return all.some((one) => one.includes('rows')) ? all : null;
    });
    const said = /^Main menu 1 to 2 separate rows from 768 to (\d+) px Show$/.exec(first);
    const to = Number(said?.[1]);
    expect(to).toBeGreaterThan(900);
    await act(async () => (await inRow('Main menu 1 to 2 separate rows', 'Show')).click());
    await person.eventually('the picture does not show it', async () => (await rowsSeen()) === 2);
    // As wide as the widest window in which it is worst; the address says it, too.
    const width = Number(await run(`return new URL(location.href).searchParams.get('w')`));
    expect(width).toBeGreaterThan(768);
    expect(width).toBeLessThanOrEqual(to);
    await inRow('Let the drawer take over below', 'Apply');
    await act(async () => (await inRow(`Let the drawer take over below ${to + 18} px`, 'Apply')).click());
    await person.eventually('it still wraps', async () => !(await lane('Main menu')).includes('rows'));
    expect(actions).toBeLessThanOrEqual(3);
    expect(areaFacts(await stored(), 'drawer').takeover).toBe(to + 18);
    expect(await lane('Main menu')).toBe(
      `up to ${to + 17} px: in the drawer; from ${to + 18} px on: one row`,
    );
    await person.click('Undo');
    await person.eventually('it is not taken back', async () =>
      (await lane('Main menu')).includes('2 separate rows'),
    );
  });

  it('can have the best suggestion for every problem at once', async () => {
    await openFit();
    await inRow('Main menu 1 to 2 separate rows', 'Show');
    expect((await listed()).some((one) => one.includes('Apply'))).toBe(false);
    await person.click('Suggest fixes for all');
    await inRow('Let the drawer take over below', 'Apply');
    // Below the problem that it mends, and one for each.
    const all = await listed();
    const at = all.findIndex((one) => one.startsWith('Main menu 1 to 2 separate rows from'));
    expect(all[at + 1]).toMatch(/^Let the drawer take over below \d+ px in one row at every width/);
    expect(all.filter((one) => one.startsWith('Let the drawer take over')).length).toBe(1);
  });

  it('has what mends it with what comes of it, the best first; a look at it changes nothing', async () => {
    await openFit();
    await (await inRow('Main menu 1 to 2 separate rows', 'Show')).click();
    await inRow('fold into “More”', 'Preview');
    const offers = await listed();
    expect(offers[0]).toMatch(/^Let the drawer take over below \d+ px in one row at every width/);
    expect(
      offers.some((one) => /Shorten “The garden, the orchard and the wet meadow” to “The garden”/.test(one)),
    ).toBe(true);
    const before = await stored();
    await (await inRow('fold into “More”', 'Preview')).click();
    await person.eventually('the picture still has two rows', async () => (await rowsSeen()) === 1);
    expect((await stored()).parts).toEqual(before.parts);
    await (await inRow('fold into “More”', 'Apply')).click();
    await person.eventually('it does not fold', async () =>
      (await lane('Main menu')).includes('then “More”'),
    );
    const bar = partsIn(await stored(), areaId('header')).find(({ fits }) => fits !== undefined);
    expect(bar?.fits).toEqual({ medium: 'fold', wide: 'fold' });
    // The same words in Frame, for the same setting.
    await browser.driver.get(`${stack.editor}/quillmere/frame?part=${bar?.id}`);
    const field = await person.find('select option[value="fold"]:checked');
    expect(await field.getText()).toBe('fold into “More”');
  });
});

describe('the chart', () => {
  it('sets the width of the picture by a click and by keys, and breakpoints are dragged with effect at once', async () => {
    await openFit();
    const here = await person.find('.here[role=slider]');
    await here.sendKeys(Key.END, Key.ARROW_LEFT, Key.chord(Key.SHIFT, Key.ARROW_LEFT));
    await person.eventually('the width is not set', async () => (await here.getText()) === '1909');
    const mark = await person.find('[role=slider][aria-label^="medium from"]');
    const scale = await run<number>(`return document.querySelector('.scale').clientWidth`);
    await browser.driver
      .actions()
      .move({ origin: mark })
      .press()
      .move({ origin: mark, x: Math.round((64 / 1600) * scale), duration: 120 })
      .release()
      .perform();
    await person.eventually(
      'the breakpoint is where it was',
      async () => Number(await mark.getAttribute('aria-valuenow')) > 800,
    );
    const { site } = await stored();
    expect(site.breakpoints.medium).toBeGreaterThan(800);
    await person.eventually('the lanes are as before', async () =>
      (await lane('Main menu')).startsWith(`up to ${site.breakpoints.medium - 1} px: in the drawer`),
    );
    await person.click('Undo');
    await person.eventually(
      'one drag is one step',
      async () => (await stored()).site.breakpoints.medium === 768,
    );
  });
});

describe('what visitors may have set', () => {
  it('is checked without being chosen: each finding shows the page as it is then', async () => {
    await openFit();
    const found = await person.eventually('no mode is listed', async () => {
      const all = await listed();
      return all.some((one) => one.includes('text at 200 %')) ? all : null;
    });
    expect(found.some((one) => one.includes('labels 35 % longer'))).toBe(true);
    await (await inRow('text at 200 %', 'Show')).click();
    await person.find('.mode');
    await browser.driver.switchTo().frame(await person.find('iframe[title="Live page"]'));
    const size = await person.eventually('the text is as usual', async () => {
      const px = await run<string>(`return getComputedStyle(document.documentElement).fontSize`);
      return px === '32px' ? px : null;
    });
    await browser.driver.switchTo().defaultContent();
    expect(size).toBe('32px');
    await (await person.find('.mode')).click();
    await person.eventually(
      'the mode stays',
      async () => (await browser.driver.findElements(By.css('.mode'))).length === 0,
    );
  });
});

describe('what only the drawn page can answer for', () => {
  it('is checked without being asked: touch, keys, forced colours, motion, and the heights of screens', async () => {
    const rule = (selector: string, ...declarations: readonly string[]): CssRule => ({
      selectors: [selector],
      declarations: declarations.map((one) => {
        const [name = '', value = ''] = one.split(': ');
        return { name, value };
      }),
    });
    await openFit();
    await edit((context) =>
      writeOwnCss(context, areaId('header'), [
        rule('.zv-logo', 'forced-color-adjust: none'),
        rule('.zv-contact .zv-face', 'min-block-size: 0', 'padding-block: 0', 'font-size: 10px'),
        rule('.zv-bar a', 'font-weight: 500', 'text-decoration: none', 'border: none', 'box-shadow: none'),
      ]),
    );
    await openFit();
    const expected = [
      'Quillmere keeps its own colours, on narrow, medium and wide screens forced colours Show',
      '01632 960140 smaller than 24 by 24 px, on medium and wide screens touch Show',
      'Main menu the current page looks like the others, on medium and wide screens forced colours Show',
      'Drawer taller than 640 px on narrow screens; scrolls inside height Show',
    ];
    await person.eventually('not all is found', async () => {
      const all = await listed();
      return expected.every((one) => all.includes(one)) ? all : null;
    });
    // The picture is shown as such a visitor has it.
    await (await inRow('keeps its own colours', 'Show')).click();
    expect(await (await person.find('.mode')).getText()).toBe('Shown with forced colours ×');
    await (await inRow('smaller than 24', 'Show')).click();
    await person.find('button[aria-pressed=true]');
    await edit((context) => writeOwnCss(context, areaId('header'), null));
    await person.eventually('what was mended is still listed', async () =>
      (await listed()).every((one) => !/touch|reduced motion|forced colours/.test(one)),
    );
    await person.click('Focus path');
  });

  it('finds what would fail, and nothing in a page that is sound', async () => {
    await browser.driver.get(`${stack.editor}/contact.html`);
    const faults = (header: string, css: string): Promise<string[]> =>
      browser.driver.executeAsyncScript(
        `const [header, css, done] = arguments;
        addEventListener('message', function hear({ data }) {
          if (data.kind !== 'drawn' || data.findings === null) return;
          removeEventListener('message', hear);
          done(data.findings.map(({ mode, fault, name }) => mode + ' ' + fault + ' ' + name));
        });
        postMessage({ kind: 'show', header, rest: '', css, language: 'en', direction: 'ltr', drops: [] }, '*');`,
        header,
        css,
      );
    const menu = `<nav class="zv" aria-label="Shop"><ul><li><a href="#a">Seeds</a></li><li><a href="#b">Tools</a></li></ul></nav>`;
    const sound =
      'li{display:inline-block}a{display:inline-block;min-width:30px;padding:8px}.zv [aria-current]{border-bottom:2px solid}';
    expect(await faults(menu, sound)).toEqual([]);
    const cases = [
      [menu, `${sound}a{transition:color 1s}`, []],
      [menu, `${sound}a{transition:translate 1s}`, ['lessMotion moves Seeds', 'lessMotion moves Tools']],
      [
        menu,
        `${sound}@media (prefers-reduced-motion:no-preference){a{transition:translate 1s;animation:a 2s}}`,
        [],
      ],
      [
        menu,
        sound.replace('border-bottom:2px solid', 'color:red;background:gold'),
        ['forcedColours current Shop'],
      ],
      [
        menu,
        `${sound.replace('border-bottom:2px solid', 'color:red')}@media (forced-colors:active){[aria-current]{outline:1px solid}}`,
        [],
      ],
      [
        `${menu}<a class="zv-button" href="#c">Buy</a>`,
        `${sound}.zv-button{background:#000}`,
        ['forcedColours shape Buy'],
      ],
      [
        `${menu}<a href="#d" aria-label="Basket"></a>`,
        `${sound}a[aria-label]{mask:linear-gradient(#000,#000);min-height:24px}`,
        ['forcedColours mask Basket'],
      ],
      [`${menu}<a href="#d">i</a>`, `${sound}a[href='#d']{padding:0;min-width:0}`, ['touch small i']],
      [menu, `${sound}ul{display:flex;flex-direction:row-reverse}`, ['keyboard back Tools']],
    ] as const;
    for (const [html, css, expected] of cases) expect(await faults(html, css), css).toEqual(expected);
  });
});

describe('the focus path', () => {
  it('numbers what Tab reaches in its order, and says what is wrong with it', async () => {
    await openFit();
    await person.click('Focus path');
    await browser.driver.switchTo().frame(await person.find('iframe[title="Live page"]'));
    const numbers = await person.eventually('no number is drawn', async () => {
      const found = await run<string[]>(
        `return [...document.querySelectorAll('.stop-number')].map((one) => one.textContent)`,
      );
      return found.length > 0 ? found : null;
    });
    // Counted anew: what is seen, and can have the focus.
    const stops = await run<number>(
      `return [...document.querySelectorAll('.around :is(a[href],button,input)')].filter((one) => one.checkVisibility()).length`,
    );
    await browser.driver.switchTo().defaultContent();
    expect(numbers).toEqual(Array.from({ length: stops }, (_, at) => String(at + 1)));
    const said = await person.byText('span', `${stops} stops, always forwards, all large enough to press`);
    expect(await said.isDisplayed()).toBe(true);
    await person.click('Focus path');
  });
});

describe('the contact sheet', () => {
  it('shows every dropdown and panel of the header, open, at three widths, after one action', async () => {
    await openFit();
    const document = await stored();
    actions = 0;
    await act(async () => (await person.byText('label', 'Contact sheet')).click());
    expect(actions).toBe(1);
    await person.find('[aria-label="Contact sheet"][aria-busy="false"]');
    const names = await run<string[]>(
      `return [...document.querySelectorAll('.names strong')].map((one) => one.textContent)`,
    );
    const tops = [...document.items.nodes.values()].filter(
      ({ id, parent }) =>
        document.menus.nodes.get(parent)?.key === 'main' && childrenOf(document.items, id).size > 0,
    );
    expect(names.length).toBe(tops.length);
    for (const [title, isOpen] of [
      ['Dropdowns and panels at 820 px', '.zv-bar>ul>li>button[aria-expanded=true]'],
      ['Dropdowns and panels at 1280 px', '.zv-bar>ul>li>button[aria-expanded=true]'],
      ['Dropdowns and panels at 390 px', '.zv-drawer[open]'],
    ] as const) {
      await browser.driver.switchTo().frame(await person.find(`iframe[title="${title}"]`));
      const [open, wide] = await run<[number, number]>(
        `return [[...document.querySelectorAll('.block')].filter((one) => one.querySelector(${JSON.stringify(isOpen)}) !== null).length, innerWidth]`,
      );
      await browser.driver.switchTo().defaultContent();
      expect(open, title).toBe(names.length);
      expect(title).toContain(String(wide));
    }
  });
});

describe('comparing', () => {
  it('shows an edition beside the working copy, at the same width, with the entries that differ', async () => {
    await openFit();
    const [edition] = (
      (await (await fetch(`${stack.editor}/api/v1/sites/quillmere/editions`)).json()) as {
        editions: { number: number }[];
      }
    ).editions.slice(-1);
    await (await person.find(`option[value="edition ${edition?.number}"]`)).click();
    const title = `Edition ${edition?.number}`;
    await person.find(`iframe[title="${title}"]`);
    // The label that was made longer above is another one there.
    await person.eventually('no entry differs', async () =>
      (await run<string>(`return document.querySelector('.pair')?.innerText ?? ''`)).includes(
        '1 entry differs',
      ),
    );
    const signsIn = async (name: string): Promise<string[]> => {
      await browser.driver.switchTo().frame(await person.find(`iframe[title="${name}"]`));
      try {
        return await person.eventually(`no sign in ${name}`, async () => {
          const found = await run<string[]>(
            `return [...document.querySelectorAll('.sign')].map((one) => one.title)`,
          );
          return found.length > 0 ? found : null;
        });
      } finally {
        await browser.driver.switchTo().defaultContent();
      }
    };
    expect(await signsIn('Live page')).toEqual([expect.stringContaining(`${title}: The garden`)]);
    expect(await signsIn(title)).toEqual([expect.stringContaining('Working copy: The garden, the orchard')]);
    // Scrolled together.
    await browser.driver.switchTo().frame(await person.find('iframe[title="Live page"]'));
    await run(`window.scrollTo(0, 120)`);
    await browser.driver.switchTo().defaultContent();
    await browser.driver.switchTo().frame(await person.find(`iframe[title="${title}"]`));
    await person.eventually('it is not scrolled', async () => (await run<number>(`return scrollY`)) > 60);
    await browser.driver.switchTo().defaultContent();
    // Opened together: the panel that is chosen in the chart.
    await (await person.find('.lanes .lane.depth-2 button.left')).click();
    for (const name of ['Live page', title]) {
      await browser.driver.switchTo().frame(await person.find(`iframe[title="${name}"]`));
      await person.eventually(`nothing is open in ${name}`, () =>
        run<boolean>(`return document.querySelector('.zv-bar>ul>li>button[aria-expanded=true]') !== null`),
      );
      await browser.driver.switchTo().defaultContent();
    }
    // Other looks, in the same place.
    await (await person.find('option[value^="starter slate"]')).click();
    await person.find('iframe[title="Looks of “Slate”"]');
  });

  it('is told before publishing what would not fit, and leads there', async () => {
    const bar = partsIn(await stored(), areaId('header')).find(({ fits }) => fits !== undefined);
    await edit((context) => setFit(context, bar?.id ?? '', ['medium', 'wide'], 'wrap'));
    await browser.driver.get(`${stack.editor}/quillmere/editions`);
    const line = await person.find('section[aria-labelledby="does-not-fit"] .link');
    expect(await line.getText()).toContain('Main menu: ');
    await line.click();
    await person.eventually('it is not shown', async () =>
      (await browser.driver.getCurrentUrl()).includes('/fit?'),
    );
    await person.find('.lanes .lane.on');
  });
});
