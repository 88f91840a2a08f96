import type { Driver } from 'selenium-webdriver/chrome.js';
import {
  deviceClasses,
  fitBar,
  kindOf,
  measuredBar,
  resolveMenu,
  type DeviceClass,
  type MeasuredBar,
} from '@zorvik/core';
import { openBrowser } from '../e2e/browser.ts';
import { measure, randomBar, rowsInBrowser, type RandomBar } from '../e2e/fitLaw.ts';
import { byTurns, type Figure } from './figure.ts';

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

/** One label of a bar of 40 entries changed, until its rows are right at every width. */
async function fitAgainFigure(): Promise<Figure> {
  const bar = randomBar(4);
  let { document } = bar;
  const id = bar.menu.items[7]?.id ?? '';
  const menu = [...document.menus.nodes.keys()][0] ?? '';
  let turn = 0;
  const [ours] = await byTurns(
    TURNS,
    () => {
      const operation = {
        kind: 'updateItem' as const,
        id,
        set: { label: `Label ${(turn += 1)}` },
        was: { label: null },
      };
      const made = kindOf(operation).apply(document, operation);
      if (!made.ok) throw new Error(made.refusal.message);
      ({ document } = made.value);
      const now = { document, menu: resolveMenu(document, menu) };
      if (fitBar(document, measured(now), { from: 320, to: 1920 }, NO_INSET).length < 10)
        throw new Error('Stretches are missing.');
    },
    () => undefined,
  );
  return { name: 'fit-again', ours, reference: 16, unit: 'ms', target: 1 };
}

export async function fitFigures(): Promise<Figure[]> {
  return [await fitFigure(), await fitAgainFigure()];
}
