import { readFile, writeFile } from 'node:fs/promises';
import { beforeAll, describe, expect, it } from 'vitest';
import { Key } from 'selenium-webdriver';
import type { ResolvedItem, ResolvedMenu } from '@zorvik/core';
import type { Person } from './person.ts';
import { enterStage, type Stage } from './stage.ts';

/** A site is read, a month passes on it, it is read again, the menus are mended and published. */
let stack: Stage['stack'];
let browser: Stage['browser'];
let person: Person;
beforeAll(async () => {
  ({ stack, browser, person } = await enterStage());
});

const EXPECTED = new URL('./afterAMonth.txt', import.meta.url);
/** How what is more than facts is told. */
const CHANGED = /^\d+ (?:new|moved|renamed|deleted|with (?:a new address|new addresses))/m;
const MENUS = ['main', 'second', 'plants', 'footer', 'phone'];

async function read(button: 'Start' | 'Read again'): Promise<void> {
  await browser.driver.get(`${stack.editor}/quillmere/pages`);
  await person.click('Read the site …');
  await person.byText('button', button);
  await person.settled();
  await person.click(button);
}

function linesOf(items: readonly ResolvedItem[], inset: string): string[] {
  return items.flatMap(({ label, href, children }) => [
    `${inset}${label} ${href ?? ''}`.trimEnd(),
    ...linesOf(children, `${inset}  `),
  ]);
}

describe('reading a site', () => {
  it('starts once its address is known, and never writes over what was typed meanwhile', async () => {
    const { driver } = browser;
    await driver.get(`${stack.editor}/quillmere/pages`);
    await person.byText('button', 'Read the site …');
    // The list of sites, which brings the address, comes only when it is let through.
    await driver.executeScript(`const fetched = window.fetch;
      const passed = new Promise((pass) => { window.letThrough = pass; });
      window.fetch = async (what, ...rest) => {
        if (new URL(what?.url ?? what, location.href).pathname.endsWith('/sites')) await passed;
        return fetched(what, ...rest);
      };`);
    await person.click('Read the site …');
    const start = await person.byText('button', 'Start');
    await person.settled();
    expect(await start.isEnabled()).toBe(false);
    const address = await person.find('.begin input');
    await address.sendKeys('http://typed.example/');
    await driver.executeScript('window.letThrough()');
    await person.eventually('it cannot be started', () => start.isEnabled());
    expect(await address.getAttribute('value')).toBe('http://typed.example/');
    await person.click('Close');
  });
});

describe('a month passes', () => {
  it('is read, taken in, mended and published: then every link on the site works, and the menus are as expected', async () => {
    const { driver } = browser;
    const difference = async (): Promise<string> => (await person.find('.difference')).getText();
    await read('Start');
    // Quillmere's pages come with no headings to lead to: the first reading finds those, and nothing else.
    await person.eventually(
      'more than facts is otherwise',
      async () =>
        /^\d+ pages with new details/m.test(await difference()) && !CHANGED.test(await difference()),
    );
    const month = (await (await fetch(`${stack.site}/control/month`, { method: 'POST' })).json()) as {
      changes: number;
    };
    expect(month.changes).toBe(40);
    await read('Read again');
    await person.eventually('the month is not told', async () => CHANGED.test(await difference()));
    // Each change is in its place, and the buttons are in sight however low the window is.
    const row = await person.find('.difference .tree li:not(.context) .tag');
    expect(await row.getText()).toMatch(/new|moved from|renamed from|deleted|address was/);
    await browser.resize(1280, 640);
    await person.settled();
    const button = await person.byText('button', 'Import changes');
    const { y, height } = await button.getRect();
    expect(y + height).toBeLessThanOrEqual(640);
    expect(y).toBeGreaterThan(0);
    await browser.resize(1280, 800);
    await person.click('Import changes');
    await person.eventually(
      'it is not taken in',
      async () => (await driver.findElements({ css: '.difference' })).length === 0,
    );

    for (const menu of MENUS) {
      await driver.get(`${stack.editor}/quillmere/drift/${menu}`);
      await person.eventually(
        'it is not compared',
        async () => (await (await person.find('h1')).getText()) !== 'Comparing …',
      );
      const list = await person.find('.list');
      await list.sendKeys('a');
      const shown = (): Promise<string> =>
        driver.executeScript<string>(
          "return [...document.querySelectorAll('h1, .card .what')].map((one) => one.textContent).join()",
        );
      for (
        let round = 0;
        round < 60 && !/^No differences/.test(await (await person.find('h1')).getText());
        round += 1
      ) {
        await person.settled();
        const before = await shown();
        await list.sendKeys(Key.ENTER);
        await person.eventually('nothing is mended', async () => (await shown()) !== before);
      }
      expect(await (await person.find('h1')).getText(), menu).toMatch(/^No differences/);
      await person.kept();
    }
    await person.eventually(
      'the count stays',
      async () => (await driver.findElements({ css: '.works .badge' })).length === 0,
    );

    const api = `${stack.editor}/api/v1/sites/quillmere`;
    const { revision } = (await (await fetch(api)).json()) as { revision: number };
    const reply = await fetch(`${api}/editions`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ note: '', revision }),
    });
    expect(reply.status, await reply.text()).toBe(201);
    const menus = await Promise.all(
      MENUS.map(
        async (key) =>
          (await (
            await fetch(`${stack.delivery}/delivery/v1/sites/quillmere/menus/${key}`)
          ).json()) as ResolvedMenu,
      ),
    );
    const outline = `${menus.map(({ name, items }) => [name, ...linesOf(items, '  ')].join('\n')).join('\n\n')}\n`;
    if (process.env.ZORVIK_EXPECT === 'write') await writeFile(EXPECTED, outline);
    expect(outline).toBe(await readFile(EXPECTED, 'utf8'));
    const links = [...new Set(outline.match(/(?<= )\/\S*$/gm) ?? [])];
    expect(links.length).toBeGreaterThan(50);
    const broken: string[] = [];
    for (const link of links) {
      const { status } = await fetch(stack.site + link, { redirect: 'manual' });
      if (status !== 200) broken.push(`${link} ${status}`);
    }
    expect(broken).toEqual([]);
  });
});
