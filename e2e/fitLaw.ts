import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Driver } from 'selenium-webdriver/chrome.js';
import {
  areaId,
  childrenOf,
  deviceClasses,
  factsOn,
  fitPage,
  mintId,
  readStored,
  renderPage,
  situationOn,
  upgraded,
  withFollowed,
  type Part,
  type ResolvedPart,
  fitBar,
  levelOwner,
  measuredBar,
  renderMenu,
  renderStyles,
  resolveMenu,
  seededRandom,
  setItems,
  setLooks,
  sheetOf,
  styledIn,
  type BarStretch,
  type CommandContext,
  type DeviceClass,
  type Edit,
  type FitFacts,
  type Id,
  type Lane,
  type LaneState,
  type MeasuredBar,
  type Measure,
  type RandomBits,
  type ResolvedMenu,
  type Result,
  type SiteDocument,
  type StyleSet,
  type StyleTarget,
} from '@zorvik/core';
import { quillmereDocument } from '../demo/quillmere/quillmereDocument.ts';
import { applied, below, contextOf, outlined } from '@zorvik/core/testing';
import { openFace, transformed, type Face } from '@zorvik/formats/fonts';

/**
 * The law of Fit: text is as wide as a browser makes it, and entries stand in the rows that a browser puts them in, at
 * every width.
 */

/** Open fonts that ship with the editor, by the key that they have in the documents of the law. */
export const fonts = { figtree: 'figtree', fraunces: 'fraunces', commissioner: 'commissioner' } as const;
export type FontKey = keyof typeof fonts;
export const fontKeys = Object.keys(fonts) as FontKey[];

export function fontBytes(key: FontKey): Buffer {
  const name = fonts[key];
  return readFileSync(
    fileURLToPath(
      new URL(
        `../node_modules/@fontsource-variable/${name}/files/${name}-latin-wght-normal.woff2`,
        import.meta.url,
      ),
    ),
  );
}

const faces = new Map<string, Face>();
/** Measures text in the fonts of the law. */
export const measure: Measure = (text, font) => {
  const { family, weight, transform, language } = font;
  const key = `${family} ${weight}`;
  let face = faces.get(key);
  if (face === undefined) faces.set(key, (face = openFace(fontBytes(family as FontKey), weight)));
  return face.widthOf(transformed(text, transform, language), font);
};

/** The faces of the fonts, for a page that loads nothing. */
export function faceRules(prefix: string): string {
  return fontKeys
    .map(
      (key) =>
        `@font-face{font-family:${prefix}${key};src:url(data:font/woff2;base64,${fontBytes(key).toString('base64')}) format("woff2");font-weight:100 900;font-display:block}`,
    )
    .join('\n');
}

/** A bar of 40 entries, as somebody could have set it. */
export interface RandomBar {
  readonly document: SiteDocument;
  readonly menu: ResolvedMenu;
}

const WORDS =
  'Visit Tickets Herbs Seed house Alpine AVATAR To Wave offices Fluffy Yo. Tools Bulbs & tubers What’s on Learn garden W.A. fi “New” 12 Members'.split(
    ' ',
  );
export const oneOf = <T>(random: RandomBits, some: readonly T[]): T => some[below(random, some.length)] as T;

