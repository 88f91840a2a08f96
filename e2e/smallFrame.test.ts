import { By, Key, type WebElement } from 'selenium-webdriver';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import {
  areaFacts,
  areaId,
  arrangementOf,
  lostParts,
  partsIn,
  type Part,
  type SiteDocument,
} from '@zorvik/core';
import type { Person } from './person.ts';
import { enterStage, type Stage } from './stage.ts';
import { storedSite } from './storedSite.ts';

/** Small screens composed in Frame: the narrow screen, the drawer, arrangements, and what the header does. */
let stack: Stage['stack'];
let browser: Stage['browser'];
let person: Person;
beforeAll(async () => {
  ({ stack, browser, person } = await enterStage());
});
afterAll(() => browser.resize(1280, 800));
// What a journey has changed is taken back, whether it came to its end or not.
afterEach(() => undoAll());

const stored = (): Promise<SiteDocument> => storedSite(stack, person);
const inFrame = async <T>(title: string, act: () => Promise<T>): Promise<T> => {
  const { driver } = browser;
  await driver.switchTo().frame(await person.find(`iframe[title="${title}"]`));
  try {
    return await act();
  } finally {
    await driver.switchTo().defaultContent();
  }
};
const inWide = <T>(act: () => Promise<T>): Promise<T> => inFrame('Live page', act);
const inNarrow = <T>(act: () => Promise<T>): Promise<T> => inFrame('Live page on a narrow screen', act);
const run = <T>(script: string): Promise<T> => browser.driver.executeScript<T>(script);
const seen = (css: string): Promise<boolean> =>
  run(`return [...document.querySelectorAll(${JSON.stringify(css)})].some((one) => one.checkVisibility())`);
/** A row of the tree, by what it says; the first one, or a later one. */
const row = (word: string, nth = 0): Promise<WebElement> =>
  // Asked for at once: many questions side by side make the driver slow.
  person.eventually(`no row ${word}`, () =>
    browser.driver.executeScript<WebElement | null>(
      `return [...document.querySelectorAll('[aria-label="Frame contents"] [role=treeitem]')].filter((one) => one.querySelector('.word').innerText.trim() === arguments[0])[arguments[1]] ?? null`,
      word,
      nth,
    ),
  );
let actions = 0;
const act = async (what: () => Promise<unknown>): Promise<void> => {
  actions += 1;
  await what();
};
const select = (word: string, nth = 0): Promise<void> => act(async () => (await row(word, nth)).click());
const choose = (label: string): Promise<void> =>
  act(async () => (await person.byText('label', label)).click());
const openFrame = async (narrow = true): Promise<void> => {
  await browser.driver.get(`${stack.editor}/design`);
  await run(`localStorage.setItem('zorvik-narrow-picture', '${narrow ? 'yes' : 'no'}')`);
  await browser.driver.get(`${stack.editor}/quillmere/frame`);
  await inWide(() => person.eventually('no header', () => seen('.zv-header .zv-logo')));
};
const undoAll = async (): Promise<void> => {
  await (await person.find('[aria-label="Frame contents"]')).click();
  for (let at = 0; at < 40; at += 1) {
    if (
      (await browser.driver.findElements(By.css('button[aria-label="Undo"]:not([aria-disabled=true])')))
        .length === 0
    )
      return;
    await (await person.find('[aria-label="Frame contents"]')).sendKeys(Key.chord(Key.CONTROL, 'z'));
  }
};
const field = (label: string): Promise<WebElement> =>
  person.eventually(`no field ${label}`, async () => {
    const [found] = await browser.driver.findElements(
      By.xpath(`//input[@id=//label[normalize-space(.)="${label}"]/@for]`),
    );
    return found;
  });
const fill = async (label: string, text: string): Promise<void> => {
  await (await field(label)).sendKeys(Key.chord(Key.CONTROL, 'a'), text, Key.ENTER);
};
/** What is said of the selected part on small screens. */
const says = (text: string): Promise<unknown> =>
  person.eventually(`it does not say ${text}`, async () => {
    const [found] = await browser.driver.findElements(By.css('.reach p'));
    return (await found?.getText())?.startsWith(text) === true;
  });
const usesIn = (document: SiteDocument): string[] =>
  partsIn(document, areaId('drawer')).flatMap((one) =>
    one.kind === 'use' ? [document.parts.nodes.get(one.of)?.kind ?? 'gone'] : [],
  );
