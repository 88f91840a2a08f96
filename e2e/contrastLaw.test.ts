import { JSDOM } from 'jsdom';
import sharp from 'sharp';
import type { Driver } from 'selenium-webdriver/chrome.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  areaId,
  contrastPairs,
  fixFor,
  fixOperation,
  placesOf,
  readStored,
  renderPage,
  selectorsIn,
  seededRandom,
  sheetOf,
  situationOn,
  situationsOfHeader,
  thingNames,
  thingOf,
  upgraded,
  valueOfName,
  withFollowed,
  withNodesLast,
  emptyForest,
  isFailing,
  type ContrastPair,
  type DrawnElement,
  type Property,
  type Scheme,
  type Sheet,
  type SiteDocument,
  type State,
  type Style,
} from '@zorvik/core';
import { applied, withRandomLooks } from '@zorvik/core/testing';
import { quillmereDocument } from '../demo/quillmere/quillmereDocument.ts';
import { makePicture } from '../packages/server/src/editing/makePicture.ts';
import { contrast } from '../packages/web/src/theme/contrast.ts';
import { galleryOf, showAs, type Look } from './looks.ts';
import { enterStage, type Stage } from './stage.ts';
import { forced } from './styleLaw.ts';

/**
 * Law 2 of looks: the contrast that is computed is what is seen. Beside each text a mark in its colour is drawn; a
 * picture of the page with all text unseen has what is behind it. Both are read as pixels.
 */
const SEEDS = Number(process.env.STYLE_LAW_SEEDS ?? 4);
const byCode = (a: string, b: string): number => (a < b ? -1 : Number(a > b));
const quillmere = withFollowed(upgraded(readStored(quillmereDocument())).document, byCode);
const paths = ['/', '/plants/trees/english-oak', '/shop/seeds'];
/** What changes colours; sizes and places stay, so that nothing lies over something else. */
const colours: ReadonlySet<string> = new Set<Property>([
  'color',
  'background',
  'backgroundImage',
  'opacity',
  'ink',
  'tint',
  'accent',
]);

function inColours(document: SiteDocument): SiteDocument {
  const styles = [...document.styles.nodes.values()].map(
    (style) =>
      Object.fromEntries(
        Object.entries(style).filter(
          ([name]) =>
            colours.has(name) || ['id', 'parent', 'owner', 'thing', 'state', 'scheme'].includes(name),
        ),
      ) as unknown as Style,
  );
  // What was set for one situation or one device class would now stand for all of them.
  const plain = styles.filter((_, at) => {
    const { situation, device } = [...document.styles.nodes.values()][at] ?? {};
    return situation === undefined && device === undefined;
  });
  return { ...document, styles: withNodesLast(emptyForest<Style>(), plain) };
}

/** Something that was read off the page. */
interface Seen {
  readonly thing: string;
  readonly part: string | null;
  readonly state: State;
  readonly isOver: boolean;
  readonly x: number;
  readonly y: number;
}

