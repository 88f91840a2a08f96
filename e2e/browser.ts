import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Session, type WebDriver } from 'selenium-webdriver';
import { Driver, Options, ServiceBuilder } from 'selenium-webdriver/chrome.js';
import { Executor, HttpClient } from 'selenium-webdriver/http/index.js';

export interface TestBrowser {
  readonly driver: WebDriver;
  /** Sets the viewport exactly, in CSS px. */
  readonly resize: (width: number, height: number) => Promise<void>;
  readonly close: () => Promise<void>;
}

/** How Arrange first shows menus. */
export type ArrangeForm = 'spread' | 'outline';

/** A browser that is already running, as another process can reach it. */
export interface RunningBrowser {
  /** ChromeDriver's address. */
  readonly address: string;
  /** The id of the WebDriver session. */
  readonly session: string;
}

/**
 * Debian's headless Chromium with a profile of its own. It reaches this machine only. `flags`: more of its
 * command line. `hasScrollbars`: they take room, as on most desktops.
 */
export async function startBrowser(
  width = 1280,
  height = 800,
  flags: readonly string[] = [],
  hasScrollbars = false,
): Promise<RunningBrowser & { readonly close: () => Promise<void> }> {
  const profile = await mkdtemp(join(tmpdir(), 'zorvik-browser-'));
  const options = new Options();
  options.setChromeBinaryPath('/usr/bin/chromium');
  options.addArguments(
    '--headless=new',
    '--no-sandbox',
    '--disable-gpu',
    '--disable-dev-shm-usage',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--force-color-profile=srgb',
    ...(hasScrollbars ? [] : ['--hide-scrollbars']),
    '--lang=en-GB',
    `--window-size=${width},${height + 200}`,
    `--user-data-dir=${profile}`,
    '--host-resolver-rules=MAP * ~NOTFOUND , EXCLUDE 127.0.0.1',
    ...flags,
  );
  const service = new ServiceBuilder('/usr/bin/chromedriver').build();
  const address = await service.start();
  const driver = Driver.createSession(options, executorAt(address));
  const session = (await driver.getSession()).getId();
  const close = async (): Promise<void> => {
    await driver.quit().catch(() => undefined);
    await service.kill();
    await rm(profile, { recursive: true, force: true, maxRetries: 5 });
  };
  return { address, session, close };
}

/** How long a page that was said to be there may still be on its way, in ms. */
const LATE = 5000;

/**
 * On a busy machine, ChromeDriver may say that a page is there while the one before it still is. So the page that is
 * left is marked, and another one is waited for; what never comes is left to whoever looks for it.
 */
class PatientDriver extends Driver {
  override async get(url: string): Promise<void> {
    const now = await this.getCurrentUrl().catch(() => '');
    const isJump = url.includes('#') && url.split('#')[0] === now.split('#')[0];
    if (!isJump) await this.executeScript('window.isLeft = true').catch(() => undefined);
    await super.get(url);
    for (const until = Date.now() + LATE; !isJump && Date.now() < until; await this.sleep(20)) {
      const isThere = await this.executeScript<boolean>(
        "return window.isLeft !== true && document.readyState === 'complete'",
      ).catch(() => true);
      if (isThere) return;
    }
  }
}

/** Drives a browser that runs already. Closing it is left to whoever started it. */
export function driverOf({ address, session }: RunningBrowser): Driver {
  const executor = executorAt(address);
  executor.defineCommand('sendDevToolsCommand', 'POST', '/session/:sessionId/chromium/send_command');
  executor.defineCommand(
    'sendAndGetDevToolsCommand',
    'POST',
    '/session/:sessionId/chromium/send_command_and_get_result',
  );
  return new PatientDriver(new Session(session, {}), executor);
}

/** Opens a browser for one caller. `form`: how Arrange first shows menus there. */
export async function openBrowser(
  width = 1280,
  height = 800,
  form: ArrangeForm = 'outline',
): Promise<TestBrowser> {
  const running = await startBrowser(width, height);
  const driver = driverOf(running);
  await resizerOf(driver)(width, height);
  await beginWith(driver, form);
  return { driver, resize: resizerOf(driver), close: running.close };
}

/** Sets the viewport of a browser exactly, in CSS px. */
export function resizerOf(driver: Driver): TestBrowser['resize'] {
  return (width, height) =>
    driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
      width,
      height,
      deviceScaleFactor: 1,
      mobile: false,
    });
}

/** Lets Arrange begin in a form in this window, unless a person has chosen one. */
export async function beginWith(driver: Driver, form: ArrangeForm): Promise<void> {
  const source = `try { localStorage.getItem('zorvik-arrange-form') ?? localStorage.setItem('zorvik-arrange-form', '${form}'); } catch {}`;
  await driver.sendDevToolsCommand('Page.addScriptToEvaluateOnNewDocument', { source });
}

function executorAt(address: string): Executor {
  return new Executor(Promise.resolve(address).then((url) => new HttpClient(url)));
}