/** A bar with a font, spacing, badges, icons, buttons, dropdowns and dividers; `seed` decides which. */
export function randomBar(seed: number, count = 40): RandomBar {
  const random = seededRandom(seed);
  const labels = Array.from({ length: count }, (_, at) => {
    const words = Array.from({ length: 1 + below(random, 3) }, () => oneOf(random, WORDS)).join(' ');
    const own = `${words} ${at}${below(random, 3) === 0 ? '' : ` > /page-${at}`}`;
    return below(random, 3) === 0 ? `${own}\n  Below ${at} > /below-${at}` : own;
  });
  const { document: start, menu } = outlined(labels.join('\n'));
  let document = start;
  const change = (make: (context: CommandContext) => Result<Edit>): void => {
    const made = make(contextOf(document, below(random, 1000)));
    if (made.ok) document = made.value.operations.reduce(applied, document);
    else if (made.refusal.code !== 'changesNothing') throw new Error(made.refusal.message);
  };
  for (const key of fontKeys) {
    const file = {
      file: 'ab'.repeat(16),
      family: key,
      weight: '100 900',
      bytes: 9,
      ascent: 900,
      descent: 200,
      gap: 0,
      width: 500,
    };
    document = applied(document, {
      kind: 'setToken',
      target: { key, of: 'font' },
      set: { name: key, value: 'own:sans', files: [file] },
      was: {},
    });
  }
  const set = (target: StyleTarget, values: StyleSet): void =>
    change((context) => setLooks(context, target, values));
  const site = document.site.id;
  set(
    { owner: site, thing: 'site' },
    { fontFamily: `@${oneOf(random, fontKeys)}`, fontWeight: oneOf(random, ['400', '500', '650']) },
  );
  set(
    { owner: site, thing: 'entry' },
    {
      fontSize: oneOf(random, ['1rem', '17px', '.9375rem', '13.5px']),
      letterSpacing: oneOf(random, ['0', '.02em', '1px', '-.2px']),
      wordSpacing: oneOf(random, ['0', '2px']),
      textTransform: oneOf(random, ['none', 'none', 'uppercase', 'capitalize']),
    },
  );
  set(
    { owner: menu, thing: 'barEntry' },
    { paddingInline: oneOf(random, ['@pad', '9px 13px', '.55em', '1.3rem']) },
  );
  set(
    { owner: menu, thing: 'barEntry', device: 'medium' },
    { paddingInline: oneOf(random, ['6px', '.3rem']) },
  );
  set({ owner: site, thing: 'bar' }, { gap: oneOf(random, ['@gap', '0', '.3rem 11px', '0.41em']) });
  set({ owner: site, thing: 'barDivider' }, { divider: oneOf(random, ['none', 'line', 'dot', 'chevron']) });
  set(
    { owner: site, thing: 'arrow' },
    { arrowShape: oneOf(random, ['chevron', 'bold', 'triangle', 'none']) },
  );
  set(
    { owner: levelOwner(menu, 1), thing: 'entry' },
    { borderInlineWidth: oneOf(random, ['0', '1px', '2.6px 0']) },
  );
  const items = [...document.items.nodes.values()]
    .filter(({ parent }) => parent === menu)
    .map(({ id }) => id);
  const leaf = { name: 'leaf', path: 'M2 2h20v20H2Z' };
  for (const id of items)
    if (below(random, 3) === 0)
      change((context) =>
        setItems(
          context,
          [id],
          oneOf(random, [
            { badge: { text: 'New', position: oneOf(random, ['after', 'before', 'above'] as const) } },
            { icon: { ...leaf, position: oneOf(random, ['after', 'before', 'above'] as const) } },
            { icon: { ...leaf, position: 'before' as const }, labelHidden: true as const },
            { look: 'button' },
            { look: 'outlined' },
            { description: 'All year' },
            { arrowHidden: true as const },
            { activation: { wide: 'open' as const, medium: 'follow' as const } },
            { hiddenOn: ['medium' as const] },
          ]),
        ),
      );
  set({ owner: items[3] ?? '', thing: 'barEntry' }, { letterSpacing: '3px', marginInline: '7px 0' });
  return { document, menu: resolveMenu(document, menu) };
}

/** What Fit says of a bar that has the whole window. */
export function fitted(
  { document, menu }: RandomBar,
  {
    by = measure,
    changed = (bar) => bar,
  }: { by?: Measure; changed?: (bar: MeasuredBar) => MeasuredBar } = {},
): BarStretch[] {
  const bars = Object.fromEntries(
    deviceClasses.map((device) => [device, changed(measuredBar(document, menu, device, by))]),
  ) as Record<DeviceClass, MeasuredBar>;
  return fitBar(document, bars, { from: 320, to: 1920 }, { narrow: 0, medium: 0, wide: 0 });
}

/** The first entry of each row after the first, as a text: at each of the widths in which it changes. */
export type RowsSeen = readonly (readonly [width: number, breaks: string])[];

/** Puts HTML with a style sheet into an iframe, whose width is the window’s: `pageIn(html, css, direction)`. */
export const PAGE_IN = `const pageIn = (html, css, direction = 'ltr') => {
  document.body.innerHTML = '';
  const frame = document.createElement('iframe');
  frame.style.cssText = 'border:0;inline-size:1920px;block-size:900px';
  document.body.append(frame);
  const page = frame.contentDocument;
  page.open();
  page.write('<!doctype html><html lang="en" dir="' + direction + '"><head><style>html{overflow:hidden}body{margin:0}</style><style></style></head><body></body></html>');
  page.close();
  page.querySelectorAll('style')[1].textContent = css;
  page.body.innerHTML = html;
  return { frame, page };
};`;

