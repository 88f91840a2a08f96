import type { Driver } from 'selenium-webdriver/chrome.js';
import {
  childrenOf,
  deviceClasses,
  duplicateItems,
  factsOn,
  fitBar,
  fitPage,
  kindOf,
  measuredBar,
  readStored,
  situationOn,
  type DeviceClass,
  type MeasuredBar,
  type Operation,
  type StoredDocument,
} from '@zorvik/core';
import { contextOf } from '@zorvik/core/testing';
import { By } from 'selenium-webdriver';
import { openBrowser } from '../e2e/browser.ts';
import { measure, randomBar, rowsInBrowser, type RandomBar } from '../e2e/fitLaw.ts';
import { personAt } from '../e2e/person.ts';
import { openStack } from '../e2e/stack.ts';
import { byTurns, quantile, type Figure } from './figure.ts';

const TURNS = 40;
const everyWidth = Array.from({ length: 1601 }, (_, at) => 320 + at);
const NO_INSET = { narrow: 0, medium: 0, wide: 0 };

function measured({ document, menu }: RandomBar): Record<DeviceClass, MeasuredBar> {
  const bars = deviceClasses.map((device) => [device, measuredBar(document, menu, device, measure)]);
  return Object.fromEntries(bars) as Record<DeviceClass, MeasuredBar>;
}

/** Rows of six bars of 40 entries at every width, after measuring, against Chromium laying them out at each. */
async function fitFigure(): Promise<Figure> {
  const bars = [1, 2, 3, 4, 5, 6].map((seed) => randomBar(seed));
  const known = bars.map(measured);
  const [ours] = await byTurns(
    TURNS,
    () => {
      bars.forEach((bar, at) => {
        const found = fitBar(bar.document, known[at] ?? measured(bar), { from: 320, to: 1920 }, NO_INSET);
        if (found.length < 10) throw new Error('Stretches are missing.');
      });
    },
    () => undefined,
  );
  const browser = await openBrowser();
  try {
    await browser.driver.get('about:blank');
    const start = performance.now();
    for (const bar of bars) await rowsInBrowser(browser.driver as Driver, bar, 'ltr', everyWidth);
    return { name: 'fit', ours, reference: performance.now() - start, unit: 'ms', target: 0.001 };
  } finally {
    await browser.close();
  }
}

/** One label of a bar of 40 entries with 8 panels changed, until all lanes of the page are right at every width. */
async function fitAgainFigure(): Promise<Figure> {
  const bar = randomBar(4);
  let { document } = bar;
  const change = (operation: Operation): void => {
    const made = kindOf(operation).apply(document, operation);
    if (!made.ok) throw new Error(made.refusal.message);
    ({ document } = made.value);
  };
  const branches = bar.menu.items.filter(({ children }) => children.length > 0).slice(0, PANELS);
  if (branches.length < PANELS) throw new Error('The bar has too few branches.');
  for (const { id } of branches)
    change({
      kind: 'updateItem',
      id,
      set: { dropdown: { form: 'panel' } },
      was: { dropdown: null },
    } as Operation);
  const id = bar.menu.items[7]?.id ?? '';
  let turn = 0;
  const [ours] = await byTurns(
    TURNS,
    () => {
      change({
        kind: 'updateItem',
        id,
        set: { label: `Label ${(turn += 1)}` },
        was: { label: null },
      } as Operation);
      const facts = factsOn(document, situationOn(document, null), byCode);
      const lanes = fitPage(document, facts, { from: 320, to: 1920 }, measure);
      if (lanes.filter(({ of }) => of === 'panel').length < PANELS) throw new Error('Lanes are missing.');
    },
    () => undefined,
  );
  return { name: 'fit-again', ours, reference: 16, unit: 'ms', target: 1 };
}
const PANELS = 8;

/** The contact sheet of Quillmere with twelve dropdowns and panels, from the click until all are drawn at three widths. */
async function contactFigure(): Promise<Figure> {
  const [stack, browser] = [await openStack({ isFirstStart: true }), await openBrowser()];
  const { driver } = browser;
  const person = personAt(driver);
  try {
    const site = `${stack.editor}/api/v1/sites/quillmere`;
    const { document: stored, revision } = (await (await fetch(site)).json()) as {
      document: StoredDocument;
      revision: number;
    };
    const document = readStored(stored);
    const tops = [...document.items.nodes.values()].filter(
      ({ id, parent }) =>
        document.menus.nodes.get(parent)?.key === 'main' && childrenOf(document.items, id).size > 0,
    );
    const made = duplicateItems(
      { ...contextOf(document, 5), base: revision },
      tops.slice(0, DROPS / 2).map(({ id }) => id),
    );
    if (!made.ok) throw new Error(made.refusal.message);
    const headers = { 'Content-Type': 'application/json' };
    await fetch(`${site}/edits`, { method: 'POST', headers, body: JSON.stringify(made.value) });
    const times: number[] = [];
    for (let turn = 0; turn < CONTACT_TURNS; turn += 1) {
      await driver.get(`${stack.editor}/quillmere/fit`);
      await person.eventually(
        'too few lanes',
        async () => (await driver.findElements(By.css('.lane.depth-2'))).length >= DROPS,
      );
      const start = performance.now();
      await (await person.byText('label', 'Contact sheet')).click();
      await person.find('[aria-label="Contact sheet"][aria-busy="false"]');
      times.push(performance.now() - start);
    }
    return { name: 'contact', ours: quantile(times, 0.5), reference: 2000, unit: 'ms', target: 1 };
  } finally {
    await browser.close();
    await stack.remove();
  }
}
const [DROPS, CONTACT_TURNS] = [12, 5];
const byCode = (a: string, b: string): number => (a < b ? -1 : Number(a > b));

export async function fitFigures(): Promise<Figure[]> {
  return [await fitFigure(), await fitAgainFigure(), await contactFigure()];
}
