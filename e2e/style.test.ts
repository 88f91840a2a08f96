import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By, Key, type WebElement } from 'selenium-webdriver';
import sharp from 'sharp';
import { beforeAll, describe, expect, it } from 'vitest';
import type { SiteDocument } from '@zorvik/core';
import type { Person } from './person.ts';
import { enterStage, type Stage } from './stage.ts';
import { storedSite } from './storedSite.ts';

/** Looks set on the state sheet, by pointer and by keys, and delivered. */
let stack: Stage['stack'];
let browser: Stage['browser'];
let person: Person;
beforeAll(async () => {
  ({ stack, browser, person } = await enterStage());
  await browser.driver.get(`${stack.editor}/quillmere/style`);
  await person.find('[role=gridcell]');
});

const stored = (): Promise<SiteDocument> => storedSite(stack, person);
const run = <T>(script: string, ...given: unknown[]): Promise<T> =>
  browser.driver.executeScript<T>(script, ...given);
const cellButton = async (name: string): Promise<WebElement> => {
  const cell = await person.find(`[role=gridcell][aria-label="${name}"]`);
  // The row of states lies over what is scrolled below it.
  await run(`arguments[0].scrollIntoView({ block: 'center' })`, cell);
  return cell;
};
const field = (name: string): Promise<WebElement> =>
  person.eventually(`no field ${name}`, async () => {
    const xpath = `//section[@aria-label='Values']//label[normalize-space(.)='${name}']/following-sibling::*//input`;
    return (await browser.driver.findElements(By.xpath(xpath)))[0];
  });
const originOf = async (name: string): Promise<string> =>
  run(`return arguments[0].closest('.value').querySelector('.origin').textContent.trim()`, await field(name));
async function type(name: string, value: string): Promise<void> {
  const input = await field(name);
  await input.click();
  await input.sendKeys(Key.chord(Key.CONTROL, 'a'), value, Key.ENTER);
}

/** What the cell of a row and state shows of its element: some computed values. */
async function drawn(row: string, state: string, names: readonly string[]): Promise<Record<string, string>> {
  const [at, column] = await run<[number, number]>(
    `const button = document.querySelector(arguments[0]); const row = button.closest('[role=row]');
     return [[...document.querySelectorAll('[role=row]')].indexOf(row), parseFloat(button.style.insetInlineStart)];`,
    `[role=gridcell][aria-label="${row}, ${state}"]`,
  );
  const top = await run<number>(
    `return parseFloat(document.querySelectorAll('[role=row]')[arguments[0]].style.insetBlockStart)`,
    at,
  );
  const left = await run<number>(
    `return parseFloat(document.querySelector('iframe[title="State sheet"]').style.insetInlineStart)`,
  );
  const iframe = await person.find('iframe[title="State sheet"]');
  await browser.driver.switchTo().frame(iframe);
  try {
    return await run<Record<string, string>>(
      `const [top, left, names] = arguments;
       const cell = [...document.querySelectorAll('.cell')].find((one) => Math.abs(parseFloat(one.style.insetBlockStart) - top - 4) < 1 && Math.abs(parseFloat(one.style.insetInlineStart) - left) < 1);
       const style = getComputedStyle(cell.querySelector('[data-specimen]'));
       return Object.fromEntries(names.map((name) => [name, style.getPropertyValue(name)]));`,
      top,
      column - left,
      names,
    );
  } finally {
    await browser.driver.switchTo().defaultContent();
  }
}
const showsIn = (row: string, state: string, name: string, value: string): Promise<true> =>
  person.eventually(
    `${row}, ${state} does not show ${value}`,
    async () => (await drawn(row, state, [name]))[name] === value,
  );

const BAR = 'Bar entries with a dropdown, Main menu';
const SECOND = 'Bar entries, Second bar';

describe('a picture behind the header', () => {
  it('is uploaded where it is set, makes text hard to read, and gets the overlay that it needs in one press', async () => {
    await person.lookAt('Trees');
    const folder = await mkdtemp(join(tmpdir(), 'zorvik-'));
    const file = join(folder, 'autumn-hedge.png');
    const dots = Buffer.from(
      Array.from({ length: 640 * 200 * 3 }, (_, at) => (Math.floor(at / 3 / 80) % 2 === 0 ? 60 : 200)),
    );
    await writeFile(
      file,
      await sharp(dots, { raw: { width: 640, height: 200, channels: 3 } })
        .png()
        .toBuffer(),
    );
    try {
      await (await person.byText('label', 'surfaces')).click();
      await (await cellButton('Header, Header, normal')).click();
      await (
        await person.find('input[type=file][aria-label="Picture for Picture or gradient"]')
      ).sendKeys(file);
      await person.eventually('the picture is not set', async () =>
        [...(await stored()).styles.nodes.values()].some(
          ({ backgroundImage }) => backgroundImage === '@autumn-hedge',
        ),
      );
      await (await person.byText('label', 'text and links')).click();
      const fix = await person.eventually(
        'no overlay is offered',
        async () =>
          (
            await browser.driver.findElements(
              By.xpath("//button[contains(@class,'fix') and normalize-space(.)='add an overlay']"),
            )
          )[0],
      );
      await run(`arguments[0].scrollIntoView({ block: 'center' })`, fix);
      await fix.click();
      await person.eventually('the overlay is not set', async () =>
        [...(await stored()).styles.nodes.values()].some(({ backgroundImage = '' }) =>
          /^linear\(180deg, #(?:000000|ffffff)[0-9a-f]{2}, #(?:000000|ffffff)[0-9a-f]{2}\) @autumn-hedge$/.test(
            backgroundImage,
          ),
        ),
      );
    } finally {
      await rm(folder, { recursive: true, force: true });
      for (let undone = 0; undone < 2; undone += 1) {
        await person.kept();
        await browser.driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
      }
      await person.eventually('it is not as it was', async () =>
        [...(await stored()).tokens.nodes.values()].every(({ of }) => of !== 'picture'),
      );
    }
  });
});

