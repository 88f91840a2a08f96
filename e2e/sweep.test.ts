import { By, Key } from 'selenium-webdriver';
import type { Driver } from 'selenium-webdriver/chrome.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  areaId,
  includesExample,
  partsIn,
  readStored,
  renderPage,
  setBehaviours,
  setPart,
  setSite,
  situationOn,
  wholeScript,
  zoneId,
  type CommandContext,
  type Part,
  type Picture,
  type Result,
  type Edit,
  type SiteChanges,
  type SiteDocument,
  type StoredDocument,
} from '@zorvik/core';
import { applied, contextOf, outlined } from '@zorvik/core/testing';
import { bareSite, type BareSite } from './bareSite.ts';
import type { Person } from './person.ts';
import { enterStage, type Stage } from './stage.ts';

/** The delivered frame on four templates, in both directions, at two widths, without script, and when all is late. */
let stack: Stage['stack'];
let browser: Stage['browser'];
let person: Person;
let site: BareSite;
beforeAll(async () => {
  ({ stack, browser, person } = await enterStage());
  const base = `${stack.delivery}/delivery/v1/sites/quillmere`;
  site = await bareSite(base);
  const svg =
    '<svg xmlns="http://www.w3.org/2000/svg" width="240" height="80"><rect width="240" height="80" fill="#1f3a2c"/></svg>';
  const sent = await fetch(`${stack.editor}/api/v1/sites/quillmere/pictures`, { method: 'POST', body: svg });
  await publish({ logo: ((await sent.json()) as { picture: Picture }).picture });
});
afterAll(async () => {
  site.close();
  await browser.resize(1280, 800);
});