/** Puts a mark before each text that can be seen, and says where it is and what it belongs to. */
const MARK = `const [things, state] = arguments;
const still = document.createElement('style');
still.textContent = '*,*::before,*::after{transition:none!important;animation:none!important} [data-mark]{display:inline-block!important;inline-size:7px!important;block-size:7px!important;min-inline-size:7px!important;flex:none!important;background:currentColor!important;margin:0!important;padding:0!important;border:0!important}';
document.head.append(still);
document.querySelectorAll('nav,.zv-header,.zv-side').forEach((one) => one.setAttribute('data-zv-on', ''));
const named = new Map();
for (const { name, selector } of things) for (const element of document.querySelectorAll(selector)) named.set(element, name);
const seen = [];
for (const element of document.querySelectorAll('body *')) {
  const text = [...element.childNodes].find((one) => one.nodeType === 3 && one.data.trim() !== '');
  if (text === undefined || !element.checkVisibility({ opacityProperty: false, visibilityProperty: true })) continue;
  let holder = element;
  while (holder !== null && !named.has(holder)) holder = holder.parentElement;
  if (holder === null || element.closest('.zv-skip,label') !== null) continue;
  const pressed = holder.closest('a,button');
  if (state !== 'normal' && (pressed === null || !pressed.matches('a,button'))) continue;
  const mark = document.createElement('i');
  mark.dataset.mark = '';
  text.before(mark);
  const current = (pressed ?? holder).getAttribute('aria-current');
  seen.push({ mark, thing: named.get(holder), part: holder.closest('[data-zv-part]')?.dataset.zvPart ?? null,
    state: state !== 'normal' ? state : current === 'page' ? 'current' : current !== null ? 'within' : 'normal',
    isOver: state === 'normal' && holder.closest('.zv-over-content') !== null });
}
return seen.flatMap(({ mark, ...rest }) => {
  const { left, top, width, height } = mark.getBoundingClientRect();
  const [x, y] = [left + width / 2, top + height / 2];
  if (width < 6 || x < 2 || y < 2 || x > innerWidth - 2 || y > innerHeight - 2 || document.elementFromPoint(x, y) !== mark) return [];
  return [{ ...rest, x, y }];
});`;
const HIDE = `const unseen = document.createElement('style');
unseen.textContent = '*{-webkit-text-fill-color:transparent!important;text-decoration-color:transparent!important} svg,[data-mark]{visibility:hidden!important}';
document.head.append(unseen);`;

/** A picture with bright and dark places, and what the server says of it. */
async function meadow(): Promise<{ file: string; bytes: Buffer; tones: string[] }> {
  const [width, height] = [1440, 400];
  const random = seededRandom(3);
  const data = Buffer.alloc(width * height * 3);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const light = 0.5 + 0.35 * Math.sin(x / 60) * Math.cos(y / 45) + 0.1 * (random() / 2 ** 32 - 0.5);
      for (const [at, part] of [210, 230, 180].entries()) data[(y * width + x) * 3 + at] = part * light;
    }
  const bytes = await sharp(data, { raw: { width, height, channels: 3 } })
    .png()
    .toBuffer();
  const made = await makePicture(bytes);
  if (!made.ok) throw new Error(made.refusal.message);
  return { file: made.value.picture.file, bytes, tones: [...made.value.tones] };
}

let browser: Stage['browser'];
let gallery: Awaited<ReturnType<typeof galleryOf>>;
const pages = new Map<string, Look>();
beforeAll(async () => {
  ({ browser } = await enterStage());
  gallery = await galleryOf(pages);
});
afterAll(async () => {
  await gallery.close();
  await showAs(browser.driver as Driver, 'screen');
  await browser.resize(1280, 800);
});

const things = thingNames
  .filter((name) => !thingOf(name).in.normal.includes('::'))
  .map((name) => ({ name, selector: selectorsIn(thingOf(name).in.normal).join(',') }));

async function picture(): Promise<(x: number, y: number) => readonly number[]> {
  const shot = Buffer.from(await browser.driver.takeScreenshot(), 'base64');
  const { data, info } = await sharp(shot).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  return (x, y) => [...data.subarray((Math.floor(y) * info.width + Math.floor(x)) * 3).subarray(0, 3)];
}
const hex = (rgb: readonly number[]): string =>
  `#${rgb.map((one) => one.toString(16).padStart(2, '0')).join('')}`;
const isNear = (one: string, other: string): boolean =>
  [1, 3, 5].every(
    (at) =>
      Math.abs(Number.parseInt(one.slice(at, at + 2), 16) - Number.parseInt(other.slice(at, at + 2), 16)) <=
      2,
  );

/** A page of the site, and the contrast of all that is on it. */
function computedOn(
  document: SiteDocument,
  path: string,
  changed: (sheet: Sheet) => Sheet = (sheet) => sheet,
): { readonly html: string; readonly css: string; readonly pairs: readonly ContrastPair[] } {
  const page = [...document.pages.nodes.values()].find(({ address }) => address === path);
  const { header, side, footer, css } = renderPage(document, situationOn(document, page?.id ?? null), {
    compareTitles: byCode,
    pictures: '/p/',
    year: 2026,
    isComposed: true,
  });
  const html = header + side + footer;
  const sheet = changed({ ...sheetOf(document), situations: situationsOfHeader(html) });
  const { window } = new JSDOM(html);
  return {
    html,
    css,
    pairs: contrastPairs(placesOf(window.document.body as unknown as DrawnElement, sheet), sheet),
  };
}