describe('the state sheet', () => {
  it('has a row for each thing that the page has, and cells in the states that it can be in', async () => {
    await person.lookAt('Trees');
    await cellButton(`${BAR}, hover`);
    const wanted = [
      'Bar entries with a dropdown',
      'Logos',
      'Side menu, first level',
      'Footer headings',
      'Panel links',
    ];
    await person.eventually('not all rows are there', async () => {
      const names = await run<string[]>(
        `return [...document.querySelectorAll('[role=rowheader]')].map((one) => one.innerText)`,
      );
      return wanted.every((one) => names.some((name) => name.startsWith(one)));
    });
    expect(
      await browser.driver.findElements(By.css(`[role=gridcell][aria-label="${BAR}, open"]`)),
    ).toHaveLength(1);
    expect(
      await browser.driver.findElements(By.css('[role=gridcell][aria-label="Logos, Quillmere, open"]')),
    ).toHaveLength(0);
  });

  it('shows what the page shows: under a real pointer, with the real focus, on the current page', async () => {
    const names = [
      'color',
      'background-color',
      'text-decoration-line',
      'outline-style',
      'outline-width',
      'padding-inline-start',
      'font-weight',
      'border-top-left-radius',
    ];
    const cells: Record<string, Record<string, string>> = {};
    for (const state of ['normal', 'hover', 'focus']) cells[state] = await drawn(BAR, state, names);
    await browser.driver.switchTo().newWindow('tab');
    try {
      await browser.driver.get(`${stack.site}/plants/trees`);
      const entry = await person.find('[aria-label="Main menu"]>ul>li>a[href="/visit"]');
      const read = (): Promise<Record<string, string>> =>
        run(
          `const style = getComputedStyle(arguments[0]); return Object.fromEntries(arguments[1].map((name) => [name, style.getPropertyValue(name)]))`,
          entry,
          names,
        );
      // The fonts of the stand-in site are its own; its colours are set on the page in both.
      expect(await read()).toEqual(cells.normal);
      await browser.driver.actions().move({ origin: entry }).perform();
      expect(await read()).toEqual(cells.hover);
      await browser.driver.actions().move({ x: 4, y: 700 }).perform();
      await run(`arguments[0].focus({ focusVisible: true })`, entry);
      expect(await read()).toEqual(cells.focus);
    } finally {
      await browser.driver.close();
      const [first] = await browser.driver.getAllWindowHandles();
      if (first !== undefined) await browser.driver.switchTo().window(first);
    }
  });

  it('is walked by arrows, from cell to cell', async () => {
    // The skip link leads into it, past all that the picture of the header has.
    await run(`document.querySelector('.skip').focus()`);
    await person.type(Key.ENTER);
    expect(await (await person.focused()).getAttribute('role')).toBe('gridcell');
    await (await cellButton(`${BAR}, normal`)).click();
    await (await cellButton(`${BAR}, normal`)).sendKeys(Key.ARROW_RIGHT);
    const label = async (): Promise<string> =>
      (await (await person.focused()).getAttribute('aria-label')) ?? '';
    await person.eventually(
      'the arrow does not lead to the right',
      async () => (await label()) === `${BAR}, within current`,
    );
    await (await person.focused()).sendKeys(Key.ARROW_DOWN);
    await person.eventually('the arrow does not lead down', async () => !(await label()).startsWith(BAR));
  });
});