const LOOK = `${PAGE_IN}
const [html, css, direction, widths, done] = arguments;
const { frame, page } = pageIn(html, css, direction);
void page.body.offsetHeight;
page.fonts.ready.then(() => {
  const entries = [...page.querySelectorAll('nav>ul>li')];
  const seen = [];
  let before = null;
  for (const width of widths) {
    frame.style.inlineSize = width + 'px';
    let breaks = '';
    let bottom = null;
    for (const one of entries) {
      const { top, bottom: end, width: own } = one.getBoundingClientRect();
      if (own === 0 && end === top) continue;
      if (bottom !== null && top >= bottom - 1) { breaks += ' ' + one.dataset.zvItem; bottom = end; }
      else bottom = Math.max(bottom ?? end, end);
    }
    if (breaks !== before) seen.push([width, breaks.trim()]);
    before = breaks;
  }
  done(seen);
});`;

/** The rows in which a browser shows the entries of a bar, at each of the widths. */
export async function rowsInBrowser(
  driver: Driver,
  { document, menu }: RandomBar,
  direction: 'ltr' | 'rtl',
  widths: readonly number[],
): Promise<RowsSeen> {
  const html = renderMenu(menu, { place: 'bar', styled: styledIn(document), marks: true });
  const css = renderStyles(document.site, [menu], undefined, sheetOf(document)).replaceAll(
    /@font-face\{[^}]*\}\n?/g,
    '',
  );
  return driver.executeAsyncScript<RowsSeen>(LOOK, html, `${faceRules('zv-')}\n${css}`, direction, widths);
}

/** What Fit says at each of these widths, in the form in which it is seen. */
export function rowsSaid(stretches: readonly BarStretch[], widths: readonly number[]): RowsSeen {
  const said: (readonly [number, string])[] = [];
  let before: string | null = null;
  for (const width of widths) {
    const { breaks = [] as readonly Id[] } =
      stretches.find(({ from, to }) => width >= from && width <= to) ?? {};
    const now = breaks.join(' ');
    if (now !== before) said.push([width, now]);
    before = now;
  }
  return said;
}

/** Quillmere’s header on a page, as somebody could have changed it; seed 0: as it is. */
export interface RandomHeader {
  readonly document: SiteDocument;
  readonly path: string;
}
export const byCode = (a: string, b: string): number => (a < b ? -1 : Number(a > b));
const quillmere = withFollowed(upgraded(readStored(quillmereDocument())).document, byCode);
const paths = ['/', '/plants/trees', '/shop/seeds', '/about/news/moss-room'];

export function randomHeader(seed: number): RandomHeader {
  const random = seededRandom(seed + 400);
  const path = paths[seed % paths.length] ?? '/';
  if (seed < 4) return { document: quillmere, path };
  let document = quillmere;
  const set = (target: StyleTarget, values: StyleSet): void => {
    const made = setLooks(contextOf(document, below(random, 1000)), target, values);
    if (made.ok) document = made.value.operations.reduce(applied, document);
  };
  const site = document.site.id;
  document = {
    ...document,
    site: {
      ...document.site,
      contentWidth: oneOf(random, [900, 1120, 1400]),
      margins: oneOf(random, [{ narrow: 12, medium: 20, wide: 40 }, {}]),
      phone: '01632 960140',
    },
  };
  set({ owner: site, thing: 'zone' }, { gap: oneOf(random, ['.5rem 1rem', '8px 24px', '0']) });
  set({ owner: site, thing: 'zones' }, { gap: oneOf(random, ['.5rem 1.5rem', '12px']) });
  set(
    { owner: site, thing: 'entry' },
    {
      fontSize: oneOf(random, ['1rem', '1.125rem', '19px']),
      paddingInline: oneOf(random, ['@pad', '1.1rem']),
    },
  );
  set(
    { owner: site, thing: 'logo' },
    {
      fontSize: oneOf(random, ['1.625rem', '2.5rem']),
      gap: '10px',
      paddingInline: oneOf(random, ['0', '6px 0']),
    },
  );
  set({ owner: site, thing: 'upperBand' }, { fontSize: oneOf(random, ['.875rem', '1rem']) });
  set({ owner: site, thing: 'menuButton' }, { paddingInline: oneOf(random, ['.5rem', '14px']) });
  // Longer labels, so that bars wrap on wide screens, too.
  for (const item of document.items.nodes.values())
    if (item.parent !== document.site.id && document.menus.nodes.has(item.parent) && below(random, 2) === 0)
      document = applied(document, {
        kind: 'updateItem',
        id: item.id,
        set: { label: `${oneOf(random, WORDS)} ${oneOf(random, WORDS)} and ${oneOf(random, WORDS)}` },
        was: { label: item.label },
      });
  const zones = [...document.parts.nodes.values()].filter(
    ({ kind, parent }) => kind === 'zone' && document.parts.nodes.get(parent)?.parent === areaId('header'),
  );
  const mint = (): Id => mintId('part', random);
  for (const zone of zones)
    if (below(random, 2) === 0)
      document = applied(document, {
        kind: 'addPart',
        after: childrenOf(document.parts, zone.id).last(),
        branch: [
          oneOf<Part>(random, [
            { id: mint(), parent: zone.id, kind: 'social' },
            { id: mint(), parent: zone.id, kind: 'payment' },
            {
              id: mint(),
              parent: zone.id,
              kind: 'search',
              text: 'Search',
              address: '/search',
              parameter: 'q',
            },
            { id: mint(), parent: zone.id, kind: 'divider' },
            {
              id: mint(),
              parent: zone.id,
              kind: 'button',
              text: 'Buy a ticket',
              destination: { kind: 'address', address: '/x' },
            },
            {
              id: mint(),
              parent: zone.id,
              kind: 'account',
              text: 'Sign in',
              destination: { kind: 'address', address: '/in' },
              faces: { narrow: 'icon' },
            },
            {
              id: mint(),
              parent: zone.id,
              kind: 'contact',
              says: ['phone', 'email'],
              faces: { medium: 'icon', narrow: 'text' },
            },
          ] as Part[]),
        ],
      });
  return { document, path };
}