/** What of a page is seen otherwise than it is computed, and how much of it was compared. */
async function judged(
  document: SiteDocument,
  path: string,
  state: State,
  changed: (sheet: Sheet) => Sheet = (sheet) => sheet,
  scheme: Scheme = 'light',
): Promise<{ readonly compared: number; readonly problems: string[] }> {
  const { html, css, pairs: all } = computedOn(document, path, changed);
  const pairs = all.filter((pair) => pair.scheme === null || pair.scheme === scheme);
  const name = `contrast-${state}-${path.replaceAll('/', '-')}`;
  // In the dark, a site is dark itself.
  const paper = valueOfName(sheetOf(document).palette, 'paper', 'dark') ?? '';
  const page = scheme === 'dark' && document.site.hasDark ? `body{background:${paper}}` : '';
  pages.set(name, { css: page + forced(css, state === 'normal' ? [] : [state]), body: html });
  await browser.resize(1280, 1400);
  const driver = browser.driver as Driver;
  await showAs(driver, 'screen', scheme);
  await driver.get(gallery.address(name));
  const seen = await driver.executeScript<Seen[]>(MARK, things, state);
  const marked = await picture();
  await driver.executeScript(HIDE);
  const bare = await picture();
  const problems: string[] = [];
  let compared = 0;
  for (const one of seen) {
    const own = pairs.filter((pair) => isAbout(pair, one));
    if (own.length === 0) continue;
    const [top, below] = [hex(marked(one.x, one.y)), hex(bare(one.x, one.y))];
    // Text that is quite transparent is not there to be read.
    if (top === below) continue;
    compared += 1;
    const fits = own.some(
      (pair) =>
        (isNear(pair.colour, top) && pair.grounds.some((ground) => isNear(ground, below))) ||
        // Of a gradient, or of several things behind, another place is seen than where it is hardest to read.
        pair.grounds.length > 1,
    );
    if (!fits)
      problems.push(
        `${one.thing} ${one.state}: ${top} on ${below} is seen, and ${own.map(({ colour, grounds }) => `${colour} on ${grounds.join('/')}`).join(' or ')} computed`,
      );
  }
  return { compared, problems: [...new Set(problems)] };
}

function isAbout(pair: ContrastPair, { thing, part, state, isOver }: Seen): boolean {
  return (
    pair.kind === 'text' &&
    pair.thing === thing &&
    pair.part === part &&
    pair.state === state &&
    (pair.situation === 'over') === isOver &&
    pair.situation !== 'scrolled'
  );
}