describe('a value', () => {
  it('is set everywhere, here, or for one thing alone, shows at once, and says where it comes from', async () => {
    await (await cellButton(`${BAR}, hover`)).click();
    await (await person.byText('label', 'everywhere')).click();
    expect(await originOf('Background')).toBe('starter, All entries');
    await type('Background', '#ffe08a');
    await showsIn(BAR, 'hover', 'background-color', 'rgb(255, 224, 138)');
    expect(await originOf('Background')).toContain('set here');
    await (await person.byText('label', 'Main menu')).click();
    expect(await originOf('Background')).toBe('whole site');
    await type('Background', 'accent/20%');
    await person.eventually('the nearer value does not win', async () =>
      (await drawn(BAR, 'hover', ['background-color']))['background-color']?.startsWith('color(srgb'),
    );
    await (await person.byText('label', 'everywhere')).click();
    expect(await (await person.find('[aria-label=Values] .nearer')).getText()).toContain('No effect on');
    await person.click('Reset it');
    await showsIn(BAR, 'hover', 'background-color', 'rgb(255, 224, 138)');
    await person.click('Undo');
    await person.eventually('undo does not bring it back', async () =>
      (await drawn(BAR, 'hover', ['background-color']))['background-color']?.startsWith('color(srgb'),
    );
    await person.click('Reset Background');
    await person.eventually(
      'reset does not give it back to the nearer one',
      async () => (await originOf('Background')) === 'starter, All entries',
    );
  });

  it('is refused where it cannot be, with what was expected, and nothing is stored', async () => {
    const before = (await stored()).styles.nodes.size;
    await type('Background', 'red;}');
    expect(await (await person.find('[aria-label=Values] [role=alert]')).getText()).toContain(
      'Enter a colour such as #1f5a3a',
    );
    await (await field('Background')).sendKeys(Key.ESCAPE);
    expect((await stored()).styles.nodes.size).toBe(before);
  });

  it('gives the second bar alone another look in at most eight actions, and is delivered when it is published', async () => {
    // A cell, the place, and for each value a click and Enter.
    await (await cellButton(`${SECOND}, normal`)).click();
    await (await person.byText('label', 'Second bar')).click();
    await type('Text', '#ffffff');
    await type('Background', '#1f3a2c');
    const actions = 2 + 2 * 2;
    expect(actions).toBeLessThanOrEqual(8);
    await showsIn(SECOND, 'normal', 'background-color', 'rgb(31, 58, 44)');
    await stored();
    await person.click('Publish');
    await person.click('Publish edition 2');
    await person.eventually('it is not delivered', async () => {
      const css = await (await fetch(`${stack.delivery}/delivery/v1/sites/quillmere/navigation.css`)).text();
      return css.includes('background-color:#1f3a2c');
    });
    await browser.driver.get(`${stack.site}/plants/trees`);
    const looks = (label: string): Promise<string> =>
      run(
        `return getComputedStyle(document.querySelector('[aria-label="' + arguments[0] + '"]>ul>li>a')).backgroundColor`,
        label,
      );
    expect([await looks('Second bar'), await looks('Main menu')]).toEqual([
      'rgb(31, 58, 44)',
      'rgba(0, 0, 0, 0)',
    ]);
  });
});

describe('the colours of the site', () => {
  const swatch = (name: string): Promise<WebElement> => person.find(`button[aria-label="Choose ${name}"]`);
  const below = async (name: string): Promise<void> => (await person.byText('label', name)).click();
  const tokens = async (): Promise<Record<string, string | undefined>> =>
    Object.fromEntries([...(await stored()).tokens.nodes.values()].map(({ key, value }) => [key, value]));

  it('change everything that uses them at once, can be named, used with their tints, and removed', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/style`);
    await driveTo('Colours');
    // A role: everything in that colour follows.
    const hex = await person.find('.colours .row:nth-of-type(2) input[type=text]');
    await hex.click();
    await hex.sendKeys(Key.chord(Key.CONTROL, 'a'), 'rgb(122 32 72)', Key.ENTER);
    await person.eventually('the accent is not kept', async () => (await tokens()).accent === '#7a2048');
    // One of the site's own.
    await person.click('Add a colour');
    await (await browser.driver.switchTo().activeElement()).sendKeys('Moss', Key.ENTER);
    await person.eventually('no colour Moss', async () => (await tokens()).moss !== undefined);
    await below('States');
    await cellButton(`${BAR}, normal`).then((one) => one.click());
    await (await swatch('Background')).click();
    await person.find('.pick');
    await person.click('Tints and shades of Moss');
    await person.click('Moss 90');
    await person.eventually('the tint is not set', async () =>
      [...(await stored()).styles.nodes.values()].some(({ background }) => background === '@moss-90'),
    );
    await browser.driver.actions().sendKeys(Key.ESCAPE).perform();
    // Typed by its name, with an opacity.
    await type('Background', 'moss 30, 40%');
    await person.eventually('the name is not read', async () =>
      [...(await stored()).styles.nodes.values()].some(({ background }) => background === '@moss-30/40%'),
    );
    await type('Background', 'mauveish');
    expect(await (await person.find('.problem')).getText()).toContain('Enter a colour');
    await browser.driver.actions().sendKeys(Key.ESCAPE).perform();
    await below('Colours');
    await person.byText('span', '1 use');
    await person.click('Remove Moss');
    await person.eventually('Moss is there', async () => (await tokens()).moss === undefined);
    const kept = [...(await stored()).styles.nodes.values()].find(
      ({ background }) => background !== undefined,
    );
    expect(kept?.background).toMatch(/^#[0-9a-f]{6}66$/);
    await below('States');
  });

  async function driveTo(name: string): Promise<void> {
    await below(name);
    await person.find('.colours .row');
  }
});

describe('the fonts of the site', () => {
  const font = (name: string): Promise<string> =>
    inPicture(
      `await document.fonts.ready; return getComputedStyle(document.querySelector('${name}')).fontFamily`,
    );
  async function inPicture(script: string): Promise<string> {
    await browser.driver.switchTo().frame(await person.find('iframe[title="Live page"]'));
    try {
      return await browser.driver.executeAsyncScript<string>(
        `const done = arguments[0]; (async () => { ${script} })().then(done, (error) => done(String(error)));`,
      );
    } finally {
      await browser.driver.switchTo().defaultContent();
    }
  }

  it('come from what visitors have, from Zorvik or from a file, and are used everywhere at once', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/style`);
    await (await person.byText('label', 'Fonts')).click();
    await person.find('.fonts .row');
    await person.click('Add Literata');
    await person.click('Add Slab serif');
    await (await person.find('.all select option[value="@literata"]')).click();
    await person.eventually('the page is not in Literata', async () =>
      (await font('.zv-bar a')).startsWith('zv-literata, zv-literata-stand-in'),
    );
    expect(await font('.zv-logo a')).toContain('zv-fraunces');
    await person.eventually(
      'Literata has not loaded',
      async () =>
        (await inPicture(
          `return [...document.fonts].filter(({ family, status }) => family === 'zv-literata' && status === 'loaded').length`,
        )) === (1 as unknown as string),
    );
    // A file that is no font says why, and nothing is added.
    const { tokens } = await stored();
    await run(`const data = new DataTransfer(); data.items.add(new File(['no font'], 'x.woff2'));
      const field = document.querySelector('input[aria-label="Font files"]'); field.files = data.files; field.dispatchEvent(new Event('change'));`);
    expect(await (await person.find('.fonts .problem')).getText()).toContain('it is no WOFF2 file');
    expect((await stored()).tokens.nodes.size).toBe(tokens.nodes.size);
    await person.click('Remove Literata');
    await person.eventually(
      'the page is still in Literata',
      async () => !(await font('.zv-bar a')).includes('literata'),
    );
    await person.click('Undo');
    await person.eventually('Literata did not come back', async () =>
      (await font('.zv-bar a')).includes('literata'),
    );
  });
});

