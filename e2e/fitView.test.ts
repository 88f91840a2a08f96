import { By, Key, type WebElement } from 'selenium-webdriver';
import { afterEach, beforeAll, describe, expect, it } from 'vitest';
import { areaFacts, areaId, labelOf, partsIn, renameItem, type SiteDocument } from '@zorvik/core';
import { contextOf } from '@zorvik/core/testing';
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
/** A label that is too long for the bar on medium screens. */
async function lengthen(): Promise<void> {
  const document = await stored();
  const item = [...document.items.nodes.values()].find(
    (one) => document.menus.nodes.get(one.parent)?.key === 'main' && labelOf(document, one) === 'The garden',
  );
  const { revision } = (await (await fetch(`${stack.editor}/api/v1/sites/quillmere`)).json()) as {
    revision: number;
  };
  const made = renameItem(
    { ...contextOf(document, revision + 3), base: revision },
    item?.id ?? '',
    'The garden, the orchard and the wet meadow',
  );
  expect(made.ok).toBe(true);
  if (!made.ok) return;
  const reply = await fetch(`${stack.editor}/api/v1/sites/quillmere/edits`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(made.value),
  });
  expect(reply.status).toBe(200);
}
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
    const said = /^Main menu 1 to 2 rows of its own from 768 to (\d+) px Show$/.exec(first);
    const to = Number(said?.[1]);
    expect(to).toBeGreaterThan(900);
    await act(async () => (await inRow('Main menu 1 to 2 rows', 'Show')).click());
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
    await person.eventually('it is not taken back', async () => (await lane('Main menu')).includes('2 rows'));
  });

  it('has what mends it with what comes of it, the best first; a look at it changes nothing', async () => {
    await openFit();
    await (await inRow('Main menu 1 to 2 rows', 'Show')).click();
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
