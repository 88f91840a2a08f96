import { createRequire } from 'node:module';
import { Key, type WebElement } from 'selenium-webdriver';
import type { Driver } from 'selenium-webdriver/chrome.js';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { bareSite, type BareSite } from './bareSite.ts';
import type { Person } from './person.ts';
import { enterStage, type Stage } from './stage.ts';

/** The stand-in site on phones: its drawer, lists that fold and step in, and headers that move. */
let stack: Stage['stack'];
let browser: Stage['browser'];
let person: Person;
beforeAll(async () => {
  ({ stack, browser, person } = await enterStage());
});
beforeEach(() => browser.resize(390, 844));
afterAll(() => browser.resize(1280, 800));

const run = <T>(script: string): Promise<T> => browser.driver.executeScript<T>(script);
const cdp = (command: string, parameters: Record<string, unknown>): Promise<unknown> =>
  (browser.driver as Driver).sendDevToolsCommand(command, parameters);
const open = (path: string): Promise<void> => browser.driver.get(stack.site + path);
const button = (): Promise<WebElement> => person.find('.zv-menu-button button');
const isOpen = (): Promise<boolean> =>
  run(`return document.querySelector('.zv-drawer').matches('[open],:target')`);
const openDrawer = async (): Promise<void> => {
  await (await button()).click();
  await person.eventually('the drawer does not open', isOpen);
};
/** What is in the drawer and can be seen, as labels. */
const seen = (css = 'a,button'): Promise<string[]> =>
  run(
    `return [...document.querySelectorAll('.zv-drawer nav :is(${css})')].filter((one) => one.checkVisibility()).map((one) => one.getAttribute('aria-label') ?? one.textContent)`,
  );
const focused = (): Promise<string> =>
  run(`const one = document.activeElement; return one.getAttribute('aria-label') ?? one.textContent`);
const sideways = (): Promise<number> =>
  run('return document.documentElement.scrollWidth - document.documentElement.clientWidth');
/** A finger goes across the drawer by so many px. */
async function swipe(across: number): Promise<void> {
  const from = across > 0 ? 120 : 340;
  const touch = (type: string, x?: number): Promise<unknown> =>
    cdp('Input.dispatchTouchEvent', { type, touchPoints: x === undefined ? [] : [{ x, y: 420 }] });
  await touch('touchStart', from);
  for (const share of [0.3, 0.6, 1]) await touch('touchMove', from + across * share);
  await touch('touchEnd');
}

describe('the drawer', () => {
  it('opens by its button with the focus in it; what is behind is inert and does not scroll; Escape gives the focus back', async () => {
    await open('/plants/trees');
    expect(await run(`return document.querySelector('[aria-label="Main menu"]').checkVisibility()`)).toBe(
      false,
    );
    await openDrawer();
    expect(await focused()).toBe('Close');
    const before = await run<number>('return scrollY');
    await run(`document.querySelector('main a')?.focus(); window.scrollBy(0, 300)`);
    expect(await run(`return document.querySelector('.zv-drawer').contains(document.activeElement)`)).toBe(
      true,
    );
    await browser.driver.actions().move({ x: 20, y: 600 }).perform();
    expect(await run('return getComputedStyle(document.documentElement).overflowY')).toBe('hidden');
    await person.type(Key.ESCAPE);
    await person.eventually('Escape does not close it', async () => !(await isOpen()));
    expect(
      await run(`return document.activeElement === document.querySelector('.zv-menu-button button')`),
    ).toBe(true);
    expect(before).toBe(0);
  });

  it('closes by its button, by a press beside it, by a swipe, and when its window grows', async () => {
    await open('/plants/trees');
    const ways: readonly (() => Promise<unknown>)[] = [
      async () => (await person.find('.zv-close')).click(),
      () => browser.driver.actions().move({ x: 8, y: 500 }).click().perform(),
      () => swipe(160),
      () => browser.resize(1280, 800),
    ];
    for (const [at, close] of ways.entries()) {
      await openDrawer();
      await close();
      await person.eventually(`way ${at} does not close it`, async () => !(await isOpen()));
    }
  });

  it('has everything that the header leaves to it, and targets of 44 px', async () => {
    await open('/about/people');
    await openDrawer();
    for (const label of ['Visit', 'Seed house', 'Opening times', 'Members'])
      expect(await seen('a')).toContain(label);
    const small = await run<string[]>(
      `return [...document.querySelectorAll('.zv-drawer :is(a,button)')].filter((one) => one.checkVisibility()).flatMap((one) => {
        const { width, height } = one.getBoundingClientRect();
        return height < 43.5 || width < 24 ? [one.textContent + ' ' + width + ' ' + height] : [];
      })`,
    );
    expect(small).toEqual([]);
    expect(await sideways()).toBe(0);
  });

  it('folds: the branch of the page is open at first, arrows open others by pointer and by key, and links lead on', async () => {
    await open('/plants/trees');
    await openDrawer();
    expect(await seen('a')).toContain('Shrubs');
    expect(await seen('a')).not.toContain('The fern tea room');
    const visit = await person.find('.zv-drawer button[aria-label="Visit"]');
    await visit.click();
    expect(await visit.getAttribute('aria-expanded')).toBe('true');
    expect(await seen('a')).toContain('The fern tea room');
    await visit.sendKeys(Key.ENTER);
    expect(await seen('a')).not.toContain('The fern tea room');
    await visit.sendKeys(Key.SPACE);
    expect(await seen('a')).toContain('Shrubs');
    await (await person.find('.zv-drawer a[href="/visit/tea-room"]')).click();
    await person.eventually('the link does not lead on', async () =>
      (await browser.driver.getCurrentUrl()).endsWith('/visit/tea-room'),
    );
  });

  it('steps in: one level at a time, a row that leads back with the name of the parent, by pointer, key and swipe', async () => {
    await open('/shop/seeds');
    await openDrawer();
    const top = await seen('a');
    expect(top.slice(0, 3)).toEqual(['Visit', 'The garden', 'Seed house']);
    await (await person.find('.zv-drawer .zv-step-in button[aria-label="Seed house"]')).click();
    expect(await focused()).toContain('Seed house');
    expect(await seen('.zv-step-in a')).toContain('Bulbs for pots');
    expect(await seen('.zv-step-in a')).not.toContain('The garden');
    await person.type(Key.ENTER);
    expect(await focused()).toBe('Seed house');
    expect((await seen('a')).slice(0, 3)).toEqual(top.slice(0, 3));
    await person.type(Key.ENTER);
    expect(await seen('.zv-step-in a')).not.toContain('The garden');
    await swipe(160);
    await person.eventually('the swipe does not step back', async () =>
      (await seen('.zv-step-in a')).includes('The garden'),
    );
    expect(await isOpen()).toBe(true);
    await swipe(160);
    await person.eventually('the second swipe does not close it', async () => !(await isOpen()));
  });
});