describe('design tokens', () => {
  it('are imported with a preview of what changes, used by name like others, and taken back by one undo', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'zorvik-tokens-'));
    const send = async (text: string): Promise<void> => {
      const file = join(folder, 'brand.tokens.json');
      await writeFile(file, text);
      await (await person.find('[aria-label="File of design tokens"]')).sendKeys(file);
    };
    await (await person.byText('label', 'Colours')).click();
    await send('{ "a": { "$type": "color", "$value": "{b}" }, "b": { "$value": "{a}" } }');
    await person.eventually('the circle is not named', async () =>
      /“a” → “b” → “a” name each other in a circle/.test(await (await person.find('[role=alert]')).getText()),
    );
    await person.click('Cancel');
    await send(
      JSON.stringify({
        brand: { $type: 'color', sand: { $value: { colorSpace: 'srgb', components: [0.95, 0.9, 0.8] } } },
        card: {
          $type: 'shadow',
          $value: {
            color: '{brand.sand}',
            ...Object.fromEntries(
              ['offsetX', 'offsetY', 'blur'].map((name) => [name, { value: 3, unit: 'px' }]),
            ),
          },
        },
      }),
    );
    await person.byText('li', 'Added the shadow “Card”, 3px 3px 3px 0 #f2e6cc');
    await person.click('Import');
    await person.eventually('they are not stored', async () =>
      [...(await stored()).tokens.nodes.values()].some(({ key, of }) => key === 'card' && of === 'shadow'),
    );
    await (await person.byText('label', 'States')).click();
    await cellButton(`${BAR}, hover`).then((one) => one.click());
    await (await person.byText('label', 'Main menu')).click();
    await type('Background', 'Brand sand');
    await showsIn(BAR, 'hover', 'background-color', 'rgb(242, 230, 204)');
    await person.click('Undo');
    await person.click('Undo');
    await person.eventually('they are still there', async () =>
      [...(await stored()).tokens.nodes.values()].every(({ key }) => key !== 'card'),
    );
    await rm(folder, { recursive: true });
  });
});

