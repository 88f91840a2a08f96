import { createServer } from 'node:http';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { extname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { By, Key, type WebDriver } from 'selenium-webdriver';
import type { Driver } from 'selenium-webdriver/chrome.js';
import { build } from 'vite';
import {
  childrenOf,
  labelOf,
  mapTree,
  nodeAt,
  seededRandom,
  toStored,
  type Id,
  type SiteDocument,
} from '@zorvik/core';
import { randomDocument } from '@zorvik/core/testing';
import { openBrowser } from '../e2e/browser.ts';
import { siteCache } from '../packages/server/src/editing/siteCache.ts';
import { storeDocument } from '../packages/server/src/editing/storeDocument.ts';
import { startProcess, stopProcess } from '../packages/server/test/processes.ts';
import { testDatabase } from '../packages/server/test/testDatabase.ts';
import { quantile, type Figure, type Unmeasured } from './figure.ts';

const ITEMS = 5000;

interface Served {
  readonly document: SiteDocument;
  readonly address: string;
  readonly menu: string;
  readonly close: () => Promise<void>;
}

/** A server with one site of that size, and Arrange's address of its menu. */
async function served(pages: number): Promise<Served> {
  const random = seededRandom(3);
  const document = randomDocument(random, { pages, menus: 1, items: ITEMS, branching: 12 });
  const kept = await testDatabase();
  const opened = await kept.open();
  await storeDocument(
    { database: opened.database, cache: siteCache(), now: () => new Date(), deliveryAddress: '' },
    toStored(document),
    random,
    'Bench',
  );
  await opened.close();
  const run = await startProcess(kept.environment);
  const close = async (): Promise<void> => {
    await stopProcess(run);
    await kept.remove();
  };
  return {
    document,
    address: run.address,
    menu: `${run.address}/${document.site.key}/arrange/menu-0`,
    close,
  };
}

/** Notes in the page when as many of these are painted: two frames after they are there. */
function paintedScript(selector: string, count: number): string {
  return `(() => { const look = () => document.querySelectorAll(${JSON.stringify(selector)}).length >= ${count}
    ? requestAnimationFrame(() => requestAnimationFrame(() => (window.__painted = performance.now()))) : requestAnimationFrame(look); look(); })()`;
}

async function timeToPaint(
  driver: WebDriver,
  address: string,
  selector: string,
  count: number,
): Promise<number> {
  await driver.get('about:blank');
  const added = (await (driver as Driver).sendAndGetDevToolsCommand('Page.addScriptToEvaluateOnNewDocument', {
    source: paintedScript(selector, count),
  })) as unknown as {
    identifier: string;
  };
  await driver.get(address);
  const time = await driver.wait(
    async () => driver.executeScript<number | null>('return window.__painted ?? null'),
    120_000,
  );
  await (driver as Driver).sendDevToolsCommand('Page.removeScriptToEvaluateOnNewDocument', {
    identifier: added.identifier,
  });
  return Number(time);
}

/** Vuetify's tree view with the same items, built and served like our own pages. */
async function reference(document: SiteDocument): Promise<{ address: string; close: () => Promise<void> }> {
  const folder = await mkdtemp(join(tmpdir(), 'zorvik-reference-'));
  await build({
    root: fileURLToPath(new URL('./treeview', import.meta.url)),
    build: { outDir: folder, emptyOutDir: true, target: 'es2022' },
    logLevel: 'error',
  });
  const [menu = ''] = document.menus.nodes.keys();
  const nodes = mapTree<Id, object>(
    childrenOf(document.items, menu),
    (id) => childrenOf(document.items, id),
    (id, children) => ({
      id,
      title: labelOf(document, nodeAt(document.items, id)),
      ...(children.length === 0 ? {} : { children }),
    }),
  );
  await writeFile(join(folder, 'items.json'), JSON.stringify(nodes));
  const types: Readonly<Record<string, string>> = {
    '.html': 'text/html',
    '.js': 'text/javascript',
    '.css': 'text/css',
    '.json': 'application/json',
  };
  const server = createServer((request, response) => {
    const path = join(folder, request.url === '/' ? 'index.html' : (request.url ?? ''));
    readFile(path).then(
      (bytes) =>
        response
          .writeHead(200, { 'Content-Type': types[extname(path)] ?? 'application/octet-stream' })
          .end(bytes),
      () => response.writeHead(404).end(),
    );
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  return {
    address: `http://127.0.0.1:${(server.address() as AddressInfo).port}/`,
    async close() {
      server.closeAllConnections();
      server.close();
      await rm(folder, { recursive: true, force: true });
    },
  };
}

/** How long the page's own thread has worked so far, in ms. */
async function worked(driver: WebDriver): Promise<number> {
  const { metrics } = (await (driver as Driver).sendAndGetDevToolsCommand(
    'Performance.getMetrics',
    {},
  )) as unknown as {
    metrics: { name: string; value: number }[];
  };
  return (metrics.find(({ name }) => name === 'TaskDuration')?.value ?? 0) * 1000;
}

async function workOf(driver: WebDriver, act: () => Promise<unknown>): Promise<number> {
  const before = await worked(driver);
  await act();
  await driver.executeAsyncScript(
    'const done = arguments[0]; requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done)))',
  );
  return (await worked(driver)) - before;
}

/** How long a page or a script may take, in ms: a slow machine is slow, not broken. */
const SLOW = 300_000;

/**
 * Arrange with 5,000 items: until its rows are painted; work for each frame of a drag, for a drop, for
 * folding and unfolding all.
 */
export async function arrangeFigures(): Promise<(Figure | Unmeasured)[]> {
  const site = await served(20);
  const other = await reference(site.document);
  const browser = await openBrowser();
  const { driver } = browser;
  try {
    const ours: number[] = [];
    const theirs: number[] = [];
    let problem: string | null = null;
    // The reference takes half a minute and more on a slow machine.
    await driver.manage().setTimeouts({ script: SLOW, pageLoad: SLOW });
    for (let round = 0; round < 5; round += 1) {
      ours.push(await timeToPaint(driver, site.menu, '[role=treeitem] .label', 10));
      if (round >= 3 || problem !== null) continue;
      await timeToPaint(driver, other.address, '.v-treeview-item', ITEMS * 0.9).then(
        (time) => theirs.push(time),
        (error: Error) => (problem = `the reference could not be measured (${error.message})`),
      );
    }
    await driver.get(site.menu);
    await driver.wait(async () => (await driver.findElements(By.css('[role=treeitem]'))).length > 10, SLOW);
    await (driver as Driver).sendDevToolsCommand('Performance.enable', {});
    const rows = await driver.findElements(By.css('[role=treeitem]'));
    const frames: number[] = [];
    await driver.executeScript(
      'window.__frames = 0; (function count() { window.__frames += 1; requestAnimationFrame(count); })()',
    );
    const framesSoFar = (): Promise<number> => driver.executeScript<number>('return window.__frames');
    await driver.actions().move({ origin: rows[1]! }).press().move({ origin: rows[3]! }).perform();
    // A few first, until the engine has compiled what runs with each.
    for (let step = -30; step < 90; step += 1) {
      const y = 12 + (Math.abs(step) % 5) * 30;
      const x = (Math.abs(step) % 7) * 12;
      const before = await framesSoFar();
      const work = await workOf(driver, () =>
        driver.actions({ async: true }).move({ origin: rows[2]!, x, y, duration: 0 }).perform(),
      );
      if (step >= 0) frames.push(work / Math.max(1, (await framesSoFar()) - before));
    }
    const drop = await workOf(driver, () => driver.actions().release().perform());
    const tree = await driver.findElement(By.css('[role=tree]'));
    await tree.sendKeys(Key.HOME);
    const folds: number[] = [];
    for (const key of ['-', '+', '-', '+', '-', '+'])
      folds.push(await workOf(driver, () => tree.sendKeys(key)));
    return [
      problem === null
        ? {
            name: 'open',
            ours: quantile(ours, 0.5),
            reference: quantile(theirs, 0.5),
            unit: 'ms',
            target: 0.05,
          }
        : { name: 'open', problem },
      { name: 'drag', ours: quantile(frames, 0.95), reference: 8, unit: 'ms', target: 0.8 },
      { name: 'drop', ours: drop, reference: 100, unit: 'ms', target: 0.5 },
      { name: 'unfold-all', ours: quantile(folds, 0.5), reference: 100, unit: 'ms', target: 0.5 },
    ];
  } finally {
    await browser.close();
    await other.close();
    await site.close();
  }
}

/** First results for a keystroke among 100,000 pages. */
export async function findFigure(): Promise<Figure> {
  const site = await served(100_000);
  const browser = await openBrowser();
  const { driver } = browser;
  try {
    await driver.manage().setTimeouts({ script: SLOW, pageLoad: SLOW });
    await driver.get(site.menu);
    await driver.wait(async () => (await driver.findElements(By.css('[role=tree]'))).length > 0, SLOW);
    await (await driver.findElement(By.css('[role=tree]'))).sendKeys('/');
    await driver.wait(async () => (await driver.findElements(By.css('.finder .page'))).length > 5, SLOW);
    // From the key until other rows than before are painted.
    const script = `const [text, done] = arguments; const input = document.querySelector('.finder .search');
      const seen = () => document.querySelector('.finder header .number').textContent; const before = seen(); const begin = performance.now();
      input.value = text; input.dispatchEvent(new Event('input'));
      const look = () => seen() !== before ? requestAnimationFrame(() => done(performance.now() - begin)) : performance.now() - begin > 5000 ? done(null) : requestAnimationFrame(look); look();`;
    const times: number[] = [];
    for (let round = 0; round < 30; round += 1) {
      const number = String(1000 + round * 317);
      for (const text of [number.slice(0, 1), number.slice(0, 2), number.slice(0, 3), `cafe ${number}`]) {
        const time = await driver.executeAsyncScript<number | null>(script, text);
        if (time !== null) times.push(time);
      }
    }
    return { name: 'find', ours: quantile(times, 0.95), reference: 50, unit: 'ms', target: 0.8 };
  } finally {
    await browser.close();
    await site.close();
  }
}
