import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Builder, type WebDriver } from 'selenium-webdriver';
import { Options, ServiceBuilder, type Driver } from 'selenium-webdriver/chrome.js';

export interface TestBrowser {
  readonly driver: WebDriver;
  /** Sets the viewport exactly, in CSS px. */
  readonly resize: (width: number, height: number) => Promise<void>;
  readonly close: () => Promise<void>;
}

/** Debian's headless Chromium with a profile of its own, which reaches nothing but this machine. `form`: how Arrange first shows menus there. */
export async function openBrowser(width = 1280, height = 800, form: 'spread' | 'outline' = 'outline'): Promise<TestBrowser> {
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
    '--hide-scrollbars',
    '--lang=en-GB',
    `--window-size=${width},${height + 200}`,
    `--user-data-dir=${profile}`,
    '--host-resolver-rules=MAP * ~NOTFOUND , EXCLUDE 127.0.0.1',
  );
  const driver = await new Builder().forBrowser('chrome').setChromeOptions(options).setChromeService(new ServiceBuilder('/usr/bin/chromedriver')).build();
  const resize = async (w: number, h: number): Promise<void> => {
    const metrics = { width: w, height: h, deviceScaleFactor: 1, mobile: false };
    await (driver as Driver).sendDevToolsCommand('Emulation.setDeviceMetricsOverride', metrics);
  };
  await resize(width, height);
  const source = `try { localStorage.getItem('zorvik-arrange-form') ?? localStorage.setItem('zorvik-arrange-form', '${form}'); } catch {}`;
  await (driver as Driver).sendDevToolsCommand('Page.addScriptToEvaluateOnNewDocument', { source });
  return {
    driver,
    resize,
    async close() {
      await driver.quit();
      await rm(profile, { recursive: true, force: true, maxRetries: 5 });
    },
  };
}