describe('law 2 of looks', () => {
  it('the contrast that is computed is that of the pixels, for random colours, in several states', async () => {
    let compared = 0;
    for (let seed = 0; seed < SEEDS; seed += 1) {
      const document = inColours(withRandomLooks(seededRandom(seed + 7), quillmere, 220));
      const state = (['normal', 'hover', 'focus'] as const)[seed % 3] ?? 'normal';
      const scheme = seed % 2 === 0 ? 'dark' : 'light';
      const found = await judged(document, paths[seed % paths.length] ?? '/', state, undefined, scheme);
      expect(found.problems.slice(0, 8), `seed ${seed}, ${state}`).toEqual([]);
      compared += found.compared;
    }
    console.log(`${compared} texts compared with their pixels`);
    expect(compared).toBeGreaterThan(SEEDS * 15);
  });

  it('over a picture, the least veil that is offered is what text needs to be read, wherever it is', async () => {
    const { file, bytes, tones } = await meadow();
    const target = { owner: areaId('header'), thing: 'header' } as const;
    const pictured = [
      {
        kind: 'setToken' as const,
        target: { key: 'meadow', of: 'picture' as const },
        set: { name: 'Meadow', value: 'own:picture', picture: { file, width: 1440, height: 400 }, tones },
        was: {},
      },
      { kind: 'setStyle' as const, target, set: { backgroundImage: '@meadow' }, was: {} },
      { kind: 'setStyle' as const, target, set: { ink: '#ffffff' }, was: {} },
    ].reduce(applied, { ...quillmere, styles: emptyForest<Style>() });
    const pairsOf = (document: SiteDocument): ContrastPair[] =>
      computedOn(document, '/shop/seeds').pairs.filter((pair) => isFailing(pair) && pair.picture !== null);
    const bare = pairsOf(pictured);
    expect(bare.length).toBeGreaterThan(0);
    const [first] = bare.filter(({ state, thing }) => state === 'normal' && thing === 'barBranch');
    const fix = first === undefined ? null : fixFor(pictured, first, pairsOf);
    expect(fix).toMatchObject({ target, property: 'backgroundImage', colour: null });
    const veiled = applied(pictured, fixOperation(pictured, fix!));
    const shareOf = async (document: SiteDocument): Promise<number> => {
      const { html, css } = computedOn(document, '/shop/seeds');
      const data = `data:image/png;base64,${bytes.toString('base64')}`;
      pages.set('meadow', { css: css.replaceAll(/url\("[^"]*"\)/g, `url("${data}")`), body: html });
      await browser.resize(1280, 800);
      const driver = browser.driver as Driver;
      await showAs(driver, 'screen', 'light');
      await driver.get(gallery.address('meadow'));
      await driver.executeScript(HIDE);
      const { top, bottom } = await driver.executeScript<{ top: number; bottom: number }>(
        `const { top, bottom } = document.querySelector('.zv-header .zv-bar a+button').closest('.zv-band').getBoundingClientRect(); return { top, bottom };`,
      );
      const dots = await picture();
      let [readable, all] = [0, 0];
      for (let y = Math.ceil(top) + 2; y < bottom - 2; y += 3)
        for (let x = 2; x < 1250; x += 3) {
          const around = [-1, 0, 1].flatMap((down) => [-1, 0, 1].map((along) => dots(x + along, y + down)));
          const [red = 0, green = 0, blue = 0] = [0, 1, 2].map(
            (at) => around.reduce((sum, one) => sum + (one[at] ?? 0), 0) / around.length,
          );
          all += 1;
          if (contrast(first?.colour ?? '', hex([red, green, blue].map(Math.round))) >= 4.5) readable += 1;
        }
      return readable / all;
    };
    expect(await shareOf(pictured), 'without a veil').toBeLessThan(0.9);
    expect(await shareOf(veiled)).toBeGreaterThan(0.98);
    // Less of a veil is not enough.
    const [, alpha = 'ff'] = /#000000([0-9a-f]{2})/.exec(fix?.value ?? '') ?? [];
    const less = (Number.parseInt(alpha, 16) - 26).toString(16).padStart(2, '0');
    const thinner = applied(pictured, {
      kind: 'setStyle',
      target,
      set: { backgroundImage: (fix?.value ?? '').replaceAll(`#000000${alpha}`, `#000000${less}`) },
      was: {},
    });
    expect(pairsOf(thinner).length).toBeGreaterThan(0);
  });

  it('Quillmere has nothing that is hard to read, in any state, on any kind of page', () => {
    for (const path of [...paths, '/about/news/moss-room', '/garden'])
      expect(
        computedOn(quillmere, path)
          .pairs.filter(isFailing)
          .map(({ thing, state, colour, behind, ratio }) => [thing, state, colour, behind, ratio]),
        path,
      ).toEqual([]);
  });

  it('fails with a value forgotten, and with what is around left out', async () => {
    const document = inColours(withRandomLooks(seededRandom(8), quillmere, 220));
    const forgotten = await judged(document, paths[1] ?? '/', 'normal', (sheet) => ({
      ...sheet,
      set: sheet.set.map((look) => ({ ...look, values: { ...look.values, color: '#123456' } })),
    }));
    expect(forgotten.problems.length).toBeGreaterThan(0);
    const bare = await judged(quillmere, paths[1] ?? '/', 'normal', (sheet) => {
      const [first] = sheet.starters;
      const { footer: _, ...looks } = first.looks;
      return { ...sheet, starters: [{ ...first, looks }] };
    });
    expect(bare.problems.length).toBeGreaterThan(0);
  });
});
