import { unzipSync } from 'fflate';
import { By } from 'selenium-webdriver';
import type { Driver } from 'selenium-webdriver/chrome.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bareSite, type BareSite } from './bareSite.ts';
import type { Person } from './person.ts';
import { enterStage, type Stage } from './stage.ts';

/** What is copied out of the editor, put into bare pages of a site that has nothing else. */
let stack: Stage['stack'];
let browser: Stage['browser'];
let person: Person;
let site: BareSite;
let base: string;
beforeAll(async () => {
  ({ stack, browser, person } = await enterStage());
  base = `${stack.delivery}/delivery/v1/sites/quillmere`;
  site = await bareSite(base);
});
afterAll(() => site.close());

const run = <T>(script: string): Promise<T> => browser.driver.executeScript<T>(script);
/** The code with that label, as the dialog shows it. */
const code = async (way: string, label: string): Promise<string> => {
  await browser.driver.get(`${stack.editor}/quillmere/editions`);
  await person.click('Put it into your pages …');
  await person.find('figure.code');
  await person.settled();
  const choice = By.xpath(`//label[contains(@class,'choice')][normalize-space(.)='${way}']`);
  await (
    await person.eventually(`no way “${way}”`, async () => (await browser.driver.findElements(choice))[0])
  ).click();
  return person.eventually(`no code “${label}”`, () =>
    run<string | null>(
      `return [...document.querySelectorAll('figure.code')].find((one) => one.querySelector('figcaption span').textContent === '${label}')?.querySelector('pre').textContent ?? null`,
    ),
  );
};
const bare = (body: string): string =>
  `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Bare</title><meta name="viewport" content="width=device-width"></head><body><p>Before</p>${body}<p>After</p></body></html>`;
const currents = (): Promise<string[]> =>
  run(
    `return [...document.querySelectorAll('nav [aria-current=page]')].filter((one) => one.closest('nav[aria-label^=Main]') && !one.closest('dialog')).map((one) => one.textContent)`,
  );
const withoutScript = async (act: () => Promise<void>): Promise<void> => {
  const disable = (value: boolean): Promise<unknown> =>
    (browser.driver as Driver).sendDevToolsCommand('Emulation.setScriptExecutionDisabled', { value });
  await disable(true);
  try {
    await act();
  } finally {
    await disable(false);
  }
};