const headerPart = (document: SiteDocument, kind: Part['kind']): Part | undefined =>
  partsIn(document, areaId('header')).find((one) => one.kind === kind);

describe('the narrow screen', () => {
  it('is beside the wide one, at any width, with its drawer open or closed, and has the same selection', async () => {
    await openFrame();
    expect(await inWide(() => seen('[aria-label="Main menu"]'))).toBe(true);
    expect(await inNarrow(() => seen('[aria-label="Main menu"]'))).toBe(false);
    expect(await inNarrow(() => run('return innerWidth'))).toBe(390);
    await select('Quillmere');
    for (const inPicture of [inWide, inNarrow])
      await person.eventually('the logo is not marked', () => inPicture(() => seen('.marks .mark')));
    const width = await person.find('[aria-label="Width of the narrow screen in pixels"]');
    await width.sendKeys(Key.chord(Key.CONTROL, 'a'), '320', Key.ENTER);
    await person.eventually(
      'it is not 320 px wide',
      async () => (await inNarrow(() => run('return innerWidth'))) === 320,
    );
    await width.sendKeys(Key.chord(Key.CONTROL, 'a'), '900', Key.ENTER);
    await person.eventually('it is not 900 px wide', () => inNarrow(() => seen('[aria-label="Main menu"]')));
    await width.sendKeys(Key.chord(Key.CONTROL, 'a'), '390', Key.ENTER);
    await person.click('Drawer');
    await person.eventually('the drawer does not open', () => inNarrow(() => seen('.zv-drawer')));
    await person.click('Drawer');
    await person.eventually('the drawer does not close', () =>
      inNarrow(async () => !(await seen('.zv-drawer'))),
    );
    await person.click('Try it');
    await person.click('Hide narrow screen');
    // Hiding a picture does not end the trial in the other one.
    await person.click('Back to composing');
    expect(await browser.driver.findElements(By.css('iframe[title$="narrow screen"]'))).toHaveLength(0);
    await person.click('Show narrow screen');
    await person.find('iframe[title$="narrow screen"]');
  });
});

