import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Driver } from 'selenium-webdriver/chrome.js';

/** A page to be looked at: its style sheet, and what its body holds. */
export interface Look {
  readonly css: string;
  readonly body: string;
}

/** What is found on a page. */
export interface Seen {
  /** The tag of each element, and of each pseudo-element that is there, and what its computed style comes to. */
  readonly styles: readonly (readonly [string, number])[];
  /** A PNG, in base64. */
  readonly picture: string;
}

const PICTURE =
  '<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="800"><path fill="#7a9" d="M0 0h1200v800H0Z"/><path fill="#c84" d="M0 0h600v400H0Z"/></svg>';

/** Serves pages to look at. Their pictures are there at once, and not only when they come into sight. */
export async function galleryOf(pages: ReadonlyMap<string, Look>): Promise<{
  readonly address: (name: string) => string;
  readonly close: () => Promise<void>;
}> {
  const server = createServer((request, response) => {
    const { url = '/' } = request;
    if (url.startsWith('/p/')) {
      response.writeHead(200, { 'Content-Type': 'image/svg+xml' }).end(PICTURE);
      return;
    }
    const page = pages.get(url.slice(1));
    response.writeHead(page === undefined ? 404 : 200, { 'Content-Type': 'text/html; charset=utf-8' });
    response.end(
      page === undefined
        ? ''
        : `<!doctype html><html lang="en"><meta name="viewport" content="width=device-width"><title>Look</title><style>body{margin:0;font:16px/1.5 serif;color:#333}nav{margin:1rem}</style><style>${page.css}</style><body>${page.body.replaceAll(' loading="lazy"', '')}`,
    );
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  return {
    address: (name) => `http://127.0.0.1:${(server.address() as AddressInfo).port}/${name}`,
    close: async () => {
      server.closeAllConnections();
      await new Promise((done) => server.close(done));
    },
  };
}

/** The same style sheet with a state that everything is in: what takes its place has the same specificity. */
export function inState(css: string, state: 'hover' | 'focus'): string {
  const pattern = state === 'hover' ? /:hover/g : /:focus(?:-visible|-within)?/g;
  return css.replace(pattern, ':not(.never)');
}

/** How somebody sees a page: on the screen, on paper, with the colours of their system. */
export type Medium = 'screen' | 'print' | 'forced colours';

/** Lets the browser show pages as in a medium. */
export async function showAs(
  driver: Driver,
  medium: Medium,
  scheme: 'light' | 'dark' = 'light',
): Promise<void> {
  await driver.sendDevToolsCommand('Emulation.setEmulatedMedia', {
    media: medium === 'print' ? 'print' : '',
    features: [
      { name: 'forced-colors', value: medium === 'forced colours' ? 'active' : 'none' },
      { name: 'prefers-color-scheme', value: scheme },
    ],
  });
}

/** Opens every branch, as the script does. */
const OPEN = `document.querySelectorAll('nav').forEach((nav) => nav.setAttribute('data-zv-on', ''));
document.querySelectorAll('button[aria-expanded]').forEach((button) => button.setAttribute('aria-expanded', 'true'));`;
/** Stops all motion. */
const STILL = `const still = document.createElement('style'); still.textContent = '*,*::before,*::after{transition:none!important;animation:none!important}'; document.head.append(still);`;

/**
 * All that can be asked for the style of, in the order of the page; `text` gives a style whole, without the looks of
 * edges that are 0 px wide.
 */
const ALL = `// Not asked for: what no rule of ours sets, and what follows from the rest.
const names = [...getComputedStyle(document.body)].filter((name) => !/^(?:-webkit|animation|scroll|stroke|font-variant|font-synth|mask|offset|view|timeline|text-emphasis|text-box|text-size|column-rule|break|container|ruby|math|page|paint|object-view|overscroll|shape|speak|will|buffered|clip-rule|color-|dominant|alignment|baseline|flood|lighting|stop|vector|text-anchor|writing|hyphen|tab-size|orphans|widows|image|isolation|mix|backface|perspective|transform|marker|corner|interpolate|position-|reading|block-size|inline-size|(?:min|max)-(?:block|inline)-size|(?:padding|margin|inset)-(?:block|inline)|border-(?:block|inline|start|end|image)|c[xy]$|r[xy]?$|[dxy]$)/.test(name));
const text = ([element, pseudo]) => {
  const style = getComputedStyle(element, pseudo);
  let css = '';
  for (const name of names) {
    const side = /^border-(.*)-(?:style|color)$/.exec(name)?.[1];
    if (side === undefined || style.getPropertyValue('border-' + side + '-width') !== '0px') css += name + ': ' + style.getPropertyValue(name) + '; ';
  }
  return css;
};
const all = [...document.body.querySelectorAll('*')].flatMap((element) => [null, '::before', '::after'].flatMap((pseudo) => pseudo === null || !['none', 'normal'].includes(getComputedStyle(element, pseudo).content) ? [[element, pseudo]] : []));`;
/** FNV-1a (Fowler, Noll, Vo), 32 bits. */
const SUMS = `${ALL}const sum = (words) => { let hash = 0x811c9dc5; for (let at = 0; at < words.length; at += 1) hash = Math.imul(hash ^ words.charCodeAt(at), 0x01000193); return hash >>> 0; };
return all.map((one) => [one[0].tagName + (one[1] ?? ''), sum(text(one))]);`;

/** Looks at a page (`cssText` of computed styles is empty in Chromium, so each property is asked for): with all branches open, or none. */
export async function lookAt(driver: Driver, address: string, isOpen: boolean): Promise<Seen> {
  await driver.get(address);
  await driver.executeScript(STILL + (isOpen ? OPEN : ''));
  await driver.executeScript(
    `return Promise.all([...document.images].map((image) => image.decode().catch(() => null))).then(() => document.fonts.ready).then(() => null)`,
  );
  const styles = await driver.executeScript<Seen['styles']>(SUMS);
  const { data } = (await driver.sendAndGetDevToolsCommand('Page.captureScreenshot', {
    format: 'png',
    captureBeyondViewport: true,
    optimizeForSpeed: true,
  })) as unknown as { data: string };
  return { styles, picture: data };
}

/** The styles of some elements of the page that is looked at, whole. */
export function stylesAt(driver: Driver, at: readonly number[]): Promise<string[]> {
  return driver.executeScript<string[]>(`${ALL}return arguments[0].map((at) => text(all[at]));`, at);
}

/** Which elements differ between two pages; null: the pages have not the same elements. */
export function differing(before: Seen, after: Seen): number[] | null {
  const isSame =
    before.styles.length === after.styles.length &&
    before.styles.every(([tag], at) => tag === after.styles[at]?.[0]);
  return isSame ? before.styles.flatMap(([, sum], at) => (sum === after.styles[at]?.[1] ? [] : [at])) : null;
}

/** What is different in two styles, by property. */
export function changesIn(before: string, after: string): string[] {
  const valuesIn = (text: string): Map<string, string> =>
    new Map(
      [...text.matchAll(/([\w-]+): ((?:"[^"]*"|[^;])*);/g)].map(([, name = '', value = '']) => [name, value]),
    );
  const [was, is] = [valuesIn(before), valuesIn(after)];
  return [...new Set([...was.keys(), ...is.keys()])].flatMap((name) =>
    was.get(name) === is.get(name) ? [] : [`${name}: ${was.get(name)} -> ${is.get(name)}`],
  );
}