export function pageOf({ document, path }: RandomHeader): {
  readonly situation: ReturnType<typeof situationOn>;
  readonly facts: FitFacts;
} {
  const page = [...document.pages.nodes.values()].find(({ address }) => address === path);
  const situation = situationOn(document, page?.id ?? null);
  return { situation, facts: factsOn(document, situation, byCode) };
}

/** The state of a lane in a window of a width. */
export function stateAt({ stretches }: Lane, width: number): LaneState | null {
  return stretches?.find(({ from, to }) => width >= from && width <= to)?.state ?? null;
}

/** The rows of each bar of a header, at each width in which they change; null: it is not seen. */
export type HeaderSeen = Readonly<Record<Id, readonly (readonly [width: number, breaks: string | null])[]>>;

export function headerSaid(one: RandomHeader, widths: readonly number[], by: Measure = measure): HeaderSeen {
  const lanes = fitPage(one.document, pageOf(one).facts, { from: 320, to: 1920 }, by);
  return Object.fromEntries(
    lanes
      .filter(({ of }) => of === 'bar')
      .map((lane) => {
        if (lane.stretches === null) return [lane.part, [[0, 'unknown']]];
        const said: [number, string | null][] = [];
        for (const width of widths) {
          const state = stateAt(lane, width);
          const now = state?.is === 'rows' ? state.firsts.join(' ') : null;
          if (said.length === 0 || said.at(-1)?.[1] !== now) said.push([width, now]);
        }
        return [lane.part, said];
      }),
  );
}

const LOOK_AT_HEADER = `${PAGE_IN}
const [html, css, ids, widths, done] = arguments;
const { frame, page } = pageIn(html, css);
void page.body.offsetHeight;
page.fonts.ready.then(() => {
  const bars = [...page.querySelectorAll('.zv-header nav.zv-bar')].map((nav) => ({ part: nav.id.slice(3), entries: [...nav.querySelectorAll(':scope>ul>li')], seen: [] }));
  for (const width of widths) {
    frame.style.inlineSize = width + 'px';
    for (const { part, entries, seen } of bars) {
      let breaks = [];
      let bottom = null;
      entries.forEach((one, at) => {
        if (one.getClientRects().length === 0) return;
        const { top, bottom: end } = one.getBoundingClientRect();
        if (bottom !== null && top >= bottom - 1) { breaks.push(ids[part]?.[at]); bottom = end; }
        else bottom = Math.max(bottom ?? end, end);
      });
      const now = bottom === null ? null : breaks.join(' ');
      if (seen.length === 0 || seen.at(-1)[1] !== now) seen.push([width, now]);
    }
  }
  done(Object.fromEntries(bars.map(({ part, seen }) => [part, seen])));
});`;

export async function headerInBrowser(
  driver: Driver,
  one: RandomHeader,
  widths: readonly number[],
): Promise<HeaderSeen> {
  const { situation, facts } = pageOf(one);
  const { header: html, css } = renderPage(one.document, situation, {
    compareTitles: byCode,
    pictures: '/p/',
    year: 2026,
  });
  const ids: Record<Id, readonly Id[]> = {};
  const note = ({ id, shown, parts = [] }: ResolvedPart): void => {
    if (shown !== undefined) ids[id] = shown.items.map((item) => item.id);
    parts.forEach(note);
  };
  facts.header.bands.forEach(note);
  const plain = css.replaceAll(/@font-face\{[^}]*\}\n?/g, '');
  return driver.executeAsyncScript<HeaderSeen>(
    LOOK_AT_HEADER,
    html,
    `${faceRules('zv-')}\n${plain}`,
    ids,
    widths,
  );
}