describe('a drawer', () => {
  it('with menu, search and phone is made from nothing in at most six actions; what is hidden elsewhere is found, and added', async () => {
    await openFrame();
    await select('Drawer');
    await person.click('Remove drawer');
    await person.eventually('the drawer stays', async () => usesIn(await stored()).length === 0);
    actions = 0;
    await act(() => person.click('Add drawer'));
    await person.eventually('the drawer does not show', () =>
      inNarrow(() => seen('.zv-drawer .zv-accordion')),
    );
    expect(usesIn(await stored())).toEqual(['contact', 'placement', 'placement']);
    await select('Main menu');
    await act(async () => (await person.find('[aria-label="Frame contents"]')).sendKeys('p'));
    const part = await person.find('input[aria-label="Part to add"]');
    await part.sendKeys('sea');
    await act(() => part.sendKeys(Key.ENTER));
    await person.eventually('the search is not in the drawer', () =>
      inNarrow(() => seen('.zv-drawer [type=search]')),
    );
    expect(actions).toBeLessThanOrEqual(6);
    expect(usesIn(await stored())).toEqual(['contact', 'placement', 'placement', 'search']);
    expect(lostParts(await stored())).toEqual([]);

    // The last one is what the drawer shows again.
    await select('Search', 1);
    await person.click('Remove');
    await person.eventually('it stays', async () => !usesIn(await stored()).includes('search'));
    await select('Search');
    await person.eventually('the header does not show it', () =>
      inNarrow(() => seen('.zv-header [type=search]')),
    );
    const narrow = await person.byText('label', 'narrow');
    const headHeight = (): Promise<number> =>
      browser.driver.executeScript<number>(`return document.querySelector('main .head').offsetHeight`);
    const height = await headHeight();
    await narrow.click();
    await person.byText('button', '1 part missing on small screens');
    expect(await headHeight(), 'what is to be checked takes no line of its own').toBe(height);
    await person.click('1 part missing on small screens');
    await says('Visitors can’t reach this on narrow screens.');
    await person.click('Add to drawer');
    await person.eventually('the finding stays', async () => lostParts(await stored()).length === 0);
    expect(await browser.driver.findElements(By.css('.reach'))).toHaveLength(0);

    // Without its button, nobody gets to what is in it.
    await select('menu button');
    await (await person.byText('label', 'narrow')).click();
    await person.click('4 parts missing on small screens');
    await says('Visitors can’t reach this on narrow screens: the menu button is hidden there.');
    await person.click('Go to the menu button');
    await person.eventually(
      'the button is not selected',
      async () => (await (await person.find('.strip h2')).getText()) === 'menu button',
    );
  });

  it('takes over below a number, always or never, on one ruler that says what is between the three widths', async () => {
    await openFrame();
    await select('Drawer');
    await person.byText(
      'p',
      'below 768 px: narrow, drawer · 768 to 1023 px: medium, header · from 1024 px: wide, header',
    );
    await fill('Takes over below (px)', '900');
    await person.byText(
      'p',
      'below 768 px: narrow, drawer · 768 to 899 px: medium, drawer · 900 to 1023 px: medium, header · from 1024 px: wide, header',
    );
    await fill('Takes over below (px)', 'wide');
    await person.byText('p', 'Use a whole number from 240 to 3000 px.');
    await fill('Takes over below (px)', '900');
    await fill('Medium from (px)', '1100');
    await person.byText('p', 'Medium has to begin below wide, which begins at 1024 px.');
    await fill('Medium from (px)', '768');
    await choose('always');
    await person.eventually('the wide screen has no menu button', () =>
      inWide(() => seen('.zv-menu-button')),
    );
    await choose('never');
    await person.eventually('the narrow screen has no menu', () =>
      inNarrow(() => seen('[aria-label="Main menu"]')),
    );
    await choose('below a width');
    await choose('full screen');
    expect(areaFacts(await stored(), 'drawer')).toEqual({ comesFrom: 'full' });
    await select('menu button');
    await act(async () => (await person.find('input[type=radio][value=grid]')).click());
    await fill('Word', 'Browse');
    await person.eventually(
      'the button has no word',
      async () => headerPart(await stored(), 'menuButton')?.text === 'Browse',
    );
    expect(headerPart(await stored(), 'menuButton')).toMatchObject({ sign: 'grid', text: 'Browse' });
  });

  it('is as wide as it was dragged on the picture, and its menus fold, step in or stay open', async () => {
    await openFrame(false);
    await person.click('narrow');
    await select('Drawer');
    await person.click('Drawer');
    await inWide(async () => {
      await person.eventually('the drawer does not show', () => seen('.zv-drawer'));
      const grip = await person.find('.grip.beside');
      await browser.driver.actions().move({ origin: grip }).press().move({ origin: grip, x: 60 }).perform();
      await person.byText('span', '290 px');
      await browser.driver.actions().release().perform();
    });
    await person.eventually(
      'it is not kept',
      async () => areaFacts(await stored(), 'drawer').areaWidth === 290,
    );

    await select('Main menu', 1);
    const isFolding = (css: string) => (): Promise<boolean> =>
      inWide(
        async () => (await run<number>(`return document.querySelectorAll('.zv-drawer ${css}').length`)) > 0,
      );
    await act(async () => (await person.find('.page .shown')).click());
    await (await person.find('input[aria-label="Find a page to look at"]')).sendKeys('Trees');
    await person.eventually('no such page', async () => {
      const [first] = await browser.driver.findElements(By.css('.page [role=option].on .name'));
      return (await first?.getText()) === 'Trees';
    });
    await person.type(Key.ENTER);
    await person.eventually('it does not fold', isFolding('.zv-accordion'));
    await choose('step in');
    await person.eventually('it does not step in', isFolding('.zv-step-in .zv-back'));
    await choose('always open');
    await person.eventually(
      'it folds',
      async () => !(await isFolding('.zv-folds[aria-label="Main menu"]')()),
    );
    await choose('accordion');
    await choose('all');
    await choose('one at a time');
    await choose('whole row');
    await person.eventually('rows do not open it', isFolding('.zv-single .zv-self'));
  });
});

