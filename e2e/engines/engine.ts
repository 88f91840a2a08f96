import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import puppeteer, { type KeyInput } from 'puppeteer-core';
import { Builder, Key, type WebDriver } from 'selenium-webdriver';
import { openBrowser } from '../browser.ts';

/** A browser engine with one window, as a person uses it. */
export interface Engine {
  readonly name: string;
  readonly open: (address: string) => Promise<void>;
  /** Runs a script in the page; what it returns has to be plain data. */
  readonly run: <T>(script: string) => Promise<T>;
  readonly press: (x: number, y: number) => Promise<void>;
  readonly key: (key: 'Escape' | 'Enter' | 'Tab') => Promise<void>;
  readonly close: () => Promise<void>;
}

/** Of all windows: WebKitGTK has none that is narrower than 447 px, so phones are iframes in it. */
const WIDTH = 1280;
const HEIGHT = 800;

const FIREFOX = '/usr/bin/firefox-esr';
const WEBKIT = '/usr/bin/WebKitWebDriver';
const MINI_BROWSER = `/usr/lib/${process.arch === 'arm64' ? 'aarch64' : 'x86_64'}-linux-gnu/webkit2gtk-4.1/MiniBrowser`;
const XVFB = '/usr/bin/Xvfb';

/** The engines that are installed here, Chromium first. */
export const engines: readonly { readonly name: string; readonly start: () => Promise<Engine> }[] = [
  { name: 'Chromium', start: chromium },
  ...(existsSync(FIREFOX) ? [{ name: 'Firefox', start: firefox }] : []),
  ...([WEBKIT, MINI_BROWSER, XVFB].every((path) => existsSync(path))
    ? [{ name: 'WebKit', start: webkit }]
    : []),
];

async function chromium(): Promise<Engine> {
  const { driver, close } = await openBrowser(WIDTH, HEIGHT);
  return driven('Chromium', driver, close);
}

function driven(name: string, driver: WebDriver, close: () => Promise<void>): Engine {
  const keys = { Escape: Key.ESCAPE, Enter: Key.ENTER, Tab: Key.TAB } as const;
  return {
    name,
    open: (address) => driver.get(address),
    run: (script) => driver.executeScript(script),
    press: (x, y) =>
      driver
        .actions()
        .move({ x: Math.round(x), y: Math.round(y) })
        .click()
        .perform(),
    key: (key) => driver.actions().sendKeys(keys[key]).perform(),
    close,
  };
}

/** Firefox by WebDriver BiDi: Debian has no geckodriver. */
async function firefox(): Promise<Engine> {
  const browser = await puppeteer.launch({ browser: 'firefox', executablePath: FIREFOX, headless: true });
  const page = await browser.newPage();
  await page.setViewport({ width: WIDTH, height: HEIGHT });
  return {
    name: 'Firefox',
    open: async (address) => void (await page.goto(address)),
    run: <T>(script: string) => page.evaluate(`(() => {${script}})()`) as Promise<T>,
    press: (x, y) => page.mouse.click(Math.round(x), Math.round(y)),
    key: (key) => page.keyboard.press(key as KeyInput),
    close: () => browser.close(),
  };
}

/** WebKitGTK's own small browser, on a screen that nobody sees. */
async function webkit(): Promise<Engine> {
  const display = `:${await freePort(6100)}`;
  const screen = spawn(XVFB, [display, '-screen', '0', '1600x1200x24', '-nolisten', 'tcp'], {
    stdio: 'ignore',
  });
  const port = await freePort();
  const server = spawn(WEBKIT, [`--port=${port}`], {
    stdio: 'ignore',
    env: { ...process.env, DISPLAY: display, WEBKIT_DISABLE_SANDBOX_THIS_IS_DANGEROUS: '1' },
  });
  const stop = (one: ChildProcess): void => void one.kill();
  const address = `http://127.0.0.1:${port}`;
  await listening(address);
  const driver = await new Builder()
    .usingServer(address)
    .withCapabilities({
      browserName: 'MiniBrowser',
      'webkitgtk:browserOptions': { binary: MINI_BROWSER, args: ['--automation'] },
    })
    .build();
  await driver
    .manage()
    .window()
    .setRect({ x: 0, y: 0, width: WIDTH + 20, height: HEIGHT + 100 });
  return driven('WebKit', driver, async () => {
    await driver.quit().catch(() => undefined);
    stop(server);
    stop(screen);
  });
}

/** A free port, or the number of a free screen: X servers listen at 6000 and their number. */
function freePort(from = 0): Promise<number> {
  if (from > 0) return Promise.resolve(90 + Math.floor((process.pid % 1000) / 2));
  return new Promise((done, fail) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => done(port));
    });
    server.on('error', fail);
  });
}

async function listening(address: string): Promise<void> {
  for (let tries = 0; tries < 100; tries += 1) {
    if ((await fetch(`${address}/status`).catch(() => null)) !== null) return;
    await new Promise((done) => setTimeout(done, 100));
  }
  throw new Error(`${address} does not answer.`);
}