const templates = [
  '/',
  '/plants/trees',
  '/about/news/moss-room',
  '/shop/tools/digging/digging-fork',
] as const;
const api = (path: string, body: unknown): Promise<Response> =>
  fetch(`${stack.editor}/api/v1/sites/quillmere${path}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });

/** Does something on the site and publishes it; gives what was there before. */
async function publishEdit(make: (context: CommandContext) => Result<Edit>): Promise<SiteDocument> {
  const now = async (): Promise<{ document: StoredDocument; revision: number }> =>
    (await (await fetch(`${stack.editor}/api/v1/sites/quillmere`)).json()) as never;
  const { document: stored, revision } = await now();
  const document = readStored(stored);
  const made = make({ ...contextOf(document, revision + 11), base: revision });
  if (!made.ok) throw new Error(made.refusal.message);
  expect((await api('/edits', made.value)).status).toBe(200);
  expect((await api('/editions', { note: '', revision: (await now()).revision })).status).toBe(201);
  return document;
}

/** Changes the site and publishes it; what the bare site serves is that from then on. */
async function publish(changes: SiteChanges): Promise<void> {
  const document = await publishEdit((context) => setSite(context, changes));
  const { language, direction } = { ...document.site, ...changes };
  const base = `${stack.delivery}/delivery/v1/sites/quillmere`;
  const filler = '<p>Text</p>'.repeat(12);
  site.pages.set(
    '*',
    includesExample({ base, language: language ?? 'en', direction: direction ?? 'ltr' }).page.replace(
      '</main>',
      `${filler}</main>`,
    ),
  );
}

const run = <T>(script: string): Promise<T> => browser.driver.executeScript<T>(script);
const cdp = (command: string, parameters: Record<string, unknown>): Promise<unknown> =>
  (browser.driver as Driver).sendDevToolsCommand(command, parameters);

/** What is wrong with the order of focus, with what lies over it, and with the width of the page. */
async function problems(isRtl: boolean): Promise<string[]> {
  await run(
    `window.seen = []; document.addEventListener('focusin', ({ target }) => window.seen.push(target));`,
  );
  const count = await run<number>(
    `return [...document.querySelectorAll('a[href],button,input,summary')].filter((one) => one.checkVisibility()).length`,
  );
  await (await person.find('body')).sendKeys(Key.TAB.repeat(count));
  return run<string[]>(`
    const found = [];
    const name = (one) => (one.getAttribute('aria-label') ?? one.textContent).trim().slice(0, 30) + ' (' + one.localName + ')';
    const seen = [...new Set(window.seen)];
    if (seen.length !== ${count}) found.push('Tab reaches ' + seen.length + ' of ${count}');
    let last = null;
    for (const one of seen) {
      one.focus();
      const { left, right, top, bottom, width, height } = one.getBoundingClientRect();
      const hit = document.elementFromPoint(left + width / 2, top + height / 2);
      if (hit === null || !(one === hit || one.contains(hit))) found.push('covered: ' + name(one) + ' by ' + (hit?.className ?? 'nothing'));
      const box = { start: ${isRtl ? '-right' : 'left'}, top: top + scrollY, bottom: bottom + scrollY };
      if (last !== null) {
        const isSameRow = box.top < last.bottom - 4 && box.bottom > last.top + 4;
        const isBack = box.start < last.start - 1;
        if (isBack && (isSameRow || box.bottom <= last.top + 4)) found.push('backwards: ' + name(one));
      }
      last = one.matches('.zv-skip') ? null : box;
    }
    const { scrollWidth, clientWidth } = document.documentElement;
    if (scrollWidth > clientWidth) found.push('the page scrolls sideways by ' + (scrollWidth - clientWidth) + ': ' + [...document.querySelectorAll('body *')].filter((one) => { const { left, right } = one.getBoundingClientRect(); return right > clientWidth + 0.5 || left < -0.5; }).map((one) => one.localName + '.' + one.className).slice(0, 8).join(', '));
    return found;`);
}

describe.each([
  ['left to right', 'ltr' as const],
  ['right to left', 'rtl' as const],
])('the delivered frame, %s', (_, direction) => {
  beforeAll(async () => {
    if (direction === 'rtl') await publish({ direction });
  });

  it.each([
    [1280, 800],
    [1024, 768],
    [820, 1180],
    [640, 390],
    [390, 844],
  ])(
    'at %d by %d px: Tab goes in the visible order, nothing lies over what has the focus, nothing scrolls sideways',
    async (width, height) => {
      await browser.resize(width, height);
      for (const path of templates) {
        await browser.driver.get(site.address + path);
        expect(await run('return document.documentElement.dir')).toBe(direction);
        expect(await problems(direction === 'rtl'), path).toEqual([]);
      }
    },
  );

  it.each([
    [1280, 800],
    [390, 844],
  ])(
    'moves nothing when style sheet, script and logo come two seconds late, at %d by %d px',
    async (width, height) => {
      await browser.resize(width, height);
      site.delay = (path) => (/\.(?:css|js|svg|webp)$/.test(path) ? 2000 : 0);
      try {
        await browser.driver.get(`${site.address}${templates[1]}`);
        await person.eventually('the logo does not come', () =>
          run<boolean>(
            `const logo = document.querySelector('.zv-logo img'); return logo !== null && logo.complete && logo.naturalWidth > 0`,
          ),
        );
        const moved = await browser.driver.executeAsyncScript<number>(
          `const done = arguments[arguments.length - 1]; let sum = 0;
         new PerformanceObserver((list) => list.getEntries().forEach((one) => (sum += one.value))).observe({ type: 'layout-shift', buffered: true });
         setTimeout(() => done(sum), 300);`,
        );
        expect(moved).toBe(0);
      } finally {
        site.delay = () => 0;
      }
    },
  );
});

describe('a vertical header', () => {
  it('is a column beside the content; what it opens stands beside it, inside the screen, in both directions', async () => {
    await publishEdit((context) => setPart(context, areaId('header'), { vertical: 'start' }));
    await publishEdit((context) => setBehaviours(context, 'header', { sticky: true }));
    await browser.resize(1280, 800);
    for (const direction of ['rtl', 'ltr'] as const) {
      await browser.driver.get(site.address + templates[1]);
      if ((await run('return document.documentElement.dir')) !== direction) await publish({ direction });
      await browser.driver.get(site.address + templates[1]);
      const isRtl = direction === 'rtl';
      expect(await problems(isRtl), direction).toEqual([]);
      for (const label of ['Seed house', 'Learn']) {
        await (await person.find(`.zv-bar button[aria-label="${label}"]`)).click();
        const { header, open, main, width } = await run<
          Record<'header' | 'open' | 'main', DOMRect> & { width: number }
        >(
          `const box = (css) => document.querySelector(css).getBoundingClientRect().toJSON();
           return { header: box('.zv-header'), open: box('.zv-bar button[aria-expanded=true]~:is(ul,.zv-panel)'), main: box('main'), width: document.documentElement.clientWidth }`,
        );
        expect(isRtl ? width - header.right : header.left).toBe(0);
        expect(header.height).toBe(800);
        expect(isRtl ? header.left - open.right : open.left - header.right).toBeCloseTo(0, 0);
        expect(open.left).toBeGreaterThanOrEqual(0);
        expect(open.right).toBeLessThanOrEqual(width);
        expect(isRtl ? main.right <= header.left : main.left >= header.right).toBe(true);
        await person.type(Key.ESCAPE);
      }
      await browser.resize(390, 844);
      expect(
        await run(
          `const box = (css) => document.querySelector(css).getBoundingClientRect(); return box('.zv-header').width === box('body').width && box('.zv-header').height < 300`,
        ),
        'on a phone it lies across the page',
      ).toBe(true);
      await browser.resize(1280, 800);
    }
    // Its menu can fold instead, within the column.
    const before = await publishEdit((context) => setPart(context, areaId('header'), { areaWidth: 250 }));
    const main = partsIn(before, areaId('header')).findLast(({ kind }) => kind === 'placement')?.id ?? '';
    await publishEdit((context) => setPart(context, main, { pattern: 'accordion' }));
    await browser.driver.get(site.address + templates[1]);
    await (await person.find('.zv-header .zv-accordion button[aria-label="Seed house"]')).click();
    const [arrow, edge, extra] = await run<number[]>(
      `const header = document.querySelector('.zv-header');
       return [header.querySelector('.zv-accordion button').getBoundingClientRect().right, header.getBoundingClientRect().right, header.scrollWidth - header.clientWidth]`,
    );
    expect(arrow).toBeLessThanOrEqual(edge ?? 0);
    expect(extra).toBe(0);
    await publishEdit((context) => setPart(context, main, { pattern: null }));
    await publishEdit((context) => setPart(context, areaId('header'), { vertical: null, areaWidth: null }));
  });
});

describe('a part of the frame', () => {
  it('has its icon above its text where that is set', async () => {
    const { document: start } = outlined('Shop > /shop', '/shop Shop');
    const [band = ''] = [...(start.parts.children.get(areaId('header')) ?? [])];
    const account: Part = {
      id: 'c000000000account',
      parent: zoneId(band, 'end'),
      kind: 'account',
      text: 'Account',
      destination: { kind: 'address', address: '/account' },
      isIconAbove: true,
    };
    const document = applied(start, { kind: 'addPart', after: null, branch: [account] });
    const { header, css } = renderPage(document, situationOn(document, null), {
      compareTitles: () => 0,
      pictures: '',
      year: 2026,
    });
    site.pages.set('/above', `<!doctype html><html lang="en"><style>${css}</style>${header}`);
    await browser.driver.get(`${site.address}/above`);
    const bottom = (css: string): Promise<number> =>
      run(`return document.querySelector('.zv-account ${css}').getBoundingClientRect().bottom`);
    expect(await bottom('.zv-glyph')).toBeLessThan(await bottom('.zv-face-text'));
    expect(
      await run(`return document.querySelector('.zv-account .zv-face-text').getBoundingClientRect().top`),
    ).toBeGreaterThanOrEqual(await bottom('.zv-glyph'));
  });
});

describe('a search field that an icon opens', () => {
  it('opens without script; with it, the field has the focus, Escape gives it back, and a press elsewhere closes it', async () => {
    const { document: start } = outlined('Shop > /shop', '/shop Shop');
    const [band = ''] = [...(start.parts.children.get(areaId('header')) ?? [])];
    const search: Part = {
      id: 'c0000000000search',
      parent: zoneId(band, 'end'),
      kind: 'search',
      text: 'Search',
      address: '/search',
      parameter: 'q',
      isFolded: true,
    };
    const document = applied(start, { kind: 'addPart', after: null, branch: [search] });
    const { header, css } = renderPage(document, situationOn(document, null), {
      compareTitles: () => 0,
      pictures: '',
      year: 2026,
    });
    const head = `<!doctype html><html lang="en"><meta name="viewport" content="width=device-width"><style>body{margin:0}${css}</style>`;
    site.pages.set('/plain', `${head}${header}<p>Text</p>`);
    site.pages.set('/folded', `${head}<script>${wholeScript}</script>${header}<p>Text</p>`);
    const field = (): Promise<boolean> =>
      run(`return document.querySelector('[type=search]').checkVisibility()`);
    await browser.driver.get(`${site.address}/plain`);
    expect(await field()).toBe(false);
    await (await person.find('summary')).sendKeys(Key.ENTER);
    expect(await field()).toBe(true);
    for (const width of [1280, 390]) {
      await browser.resize(width, 800);
      await browser.driver.get(`${site.address}/folded`);
      await (await person.find('summary')).click();
      await person.eventually('the field has no focus', () =>
        run<boolean>(`return document.activeElement.type === 'search'`),
      );
      expect(
        await run('return document.documentElement.scrollWidth - document.documentElement.clientWidth'),
      ).toBe(0);
      const { left, right } = await run<{ left: number; right: number }>(
        `const { left, right } = document.querySelector('.zv-fold form').getBoundingClientRect(); return { left, right }`,
      );
      expect(left).toBeGreaterThanOrEqual(0);
      expect(right).toBeLessThanOrEqual(width);
      await person.type(Key.ESCAPE);
      expect(await field()).toBe(false);
      expect(await run('return document.activeElement.localName')).toBe('summary');
      await person.type(Key.ENTER);
      await browser.driver.actions().move({ x: 150, y: 500 }).click().perform();
      await person.eventually('a press elsewhere does not close it', async () => !(await field()));
    }
    await browser.resize(1280, 800);
  });
});

describe('the delivered frame without script', () => {
  // A picture beside the same link is no stop of its own.
  const inMain = `[...document.querySelectorAll('[aria-label^=Main] a[href]:not([tabindex="-1"])')]`;

  it('opens each branch for the focus, so that Tab reaches every link of the main menu, and Enter follows it', async () => {
    await cdp('Emulation.setScriptExecutionDisabled', { value: true });
    try {
      await browser.driver.get(`${site.address}/`);
      const all = await run<number>(`return ${inMain}.length`);
      expect(all).toBeGreaterThan(20);
      const reached = new Set<string>();
      const body = await person.find('body');
      await body.sendKeys(Key.TAB);
      expect(await run('return document.activeElement.className')).toContain('zv-skip');
      for (let step = 0; step < 2 * all + 20; step += 1) {
        await (await person.focused()).sendKeys(Key.TAB);
        const [label, isSeen, isLeft] = await run<[string | null, boolean, boolean]>(
          `const one = document.activeElement; const within = one.closest('[aria-label^=Main]');
           const { width, height } = one.getBoundingClientRect();
           return [within === null || one.localName !== 'a' ? null : String(${inMain}.indexOf(one)), width > 0 && height > 0, within === null && ${reached.size > 0}]`,
        );
        if (isLeft) break;
        if (label === null) continue;
        expect(isSeen, label).toBe(true);
        reached.add(label);
      }
      expect(
        await run<string[]>(
          `return ${inMain}.filter((_, at) => !${JSON.stringify([...reached])}.includes(String(at))).map((one) => one.textContent)`,
        ),
      ).toEqual([]);
      const nested = await person.find('[aria-label^=Main] li li a[href^="/"]');
      const to = await nested.getAttribute('href');
      await browser.driver
        .actions()
        .move({ origin: await person.find('[aria-label^=Main] > ul > li') })
        .perform();
      await person.eventually('the branch does not open under the pointer', () => nested.isDisplayed());
      await nested.click();
      expect(await browser.driver.getCurrentUrl()).toBe(to);
    } finally {
      await cdp('Emulation.setScriptExecutionDisabled', { value: false });
    }
  });

  it('is complete where the script cannot be had: links lead on, the page and what is above it are marked', async () => {
    await cdp('Network.enable', {});
    await cdp('Network.setBlockedURLs', { urls: ['*navigation.js'] });
    try {
      await browser.driver.get(`${site.address}/plants/trees`);
      const marked = await run<string[]>(
        `return [...document.querySelectorAll('nav.zv a[aria-current]')].map((one) => one.getAttribute('aria-current') + ' ' + one.textContent)`,
      );
      expect(marked).toContain('page Trees');
      expect(marked).toContain('true Plant finder');
      const link = await browser.driver.findElement(By.css('.zv-footer a[href^="/"]'));
      const to = await link.getAttribute('href');
      await link.click();
      expect(await browser.driver.getCurrentUrl()).toBe(to);
    } finally {
      await cdp('Network.setBlockedURLs', { urls: [] });
      await cdp('Network.disable', {});
    }
  });
});