describe('an arrangement', () => {
  it('gives the narrow screen another order in at most five actions, and the wide one keeps its own', async () => {
    await openFrame();
    const order = (inPicture: typeof inWide): Promise<string> =>
      inPicture(() =>
        run<string>(
          `return [...document.querySelectorAll('.zv-header .zv-logo, .zv-header .zv-menu-button')].filter((one) => one.checkVisibility()).sort((a, b) => a.getBoundingClientRect().left - b.getBoundingClientRect().left).map((one) => one.className.split(' ')[0]).join(' ')`,
        ),
      );
    expect(await order(inNarrow)).toBe('zv-logo zv-menu-button');
    actions = 0;
    await act(() => person.click('Arrange separately'));
    await person.byText('button', 'Arranged separately');
    await select('menu button', 1);
    await choose('start');
    await act(async () =>
      (await person.find('[aria-label="Frame contents"]')).sendKeys(Key.chord(Key.ALT, Key.ARROW_UP)),
    );
    await act(async () =>
      (await person.find('[aria-label="Frame contents"]')).sendKeys(Key.chord(Key.ALT, Key.ARROW_UP)),
    );
    expect(actions).toBeLessThanOrEqual(5);
    await person.eventually(
      'the order is the old one',
      async () => (await order(inNarrow)) === 'zv-menu-button zv-logo',
    );
    const document = await stored();
    expect(arrangementOf(document, 'header', 'narrow').length).toBeGreaterThan(1);
    expect(await inWide(() => seen('[aria-label="Main menu"]'))).toBe(true);
    await person.click('Arranged separately');
    await person.eventually(
      'the order stays',
      async () => (await order(inNarrow)) === 'zv-logo zv-menu-button',
    );
  });

  it('says what it does not show, and takes it', async () => {
    await openFrame();
    await person.click('Arrange separately');
    await person.byText('button', 'Arranged separately');
    await select('centre', 1);
    await act(async () => (await person.find('[aria-label="Frame contents"]')).sendKeys('p'));
    const part = await person.find('input[aria-label="Part to add"]');
    await part.sendKeys('social', Key.ENTER);
    await person.click('1 part missing on small screens');
    await says('Not placed on narrow.');
    await person.click('Place it on narrow');
    await person.eventually('it does not show', () => inNarrow(() => seen('.zv-header .zv-social')));
  });
});

describe('the header', () => {
  it('becomes vertical and horizontal again in two actions, loses nothing, and is as wide as it was dragged', async () => {
    await openFrame(false);
    const html = (): Promise<string> =>
      inWide(() => run(`return document.querySelector('.zv-header').outerHTML`));
    await select('Header');
    const before = await html();
    actions = 0;
    await choose('vertical, at the start');
    await person.eventually('it is not vertical', () =>
      inWide(() =>
        run(
          `const { width, height } = document.querySelector('.zv-header').getBoundingClientRect(); return height > width`,
        ),
      ),
    );
    expect(
      await inWide(() => run(`return document.querySelector('main').getBoundingClientRect().left >= 240`)),
    ).toBe(true);
    await choose('horizontal');
    expect(actions).toBe(2);
    await person.eventually('it is not as it was', async () => (await html()) === before);
    await choose('vertical, at the end');
    await inWide(async () => {
      const grip = await person.find('.grip.beside');
      await browser.driver.actions().move({ origin: grip }).press().move({ origin: grip, x: -50 }).perform();
      await person.byText('span', '290 px');
      await browser.driver.actions().release().perform();
    });
    await person.eventually(
      'it is not kept',
      async () => areaFacts(await stored(), 'header').areaWidth === 290,
    );
    await choose('centre');
    expect(areaFacts(await stored(), 'header')).toEqual({ vertical: 'end', areaWidth: 290, isCentred: true });
  });

  it('sticks, returns, is lower or lies over the content, on the pages that changes apply to; the picture holds it scrolled', async () => {
    await openFrame(false);
    await select('Header');
    const classes = (): Promise<string> =>
      inWide(() => run(`return document.querySelector('.zv-header').className`));
    await choose('stays');
    await choose('lower');
    await person.eventually('it does not stay', async () => (await classes()).includes('zv-sticky zv-lower'));
    const height = (): Promise<number> =>
      inWide(() => run(`return document.querySelector('.zv-header').offsetHeight`));
    const full = await height();
    await choose('scrolled');
    await person.eventually('it is not lower', async () => (await height()) < full);
    expect(await classes()).not.toContain('zv-over-content');
    await choose('as loaded');
    await choose('template “home”');
    await choose('above the content');
    await person.eventually(
      'it lies over the content',
      async () => !(await classes()).includes('zv-overlaid'),
    );
    await person.byText('li', 'the template “home” above the content · applies on this page');
  });
});