describe('put into the pages of a site', () => {
  it('is the whole frame by server-side includes: complete without script, with the current page marked', async () => {
    site.pages.set('*', await code('Whole frame', 'Page'));
    expect(await code('Whole frame', 'Server configuration: nginx')).toContain(`proxy_pass ${base}/;`);
    expect(await code('Whole frame', 'Server configuration: Apache')).toContain(`"${base}/"`);
    await withoutScript(async () => {
      await browser.driver.get(`${site.address}/garden`);
      expect(await (await person.find('header .zv-logo')).isDisplayed()).toBe(true);
      expect(await currents()).toEqual(['The garden']);
    });
    const html = await (await fetch(`${site.address}/garden`)).text();
    expect(html.match(/<header/g)).toHaveLength(1);
    expect(html.match(/<footer class="zv zv-footer"/g)).toHaveLength(1);
    expect(html).toMatch(
      /<body>\s*(?:<link rel="preload" as="font" [^>]*>)*<a class="zv zv-skip" href="#content"/,
    );
  });

  it('is one menu by a snippet: it works as it was copied, is brought up to date, and moves nothing', async () => {
    const snippet = await code('One menu', 'Snippet');
    expect(snippet).toMatch(/As of \d{4}-\d\d-\d\d\./);
    // As if it had been copied before there was a last entry, and before one had its present name.
    const old = snippet.replace('>The garden<', '>The old garden<');
    site.pages.set('*', bare(old));
    await withoutScript(async () => {
      await browser.driver.get(`${site.address}/garden`);
      const link = await person.find('zorvik-menu nav a[href="/garden"]');
      expect(await link.getText()).toBe('The old garden');
    });
    await browser.driver.get(`${site.address}/garden`);
    await person.eventually(
      'it is not brought up to date',
      async () => (await currents())[0] === 'The garden',
    );
    await run(`document.querySelector('zorvik-menu button[aria-expanded]').click()`);
    expect(await run(`return document.querySelectorAll('zorvik-menu [aria-expanded=true]').length`)).toBe(1);
    // With what was delivered just now, nothing is different but the mark: nothing on the page may move.
    site.pages.set('*', bare(snippet));
    await browser.driver.get(`${site.address}/garden`);
    await person.eventually('no mark', async () => (await currents()).length === 1);
    expect(
      await browser.driver.executeAsyncScript(
        `const done = arguments[arguments.length - 1]; let sum = 0;
         new PerformanceObserver((list) => list.getEntries().forEach((one) => (sum += one.value))).observe({ type: 'layout-shift', buffered: true });
         setTimeout(() => done(sum), 300);`,
      ),
    ).toBe(0);
    // Where nobody answers, what was copied stays.
    site.pages.set(
      '*',
      bare(old.replace(/src="[^"]*main\.html"/, `src="${site.address}/navigation/none.html"`)),
    );
    await browser.driver.get(`${site.address}/garden`);
    expect(await (await person.find('zorvik-menu nav a[href="/garden"]')).getText()).toBe('The old garden');
  });

  it('follows an address that changes without a new page: the mark moves, and what is open closes', async () => {
    site.pages.set('*', await code('Whole frame', 'Page'));
    await browser.driver.get(`${site.address}/garden`);
    expect(await currents()).toEqual(['The garden']);
    await run(`document.querySelector('nav[aria-label^=Main] button[aria-expanded]').click()`);
    const open = (): Promise<number> =>
      run(`return document.querySelectorAll('.zv-bar [aria-expanded=true]').length`);
    expect(await open()).toBe(1);
    await run(`history.pushState(null, '', '/visit')`);
    expect(await currents()).toEqual(['Visit']);
    expect(await open()).toBe(0);
    await run('history.back()');
    await person.eventually(
      'the mark does not come back',
      async () => (await currents())[0] === 'The garden',
    );
  });

  it('is files alone, with a page that uses them; the script marks the current page', async () => {
    const archive = new Uint8Array(await (await fetch(`${base}/static.zip`)).arrayBuffer());
    for (const [path, bytes] of Object.entries(unzipSync(archive))) site.pages.set(`/${path}`, bytes);
    site.pages.set('/garden', site.pages.get('/example.html') ?? '');
    await browser.driver.get(`${site.address}/garden`);
    await person.eventually('no mark', async () => (await currents())[0] === 'The garden');
    expect(await run(`return getComputedStyle(document.querySelector('.zv-bar > ul')).display`)).toBe('flex');
    const elsewhere = await run<string[]>(
      `return performance.getEntriesByType('resource').map(({ name }) => name).filter((name) => !name.startsWith('${site.address}/'))`,
    );
    expect(elsewhere).toEqual([]);
    // Fonts that come late move nothing: what stands in for them has their size, and stays for this page.
    site.delay = (path) => (path.endsWith('.woff2') ? 2000 : 0);
    try {
      await browser.driver.get(`${site.address}/garden?late`);
      const { moved, late } = await browser.driver.executeAsyncScript<{ moved: number; late: number }>(
        `const done = arguments[arguments.length - 1]; let moved = 0;
         new PerformanceObserver((list) => list.getEntries().forEach((one) => (moved += one.value))).observe({ type: 'layout-shift', buffered: true });
         setTimeout(() => done({ moved, late: performance.getEntriesByType('resource').filter(({ name, responseEnd, startTime }) => name.endsWith('.woff2') && responseEnd - startTime > 1900).length }), 2800);`,
      );
      expect(late).toBeGreaterThan(0);
      expect(moved).toBe(0);
    } finally {
      site.delay = () => 0;
    }
    for (const path of [...site.pages.keys()]) if (path.startsWith('/')) site.pages.delete(path);
  });

  it('is data, of which an example builds a header', async () => {
    site.pages.set('*', bare(await code('Data', 'Example')));
    await browser.driver.get(`${site.address}/garden`);
    await person.eventually('no menu', async () => (await currents())[0] === 'The garden');
    expect(await (await person.find('#site-header > a[href="/"]')).getText()).toBe('Quillmere');
  });

  it('is copied by a button', async () => {
    await (browser.driver as Driver).sendDevToolsCommand('Browser.grantPermissions', {
      origin: stack.editor,
      permissions: ['clipboardReadWrite', 'clipboardSanitizedWrite'],
    });
    const shown = await code('Data', 'Example');
    await person.click('Copy');
    const copied = (): Promise<string> =>
      browser.driver.executeAsyncScript(
        'navigator.clipboard.readText().then(arguments[arguments.length - 1], arguments[arguments.length - 1])',
      );
    await person.eventually('it is not copied', async () => (await copied()) === shown);
  });
});