describe('what is hard to read', () => {
  const hard = async (): Promise<string> => (await person.find('.readability')).getText();
  const count = async (): Promise<number> => Number(/(\d+) of/.exec(await hard())?.[1] ?? 0);
  const note = (name: string): Promise<string> =>
    run<string>(
      `const cell = document.querySelector(arguments[0]); const left = cell.style.insetInlineStart;
       return [...cell.closest('[role=row]').querySelectorAll('.note')].find((one) => one.style.insetInlineStart === left).textContent;`,
      `[role=gridcell][aria-label="${name}"]`,
    );

  it('is said beneath its cell with the colour that would do, and fixed by one press; all of it by one more', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/style`);
    await person.lookAt('Trees');
    await cellButton(`${BAR}, hover`).then((one) => one.click());
    await (await person.byText('label', 'Main menu')).click();
    const before = (await stored()).styles.nodes.size;
    // What the journeys before this one have left.
    const base = await count();
    await type('Text', '#cfe0c9');
    await person.eventually('nothing is said', async () => (await count()) > base);
    expect(await note(`${BAR}, hover`)).toMatch(/1\.\d.*hard to read.*use #[0-9a-f]{6}/);
    const rows = (): Promise<number> => run(`return document.querySelectorAll('[role=row]').length`);
    await (await person.find('.only input')).click();
    await person.eventually('not only problems', async () => (await rows()) < 3);
    // One press.
    await (await person.find('.only input')).click();
    await run(
      `const cell = document.querySelector(arguments[0]); const left = cell.style.insetInlineStart;
       [...cell.closest('[role=row]').querySelectorAll('.note')].find((one) => one.style.insetInlineStart === left).querySelector('.fix').click();`,
      `[role=gridcell][aria-label="${BAR}, hover"]`,
    );
    await person.eventually('it is not fixed', async () => (await count()) === base);
    const fixed = [...(await stored()).styles.nodes.values()].find(
      ({ thing, state, color }) => thing === 'barBranch' && state === 'hover' && color !== undefined,
    );
    expect(fixed?.color).toMatch(/^#(?!cfe0c9)[0-9a-f]{6}$/);
    // Several at once.
    await type('Text', '#eeeeee');
    await cellButton(`${SECOND}, normal`).then((one) => one.click());
    await type('Text', '#2a4a38');
    await person.eventually('not all is found', async () => (await count()) > base + 1);
    await person.click('Fix them');
    await person.eventually('not all is fixed', async () => /All \d+ readable/.test(await hard()));
    await person.click('Undo');
    await person.eventually('one undo takes all back', async () => (await count()) > base + 1);
    await person.click('Undo');
    await person.click('Undo');
    await person.click('Undo');
    await person.click('Undo');
    await person.eventually('all is as it was', async () => (await stored()).styles.nodes.size === before);
  });

  it('and why it is so is told in order, down to the starter; each line leads to where it was set', async () => {
    await cellButton(`${BAR}, hover`).then((one) => one.click());
    await (await person.byText('label', 'everywhere')).click();
    await type('Background', 'amber');
    await (await person.byText('label', 'Main menu')).click();
    await type('Background', 'mist');
    const lines = (): Promise<string[]> =>
      run(
        `return [...document.querySelectorAll('.why li')].map((one) => one.innerText.replaceAll(/\\s+/g, ' ').trim())`,
      );
    await person.eventually('it is not told', async () => (await lines())[0] === 'Mist Main menu wins');
    const told = await lines();
    expect(told[1]).toBe('Amber whole site');
    expect(told[2]).toBe('Tinted surface starter “Moss”, All entries');
    await (await person.find('.why li:nth-child(2) .link')).click();
    await person.eventually(
      'it does not lead there',
      async () => (await originOf('Background')) === 'set here',
    );
    expect(await (await field('Background')).getAttribute('value')).toBe('Amber');
    // Where it is, and when, too: each line leads to what says so.
    const places = await run<string[]>(
      `return [...document.querySelectorAll('[aria-label="Where and when it is shown"] li')].map((one) => one.innerText)`,
    );
    expect(places.some((one) => /^in band \d$/i.test(one))).toBe(true);
    expect(places.some((one) => /^in Header$/.test(one))).toBe(true);
    await person.click('Undo');
    await person.click('Undo');
  });
});

describe('starters', () => {
  it('are all seen at once on this site, for all of it or one area; what was set stays, and they can be saved', async () => {
    const before = (await stored()).styles.nodes.size;
    await (await person.byText('label', 'Starters')).click();
    const card = (name: string): Promise<WebElement> =>
      person.eventually(`no starter ${name}`, async () => {
        const xpath = `//section[@aria-label='Starters']//button[@aria-pressed and contains(normalize-space(.), '${name}')]`;
        return (await browser.driver.findElements(By.xpath(xpath)))[0];
      });
    const isInUse = async (name: string): Promise<boolean> =>
      (await (await card(name)).getAttribute('aria-pressed')) === 'true';
    expect(await isInUse('Moss')).toBe(true);
    const { length } = await browser.driver.findElements(By.css('.starters iframe'));
    expect(length).toBe(4);
    // Each is this site’s own header, with a panel open in it.
    const pages = await run<string[]>(
      `return [...document.querySelectorAll('.starters iframe')].map((one) => one.srcdoc)`,
    );
    for (const page of pages) expect(page).toMatch(/aria-expanded="true".*zv-panel/s);
    expect(new Set(pages).size).toBe(4);
    await (await card('Slate')).click();
    await person.eventually('it is not in use', () => isInUse('Slate'));
    await (await person.byText('label', 'footer')).click();
    await (await card('Orchard')).click();
    await person.eventually('the footer has not got it', async () => {
      const { site } = await stored();
      return site.starter === 'slate@1' && site.areaStarters?.footer === 'orchard@1';
    });
    expect((await stored()).styles.nodes.size).toBe(before);
    await (await person.byText('label', 'whole site')).click();
    const name = await person.find('.starters .save input');
    await name.sendKeys('Winter', Key.ENTER);
    await card('Winter');
    await (await person.byText('label', 'States')).click();
    await cellButton(`${BAR}, normal`);
    await showsIn(BAR, 'normal', 'text-transform', 'uppercase');
    await (await person.byText('label', 'Starters')).click();
    await person.click('Delete the starter “Winter”');
    await person.eventually('it is still there', async () => (await stored()).site.ownStarters === undefined);
    for (let at = 0; at < 4; at += 1) await person.click('Undo');
    await person.eventually('all is as it was', async () => {
      const { site } = await stored();
      return site.starter === undefined && site.areaStarters === undefined;
    });
    await (await person.byText('label', 'States')).click();
  });
});