describe('what is at the side', () => {
  it('is one button above the content on a phone, and a list beside it on a wide screen', async () => {
    await open('/plants/trees/english-oak');
    const section = await person.find('.zv-section');
    const list = (): Promise<boolean> =>
      run(`return document.querySelector('.zv-side nav').checkVisibility()`);
    expect([await section.getText(), await list()]).toEqual(['In this section', false]);
    await section.click();
    expect([await section.getAttribute('aria-expanded'), await list()]).toEqual(['true', true]);
    expect(await sideways()).toBe(0);
    await section.sendKeys(Key.ENTER);
    expect(await list()).toBe(false);
    await browser.resize(1280, 800);
    expect([await section.isDisplayed(), await list()]).toEqual([false, true]);
    expect(
      await run(`return document.querySelector('.zv-side [aria-current]')?.checkVisibility()`),
      'the branch of the page is open',
    ).toBe(true);
  });
});

describe('without script', () => {
  let bare: BareSite;
  beforeAll(async () => {
    bare = await bareSite(`${stack.delivery}/delivery/v1/sites/quillmere`);
    const page = (script: string): string =>
      `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><link rel="stylesheet" href="/navigation/navigation.css"><style>body{margin:0}</style>${script}<body><!--#include virtual="/navigation/frame/header.html?page=$DOCUMENT_URI" --><main id="content"><h1>Page</h1></main><!--#include virtual="/navigation/frame/footer.html?page=$DOCUMENT_URI" -->`;
    bare.pages.set('*', page(''));
    bare.pages.set('/shop/seeds', page('<script src="/lost/navigation.js" defer></script>'));
  });
  afterAll(() => bare.close());

  it.each([
    ['that runs', '/plants/trees', true],
    ['whose address answers 404', '/shop/seeds', false],
  ])(
    '%s, the drawer shows by its address with all branches open, and closes by a link',
    async (_, path, isOff) => {
      await cdp('Emulation.setScriptExecutionDisabled', { value: isOff });
      try {
        await browser.driver.get(bare.address + path);
        const link = await person.find('.zv-menu-button a');
        await link.sendKeys(Key.ENTER);
        await person.eventually('the drawer does not show', isOpen);
        const labels = await seen('a');
        for (const label of ['Visit', 'The fern tea room', 'Bulbs for pots', 'Opening times'])
          expect(labels).toContain(label);
        expect(await sideways()).toBe(0);
        await (await person.find('.zv-close')).click();
        await person.eventually('the drawer stays', async () => !(await isOpen()));
      } finally {
        await cdp('Emulation.setScriptExecutionDisabled', { value: false });
      }
    },
  );
});

