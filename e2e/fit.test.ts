import { By, Key } from 'selenium-webdriver';
import { beforeAll, describe, expect, it } from 'vitest';
import type { Person } from './person.ts';
import { enterStage, type Stage } from './stage.ts';

/** Fit as it is seen beside the work: a bar that wraps says so, with the widths, and is right. */
let stack: Stage['stack'];
let browser: Stage['browser'];
let person: Person;
beforeAll(async () => {
  ({ stack, browser, person } = await enterStage());
});

const note = async (): Promise<string | null> => {
  const [found] = await browser.driver.findElements(By.css('.ruler .fit'));
  return found === undefined ? null : found.getText();
};

describe('a label that is too long for the header', () => {
  it('is told of beside the ruler with the widths at which the bar wraps, and shown there in Frame', async () => {
    const { driver } = browser;
    await driver.get(`${stack.editor}/quillmere/arrange/main`);
    await person.select('The garden');
    expect(await note(), 'all labels fit').toBeNull();
    await driver.actions().sendKeys(Key.F2).perform();
    await driver
      .actions()
      .keyDown(Key.CONTROL)
      .sendKeys('a')
      .keyUp(Key.CONTROL)
      .sendKeys('The garden, the orchard and the wet meadow', Key.ENTER)
      .perform();
    await person.eventually('nothing is said', async () => (await note()) !== null);
    const said = /^2 rows in the header from (\d+) to (\d+) px$/.exec((await note()) ?? '');
    const [from, to] = [Number(said?.[1]), Number(said?.[2])];
    expect(from).toBe(768);
    await (await person.find('.ruler .fit')).click();
    await person.eventually('Frame does not say it', async () =>
      ((await note()) ?? '').startsWith('Main menu: 2 rows from'),
    );
    // The page itself, as visitors get it, at the last width and one px more.
    await person.kept();
    const { revision } = (await (await fetch(`${stack.editor}/api/v1/sites/quillmere`)).json()) as {
      revision: number;
    };
    const published = await fetch(`${stack.editor}/api/v1/sites/quillmere/editions`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ note: 'Long label', revision }),
    });
    expect(published.status).toBe(201);
    await driver.switchTo().newWindow('tab');
    try {
      await driver.get(stack.site);
      const rowsAt = async (width: number): Promise<number> => {
        await browser.resize(width, 800);
        return driver.executeAsyncScript<number>(
          `const done = arguments[0];
           document.fonts.ready.then(() => done(new Set([...document.querySelectorAll('[aria-label="Main menu"]>ul>li')].map((one) => Math.round(one.getBoundingClientRect().top))).size));`,
        );
      };
      expect([await rowsAt(from), await rowsAt(to), await rowsAt(to + 1)]).toEqual([2, 2, 1]);
    } finally {
      await browser.resize(1280, 800);
      await driver.close();
      const [first] = await driver.getAllWindowHandles();
      if (first !== undefined) await driver.switchTo().window(first);
    }
  });
});