describe('dark colours', () => {
  it('are a second set for all that has a name, can be set apart, are looked at and checked, and are delivered', async () => {
    await (await person.byText('label', 'Colours')).click();
    await person.click('Add dark colours');
    const accent = await person.find(
      'input[aria-label="Accent in dark"], [aria-label="Choose Accent in dark"]',
    );
    expect(await accent.isDisplayed()).toBe(true);
    await (await person.byText('label', 'Dark')).click();
    await (await person.byText('label', 'States')).click();
    await person.lookAt('Trees');
    await cellButton(`${BAR}, normal`).then((one) => one.click());
    const light = await drawn(BAR, 'normal', ['color']);
    await (await person.byText('label', 'everywhere')).click();
    await (await person.byText('label', 'dark')).click();
    await type('Text', '#ffee88');
    await showsIn(BAR, 'normal', 'color', 'rgb(255, 238, 136)');
    await (await person.byText('label', 'Light')).click();
    await person.eventually(
      'the light one is another',
      async () => (await drawn(BAR, 'normal', ['color'])).color !== 'rgb(255, 238, 136)',
    );
    expect(light.color).not.toBe('rgb(255, 238, 136)');
    // Quillmere’s own colours were chosen for the light: what cannot be read in the dark is found, and fixed at once.
    const hard = async (): Promise<string> => (await person.find('.readability')).getText();
    await person.eventually('nothing is hard to read', async () => /hard to read/.test(await hard()));
    await person.click('Fix them');
    await person.eventually('not all is fixed', async () => /All \d+ readable/.test(await hard()));
    const looks = [...(await stored()).styles.nodes.values()].filter(({ scheme }) => scheme === 'dark');
    expect(looks.length).toBeGreaterThan(1);
    for (let at = 0; at < 3; at += 1) await person.click('Undo');
    await person.eventually('all is as it was', async () => (await stored()).site.hasDark === undefined);
  });
});

describe('what is hard to read', () => {
  it('is listed before publishing, and each line leads to where it is', async () => {
    await cellButton(`${BAR}, hover`).then((one) => one.click());
    await (await person.byText('label', 'everywhere')).click();
    await type('Text', '#f4f7f0');
    await (await person.byText('a', 'Editions')).click();
    const list = await person.find('[aria-labelledby="hard-to-read"] ul');
    expect(await (await person.find('#hard-to-read')).getText()).toMatch(/^\d+ places are hard to read$/);
    const [line = 'no line'] =
      /.*hover\s+on “.+”, contrast 1\.\d, at least 4\.5/.exec(await list.getText()) ?? [];
    expect(line).toContain('Bar entries');
    await (await person.find('[aria-labelledby="hard-to-read"] .link')).click();
    await person.find('[role=gridcell]');
    expect(await (await person.find('.only input')).isSelected()).toBe(true);
    await (await person.find('.only input')).click();
    await person.click('Undo');
    await (await person.byText('a', 'Editions')).click();
    await person.find('.change');
    await person.eventually(
      'it is still listed',
      async () => !(await run<string>(`return document.querySelector('.change').innerText`)).includes(line),
    );
    await (await person.byText('a', 'Style')).click();
    await person.find('[role=gridcell]');
  });
});

describe('a situation of the header', () => {
  it('can have values of its own, which picture and cells show', async () => {
    await person.lookAt('Quillmere');
    await cellButton(`${BAR}, normal`).then((one) => one.click());
    await (await person.byText('label', 'everywhere')).click();
    await person.click('More');
    await (await person.byText('label', 'over the content')).click();
    await type('Text', '#ffe9b0');
    await showsIn(BAR, 'normal', 'color', 'rgb(255, 233, 176)');
    await (await person.byText('label', 'always')).click();
    const set = [...(await stored()).styles.nodes.values()].filter(({ thing }) => thing === 'barBranch');
    expect(set.map(({ situation, color }) => [situation, color])).toEqual(
      expect.arrayContaining([['over', '#ffe9b0']]),
    );
    await person.click('Undo');
    await person.click('Fewer');
  });
});