describe('a header', () => {
  const headerTop = (): Promise<{ top: number; bottom: number }> =>
    run(
      `const { top, bottom } = document.querySelector('.zv-header').getBoundingClientRect(); return { top, bottom }`,
    );
  const scrollTo = async (y: number): Promise<void> => {
    await run(`window.scrollTo({ top: ${y}, behavior: 'instant' })`);
    await person.settled();
    await browser.driver.sleep(60);
    await person.settled();
  };
  const long = `document.querySelector('main').insertAdjacentHTML('beforeend', '<p><a href="#x">Link</a> text</p>'.repeat(80))`;

  it('that returns leaves when the page scrolls down, and comes back when it scrolls up or has the focus', async () => {
    for (const [width, height] of [
      [390, 844],
      [1280, 800],
    ] as const) {
      await browser.resize(width, height);
      await open('/about/news/moss-room');
      await run(long);
      await scrollTo(900);
      expect((await headerTop()).bottom, `${width} px, down`).toBeLessThanOrEqual(0);
      await scrollTo(800);
      expect((await headerTop()).top, `${width} px, up`).toBe(0);
      await scrollTo(1200);
      await run(`document.querySelector('.zv-header .zv-logo a').focus({ preventScroll: true })`);
      await person.settled();
      expect((await headerTop()).top, `${width} px, focus`).toBe(0);
    }
  });

  it('that sticks covers nothing that gets the focus, and lets go where it would take a third of the screen', async () => {
    await open('/about/news/moss-room');
    await run(long);
    await scrollTo(1200);
    await run(`[...document.querySelectorAll('main a')].at(-1).focus()`);
    for (let step = 0; step < 30; step += 1)
      await (await person.focused()).sendKeys(Key.chord(Key.SHIFT, Key.TAB));
    await person.settled();
    const [top, bottom] = await run<[number, number]>(
      `return [document.activeElement.getBoundingClientRect().top, document.querySelector('.zv-header').getBoundingClientRect().bottom]`,
    );
    expect(top).toBeGreaterThanOrEqual(bottom - 0.5);
    for (const [width, height] of [
      [844, 390],
      [640, 390],
      [390, 640],
      [390, 768],
    ] as const) {
      await browser.resize(width, height);
      await scrollTo(900);
      await scrollTo(700);
      const covered = await run<number>(
        `const { top, bottom } = document.querySelector('.zv-header').getBoundingClientRect(); return Math.max(0, bottom - Math.max(0, top)) / innerHeight`,
      );
      expect(covered, `${width} x ${height}`).toBeLessThanOrEqual(1 / 3);
    }
  });

  it('over the content is transparent until it is scrolled or used, and moves nothing', async () => {
    await browser.resize(1280, 800);
    await open('/');
    const look = (): Promise<string> =>
      run(`return getComputedStyle(document.querySelector('.zv-header')).backgroundImage`);
    expect(await look()).toContain('gradient');
    expect(await run(`return document.querySelector('main').getBoundingClientRect().top`)).toBe(0);
    await browser.driver.actions().move({ x: 640, y: 90 }).perform();
    await person.eventually('it stays transparent under the pointer', async () => (await look()) === 'none');
    expect(await run(`return document.querySelector('main').getBoundingClientRect().top`)).toBe(0);
    await browser.driver.actions().move({ x: 640, y: 700 }).perform();
  });
});

describe('every page', () => {
  it.each([
    [1280, 800],
    [1024, 768],
    [820, 1180],
    [640, 390],
    [390, 844],
    // 1280 by 1024 px at a zoom of 400 %.
    [320, 256],
  ])('does not scroll sideways at %d by %d px, with the drawer closed or open', async (width, height) => {
    await browser.resize(width, height);
    for (const path of [
      '/',
      '/plants/trees/english-oak',
      '/about/news/moss-room',
      '/shop/tools/digging/digging-fork',
    ]) {
      await open(path);
      expect(await sideways(), path).toBe(0);
      if (!(await (await button()).isDisplayed())) continue;
      await openDrawer();
      expect(await sideways(), `${path}, open`).toBe(0);
      expect(
        await run(
          `const { left, right } = document.querySelector('.zv-drawer').getBoundingClientRect(); return left >= 0 && right <= innerWidth`,
        ),
        path,
      ).toBe(true);
      await person.type(Key.ESCAPE);
    }
  });

  it('has nothing for axe to find on a phone: closed, drawer open, stepped in, side open', async () => {
    const axe = createRequire(import.meta.url).resolve('axe-core/axe.min.js');
    const { readFile } = await import('node:fs/promises');
    const source = await readFile(axe, 'utf8');
    const violations = async (): Promise<string[]> => {
      await person.settled();
      await run(source);
      return browser.driver.executeAsyncScript<string[]>(
        `const done = arguments[arguments.length - 1];
         axe.run({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] }).then(({ violations }) => done(violations.map(({ id, nodes }) => id + ': ' + nodes.map(({ html }) => html.slice(0, 120)).join(' | '))));`,
      );
    };
    await open('/');
    expect(await violations(), 'start page').toEqual([]);
    await open('/shop/seeds');
    expect(await violations(), 'closed').toEqual([]);
    await openDrawer();
    expect(await violations(), 'open').toEqual([]);
    await (await person.find('.zv-drawer .zv-step-in button[aria-label="Seed house"]')).click();
    expect(await violations(), 'stepped in').toEqual([]);
    await open('/plants/trees/english-oak');
    await (await person.find('.zv-section')).click();
    expect(await violations(), 'side').toEqual([]);
  });
});
