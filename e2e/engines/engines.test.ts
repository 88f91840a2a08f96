import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openStack, type OwnStack } from '../stack.ts';
import { engines, type Engine } from './engine.ts';

/** The navigation of the stand-in site in each engine that is installed here. */
let stack: OwnStack;
beforeAll(async () => {
  stack = await openStack();
}, 120_000);
afterAll(() => stack.remove());

const PHONE = { width: 390, height: 700 };

/** The page in the window, or in an iframe that is as wide as a phone. */
class Page {
  #isPhone = false;

  constructor(readonly engine: Engine) {}

  async wide(path: string): Promise<void> {
    this.#isPhone = false;
    await this.engine.open(stack.site + path);
  }

  /** `sandbox`: with `allow-same-origin` alone, no script runs in it. */
  async phone(path: string, sandbox = 'allow-scripts allow-same-origin'): Promise<void> {
    this.#isPhone = false;
    await this.engine.open(`${stack.site}/about`);
    await this.run(
      `document.body.innerHTML = '<iframe id="phone" sandbox="${sandbox}" style="position:fixed;inset:0 auto auto 0;z-index:99;border:0;background:#fff;width:${PHONE.width}px;height:${PHONE.height}px" src="${path}"></iframe>';`,
    );
    await this.until(
      'the phone shows nothing',
      `const frame = document.querySelector('#phone'); return frame.contentDocument?.readyState === 'complete' && frame.contentDocument.querySelector('.zv-header') !== null`,
    );
    this.#isPhone = true;
  }

  run<T>(script: string): Promise<T> {
    return this.engine.run(
      this.#isPhone
        ? `const outer = document.querySelector('#phone'); return (function (window, document) {${script}})(outer.contentWindow, outer.contentDocument);`
        : script,
    );
  }

  async until(what: string, script: string): Promise<void> {
    for (let tries = 0; tries < 100; tries += 1) {
      if (await this.run<boolean>(script).catch(() => false)) return;
      await new Promise((done) => setTimeout(done, 50));
    }
    throw new Error(`${this.engine.name}: ${what}`);
  }

  /** Presses the middle of the first such element that is seen. */
  async press(css: string): Promise<void> {
    const seen = `[...document.querySelectorAll(${JSON.stringify(css)})].find((one) => one.getClientRects().length > 0)`;
    await this.until(`nothing like ${css}`, `return ${seen} !== undefined`);
    const { x, y } = await this.run<{ x: number; y: number }>(
      `const one = ${seen}; one.scrollIntoView({ block: 'nearest' }); const { left, top, width, height } = one.getBoundingClientRect(); return { x: left + width / 2, y: top + height / 2 }`,
    );
    await this.engine.press(x, y);
  }

  shows(css: string): string {
    return `return [...document.querySelectorAll(${JSON.stringify(css)})].some((one) => one.getClientRects().length > 0)`;
  }
}

const DRAWER = `document.querySelector('.zv-drawer')`;
const IS_OPEN = `return ${DRAWER}.getClientRects().length > 0`;
const IS_CLOSED = `return ${DRAWER}.getClientRects().length === 0`;