describe('variants of buttons and links', () => {
  it('are added, styled on stand-in content before any link has one, and chosen where a link is edited', async () => {
    await (await person.byText('label', 'Variants')).click();
    const name = await person.find('.variants .adding input');
    await name.sendKeys('Pill');
    await (await person.find('.variants .adding select')).sendKeys('Outlined');
    await person.click('Add');
    await person.click('Edit look of Pill');
    // Nothing on the page looks so yet: stand-ins do, on three levels.
    const chosen = await person.eventually('its row is not chosen', async () =>
      run<string | null>(
        `return document.querySelector('[role=gridcell][aria-selected=true][aria-label^="Variant “Pill”"]')?.getAttribute('aria-label')`,
      ),
    );
    expect(await (await person.find('.stand-ins input')).isSelected()).toBe(true);
    expect(await run<string>(`return document.querySelector('.scope .on').innerText`)).toBe('all “Pill”');
    await (await person.byText('label', 'edges')).click();
    await type('Corners', '40px');
    await showsIn(chosen.replace(/, normal$/, ''), 'normal', 'border-top-left-radius', '40px');
    await (await person.find('.stand-ins input')).click();
    await cellButton(`${BAR}, normal`).then((one) => one.click());
    await (await person.byText('label', 'colour')).click();
    await (await person.byText('a', 'Arrange')).click();
    await person.select('Visit');
    await (await person.find('.details .variant select, .variant select')).sendKeys('Pill');
    await person.eventually('it is not stored', async () =>
      [...(await stored()).items.nodes.values()].some(({ look }) => look === 'pill'),
    );
    await (await person.byText('a', 'Style')).click();
    await (await person.byText('label', 'Variants')).click();
    await person.eventually('its use is not counted', async () =>
      run<boolean>(
        `return [...document.querySelectorAll('.variants li')].some((one) => one.querySelector('input')?.value === 'Pill' && one.innerText.includes('1 use'))`,
      ),
    );
    await person.click('Delete Pill');
    await person.eventually('it is still there', async () => (await stored()).site.variants === undefined);
    for (let at = 0; at < 4; at += 1) await person.click('Undo');
    await (await person.byText('label', 'States')).click();
  });
});

describe('CSS written by hand', () => {
  it('holds in its place alone, says what it finds and where it is wrong, and is taken back by undo', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/style`);
    await person.lookAt('Trees');
    await person.find('[role=gridcell]');
    await (await person.byText('label', 'CSS')).click();
    await person.click('The header');
    const text = await person.find('.css textarea');
    await text.sendKeys('.zv-bar > ul > li > a { letter-spacing: 3px }\n.gone { color: red }');
    await person.eventually('it is not stored', async () => (await stored()).ownCss.nodes.size === 1);
    const found = async (): Promise<string[]> =>
      run(
        `return [...document.querySelectorAll('.css .found li')].map((one) => one.innerText.replaceAll('\\n', ' '))`,
      );
    await person.eventually('what it finds is not said', async () => (await found()).length === 2);
    const [bar, gone] = await found();
    expect(bar).toMatch(/^\.zv-bar>ul>li>a \d+ elements$/);
    expect(gone).toBe('.gone nothing');
    expect(await (await person.find('.css .note')).getText()).toContain('color');
    await person.inPicture(async () => {
      const spacing = (selector: string): Promise<string> =>
        run(`return getComputedStyle(document.querySelector(arguments[0])).letterSpacing`, selector);
      await person.eventually(
        'the page does not show it',
        async () => (await spacing('.zv-header .zv-bar>ul>li>a')) === '3px',
      );
      expect(await spacing('.zv-footer li>a')).not.toBe('3px');
    });
    await text.sendKeys('\n@import "x";');
    const problem = await person.find('.css [role=alert]');
    expect(await problem.getText()).toMatch(/^Line 3, column 1: @import can’t be used here/);
    const kept = [...(await stored()).ownCss.nodes.values()][0];
    expect(kept?.rules).toHaveLength(2);
    await (await person.byText('label', 'States')).click();
    await person.click('Undo');
    await person.eventually('it is still stored', async () => (await stored()).ownCss.nodes.size === 0);
  });
});

describe('the live page', () => {
  it('is held in the state that is chosen, and shows signs where something is hard to read: there, in Arrange and in Frame', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/style`);
    await person.lookAt('Trees');
    await person.find('[role=gridcell]');
    await cellButton(`${BAR}, hover`).then((one) => one.click());
    const held = (): Promise<string[]> =>
      person.inPicture(() =>
        run(
          `return [...document.querySelectorAll('.zv-bar [data-zv-state=hover]:not(:has([data-zv-state]))')].map((one) => one.textContent)`,
        ),
      );
    await person.eventually('it is not held', async () => (await held()).join() === 'Visit');
    await (await person.byText('label', 'Main menu')).click();
    await type('Text', '#cfe0c9');
    const signs = (): Promise<string[]> =>
      person.inPicture(() =>
        run(`return [...document.querySelectorAll('.marks .sign')].map((one) => one.title)`),
      );
    await person.eventually('no sign on the picture', async () =>
      (await signs()).some((one) => /^Hard to read \(hover\): 1\.\d, at least 4\.5/.test(one)),
    );
    await cellButton(`${BAR}, normal`).then((one) => one.click());
    await person.eventually('it is still held', async () => (await held()).length === 0);
    await (await person.byText('a', 'Arrange')).click();
    await person.select('Visit');
    await person.eventually('no sign at the item', async () =>
      run<boolean>(
        `return document.querySelector('[role=treeitem][aria-selected=true] .sign.bad[title^="hard to read"]') !== null`,
      ),
    );
    // One press at the item.
    await person.eventually('it cannot be pressed', async () => {
      await (await person.find('[aria-label="Hard to read"] .fix')).click();
      return true;
    });
    await person.eventually('it is not fixed', async () =>
      [...(await stored()).styles.nodes.values()].every(({ color }) => color !== '#cfe0c9'),
    );
    await person.click('Undo');
    await (await person.byText('a', 'Frame')).click();
    await person.eventually('no sign in Frame', async () => (await signs()).length > 0);
    // One press on the picture.
    await person.inPicture(() => run(`document.querySelector('.marks .sign').click()`));
    await person.eventually('it is not fixed there', async () =>
      [...(await stored()).styles.nodes.values()].every(({ color }) => color !== '#cfe0c9'),
    );
    await person.click('Undo');
    await person.click('Undo');
    await (await person.byText('a', 'Style')).click();
    await person.find('[role=gridcell]');
  });
});

