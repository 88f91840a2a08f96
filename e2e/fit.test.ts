import { By, Key } from 'selenium-webdriver';
import type { Driver } from 'selenium-webdriver/chrome.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  areaId,
  deviceClasses,
  factsOn,
  fitChoices,
  fontFileName,
  paletteOf,
  partsIn,
  readStored,
  setFit,
  situationOn,
  withFollowed,
  type CommandContext,
  type Edit,
  type Measure,
  type Result,
  type SiteDocument,
  type StoredDocument,
} from '@zorvik/core';
import { contextOf } from '@zorvik/core/testing';
import { siteMeasure } from '@zorvik/formats/fonts';
import { driverOf, resizerOf, startBrowser } from './browser.ts';
import { barsSaid, itemsOfBars, READ_BARS } from './policyLaw.ts';
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

describe('what a bar does where it does not fit', () => {
  /** One hides its scrollbars, as on phones; in the other one they take room, as on most desktops. */
  const browsers: { driver: Driver; scrollbar: number; close: () => Promise<void> }[] = [];
  beforeAll(async () => {
    for (const scrollbar of [0, 15]) {
      const { close, ...running } = await startBrowser(1280, 800, [], scrollbar > 0);
      browsers.push({ driver: driverOf(running), scrollbar, close });
    }
  });
  afterAll(() => Promise.all(browsers.map(({ close }) => close())));
  const api = (path: string, body: unknown): Promise<Response> =>
    fetch(`${stack.editor}/api/v1/sites/quillmere${path}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
  const now = async (): Promise<{ document: SiteDocument; revision: number }> => {
    const reply = await fetch(`${stack.editor}/api/v1/sites/quillmere`);
    const { document, revision } = (await reply.json()) as { document: StoredDocument; revision: number };
    return { document: readStored(document), revision };
  };
  async function edit(make: (context: CommandContext) => Result<Edit>): Promise<void> {
    const { document, revision } = await now();
    const made = make({ ...contextOf(document, revision + 31), base: revision });
    if (made.ok) expect((await api('/edits', made.value)).status).toBe(200);
    else expect(made.refusal.code).toBe('changesNothing');
  }
  const byCode = (a: string, b: string): number => (a < b ? -1 : Number(a > b));
  /** Widths all over the range, and those at which something is known to change in many headers. */
  const widths = Array.from({ length: 40 }, (_, at) => 360 + at * 40 - (at % 3));

  /** Measures with the fonts that the site has. */
  async function measureOf(document: SiteDocument): Promise<Measure> {
    const palette = paletteOf(document);
    const bytes = new Map<string, Uint8Array>();
    for (const { files = [] } of palette.values())
      for (const file of files) {
        const name = fontFileName(file);
        const reply = await fetch(`${stack.delivery}/delivery/v1/sites/quillmere/pictures/${name}`);
        if (reply.ok) bytes.set(name, new Uint8Array(await reply.arrayBuffer()));
      }
    return siteMeasure(palette, (file) => bytes.get(fontFileName(file)) ?? null).measure;
  }

  it.each(fitChoices)(
    'is on the published site what Fit says, at forty widths, with a scrollbar and without: %s',
    async (choice) => {
      const { document: before } = await now();
      const main = partsIn(before, areaId('header')).find(
        ({ kind, shows }) => kind === 'placement' && before.menus.nodes.get(shows ?? '')?.key === 'main',
      );
      const bar = main?.id ?? '';
      if (choice === 'drawer') await edit((context) => setFit(context, bar, ['medium'], 'drawer'));
      else {
        await edit((context) => setFit(context, bar, ['medium'], 'wrap'));
        await edit((context) => setFit(context, bar, ['narrow'], 'wrap'));
        await edit((context) => setFit(context, bar, deviceClasses, choice));
      }
      const { document: stored, revision } = await now();
      expect((await api('/editions', { note: '', revision })).status).toBe(201);
      const document = withFollowed(stored, byCode);
      const home = [...document.pages.nodes.values()].find(({ address }) => address === '/')?.id ?? null;
      const situation = situationOn(document, home);
      const facts = factsOn(document, situation, byCode);
      const measure = await measureOf(document);
      for (const { driver, scrollbar } of browsers) {
        await driver.get(stack.site);
        const seen: Record<string, unknown>[] = [];
        for (const width of widths) {
          await resizerOf(driver)(width, 400);
          seen.push(
            await driver.executeAsyncScript(
              `${READ_BARS} const [ids, done] = arguments;
               document.fonts.ready.then(() => requestAnimationFrame(() => done({ beside: innerWidth - document.documentElement.clientWidth, ...readBars(document, ids) })));`,
              itemsOfBars(facts.header),
            ),
          );
        }
        const bars = barsSaid(document, { ...facts, scrollbar }, widths, measure);
        const said = widths.map((_, at) => ({
          beside: scrollbar,
          ...Object.fromEntries(
            Object.entries(bars).map(([part, all]) => [part, all[at]?.replace(/^step \d+ /, '') ?? null]),
          ),
        }));
        expect(seen).toEqual(said);
      }
    },
  );
});