describe.each(engines)('$name', ({ start }) => {
  let page: Page;
  beforeAll(async () => {
    page = new Page(await start());
  }, 60_000);
  afterAll(() => page.engine.close());

  it('opens a panel inside the screen, goes into it by Tab, and Escape closes it and gives the focus back', async () => {
    await page.wide('/visit');
    await page.until(
      'the script does not start',
      `return document.querySelector('.zv-bar[data-zv-on]') !== null`,
    );
    await page.press('[aria-label="Main menu"] button[aria-label="Seed house"]');
    await page.until(
      'the panel does not open',
      page.shows('[aria-label="Main menu"] a[href="/shop/bulbs/alliums"]'),
    );
    const { left, right } = await page.run<{ left: number; right: number }>(
      `const { left, right } = document.querySelector('button[aria-expanded=true] ~ .zv-panel').getBoundingClientRect(); return { left, right }`,
    );
    expect(left).toBeGreaterThanOrEqual(0);
    expect(right).toBeLessThanOrEqual(await page.run<number>('return document.documentElement.clientWidth'));
    await page.run(`document.querySelector('button[aria-expanded=true]').focus()`);
    await page.engine.key('Tab');
    expect(await page.run(`return document.activeElement.closest('.zv-panel') !== null`)).toBe(true);
    await page.engine.key('Escape');
    await page.until(
      'Escape does not close it',
      `return document.querySelector('.zv-bar button[aria-expanded=true]') === null`,
    );
    expect(await page.run(`return document.activeElement.getAttribute('aria-label')`)).toBe('Seed house');
  });

  it('opens a dropdown list without script, for the focus', async () => {
    await page.phone('/', 'allow-same-origin');
    await page.run(`outer.style.width = '1100px'`.replace('outer', `document.defaultView.frameElement`));
    // What is not displayed yet cannot get the focus: the frame is wide only once it has been laid out anew.
    await page.until('the bar does not come', page.shows('[aria-label="Main menu"] a[href="/garden"]'));
    await page.run(`document.querySelector('[aria-label="Main menu"] a[href="/garden"]').focus()`);
    await page.until(
      'the branch does not open',
      page.shows('[aria-label="Main menu"] a[href="/garden/orchard"]'),
    );
  });

  it('opens the drawer with the focus in it, and Escape gives it back; the branch of the page is open', async () => {
    await page.phone('/plants/trees');
    await page.press('.zv-menu-button button');
    await page.until('it does not open', IS_OPEN);
    expect(await page.run(`return ${DRAWER}.contains(document.activeElement)`)).toBe(true);
    expect(await page.run(page.shows('.zv-drawer a[href="/plants/shrubs"]'))).toBe(true);
    await page.press('.zv-drawer button[aria-label="Visit"]');
    await page.until('the branch does not open', page.shows('.zv-drawer a[href="/visit/tea-room"]'));
    await page.engine.key('Escape');
    await page.until('Escape does not close it', IS_CLOSED);
    expect(await page.run(`return document.activeElement.matches('.zv-menu-button button')`)).toBe(true);
  });

  it('steps in and back', async () => {
    await page.phone('/shop/seeds');
    await page.press('.zv-menu-button button');
    await page.press('.zv-drawer .zv-step-in button[aria-label="Seed house"]');
    await page.until(
      'it does not step in',
      page.shows('.zv-drawer .zv-step-in a[href="/shop/bulbs/alliums"]'),
    );
    expect(await page.run(page.shows('.zv-drawer .zv-step-in a[href="/garden"]'))).toBe(false);
    await page.press('.zv-drawer .zv-back button');
    await page.until('it does not step back', page.shows('.zv-drawer .zv-step-in a[href="/garden"]'));
  });

  it('folds what is at the side', async () => {
    await page.phone('/plants/trees/english-oak');
    expect(await page.run(page.shows('.zv-side nav'))).toBe(false);
    await page.press('.zv-section');
    await page.until('the side does not open', page.shows('.zv-side nav'));
  });

  it('lets the header leave, and return when the page scrolls up', async () => {
    await page.phone('/about/news/moss-room');
    await page.run(
      `document.querySelector('main').insertAdjacentHTML('beforeend', '<p>Text</p>'.repeat(80))`,
    );
    const scroll = (y: number): Promise<void> => page.run(`window.scrollTo(0, ${y})`);
    const top = `document.querySelector('.zv-header').getBoundingClientRect()`;
    await scroll(900);
    await page.until('it does not leave', `return ${top}.bottom <= 0.5`);
    await scroll(700);
    await page.until('it does not return', `return Math.abs(${top}.top) < 0.5`);
  });

  it('shows the drawer by its address where no script runs, with all branches', async () => {
    await page.phone('/visit', 'allow-same-origin');
    await page.press('.zv-menu-button a');
    await page.until('it does not show', IS_OPEN);
    for (const href of ['/garden/orchard', '/shop/bulbs/alliums', '/membership'])
      expect(await page.run(page.shows(`.zv-drawer a[href="${href}"]`)), href).toBe(true);
    await page.press('.zv-close');
    await page.until('it does not close', IS_CLOSED);
  });
});