describe('looks as a file', () => {
  it('are imported with a preview of what changes, and taken back by one undo', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/style`);
    await person.lookAt('Trees');
    await person.find('[role=gridcell]');
    const folder = await mkdtemp(join(tmpdir(), 'zorvik-looks-'));
    const send = async (style: object): Promise<void> => {
      const file = join(folder, 'brand.style.json');
      await writeFile(file, JSON.stringify({ format: 'zorvik-style', version: 1, ...style }));
      await (await person.find('[aria-label="File of looks"]')).sendKeys(file);
    };
    await (await person.byText('label', 'Starters')).click();
    const before = (await stored()).styles.nodes.size;
    await send({ names: [], looks: [{ place: 'site', thing: 'body' }], css: [] });
    await person.eventually('what is wrong is not said', async () =>
      /can’t be used as a style: \/looks\/0/.test(await (await person.find('[role=alert]')).getText()),
    );
    await person.click('Cancel');
    await send({
      names: [{ key: 'plum', of: 'colour', name: 'Plum', value: '#5a2048' }],
      looks: [
        { place: 'menu:main', thing: 'barEntry', state: 'hover', color: '@plum' },
        { place: 'menu:nowhere', thing: 'barEntry', color: '@plum' },
      ],
      css: [],
    });
    await person.byText('li', 'Added the colour “Plum”, #5a2048');
    await person.byText('li', 'This site has no menu nowhere.');
    await person.click('Import');
    await person.eventually(
      'they are not stored',
      async () => (await stored()).styles.nodes.size === before + 1,
    );
    await person.click('Undo');
    await person.eventually(
      'they are still there',
      async () => (await stored()).styles.nodes.size === before,
    );
    await (await person.byText('label', 'States')).click();
    await rm(folder, { recursive: true });
  });
});

describe('a brand', () => {
  it('has its colour, its font and its hover colour on the whole site in at most ten actions', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/style`);
    await person.lookAt('Trees');
    await person.find('[role=gridcell]');
    let actions = 0;
    const press = async (element: Promise<WebElement>, clicks = 1): Promise<void> => {
      const one = await element;
      await (clicks === 2 ? browser.driver.actions().doubleClick(one).perform() : one.click());
      actions += 1;
    };
    const button = (name: string): Promise<WebElement> =>
      person.find(`button[aria-label="${name}"], button[title="${name}"]`);
    await press(person.byText('label', 'Colours'));
    // The colour without its sign is selected by a double click, and typed over.
    await press(
      person.eventually(
        'no accent',
        async () =>
          (
            await browser.driver.findElements(
              By.xpath(`//section[@aria-label='Colours']//label[.='Accent']/following-sibling::*//input`),
            )
          )[0],
      ),
      2,
    );
    await person.type('7a2048');
    await press(person.byText('label', 'Fonts'));
    await press(button('Add Bitter'));
    const fonts = await person.find('.all select');
    await press(Promise.resolve(fonts));
    await press(person.find('.all select option[value="@bitter"]'));
    await press(person.byText('label', 'States'));
    await press(cellButton(`${BAR}, hover`));
    await press(button('Choose Text'));
    await person.settled();
    await press(person.byText('button', 'Accent'));
    expect(actions).toBeLessThanOrEqual(10);
    await person.eventually('not all is stored', async () => {
      const { tokens, styles } = await stored();
      const named = [...tokens.nodes.values()];
      return (
        named.some(({ key, value }) => key === 'accent' && value === '#7a2048') &&
        named.some(({ key }) => key === 'bitter') &&
        [...styles.nodes.values()].some(
          ({ thing, state, color, owner }) =>
            thing === 'barBranch' && state === 'hover' && color === '@accent' && !owner.startsWith('c'),
        )
      );
    });
  });
});
