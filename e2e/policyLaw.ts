import type { Driver } from 'selenium-webdriver/chrome.js';
import {
  areaId,
  barFits,
  childrenOf,
  conditionOf,
  fitPage,
  policies,
  renderPage,
  seededRandom,
  type BarFits,
  type Fits,
  type FitFacts,
  type Id,
  type LaneState,
  type Measure,
  type Part,
  type ResolvedArea,
  type ResolvedPart,
  type SiteDocument,
} from '@zorvik/core';
import { applied, below } from '@zorvik/core/testing';
import {
  byCode,
  PAGE_IN,
  faceRules,
  measure,
  oneOf,
  pageOf,
  randomHeader,
  stateAt,
  type RandomHeader,
} from './fitLaw.ts';

/**
 * The law of what bars do where they do not fit: they do it at the widths that Fit names, and at no others; each entry is
 * seen exactly once, and in its order.
 */

/** A header as `randomHeader` makes it, whose bars do something on each device class, in any of the three zones. */
export function randomPolicies(seed: number): RandomHeader {
  const random = seededRandom(seed + 900);
  const { document: start, path } = randomHeader(seed + 4);
  let document: SiteDocument = {
    ...start,
    site: { ...start.site, direction: oneOf(random, ['ltr', 'rtl'] as const) },
  };
  const update = (part: Part, set: Partial<Part>): void => {
    const was = Object.fromEntries(Object.keys(set).map((name) => [name, part[name as keyof Part] ?? null]));
    document = applied(document, { kind: 'updatePart', id: part.id, set, was } as Parameters<
      typeof applied
    >[1]);
  };
  const bars = placements(document);
  const someFits = (): Fits => ({
    narrow: oneOf(random, policies),
    medium: oneOf(random, policies),
    wide: oneOf(random, policies),
  });
  for (const bar of bars) update(bar, { fits: someFits() });
  for (const item of document.items.nodes.values()) {
    const list = oneOf(random, [
      {},
      { width: 140 },
      { width: 600 },
      { align: 'end' },
      { width: 300, align: 'centre' },
      { columns: 2 },
    ]);
    if (document.menus.nodes.has(item.parent) && item.dropdown === undefined)
      document = applied(document, {
        kind: 'updateItem',
        id: item.id,
        set: { dropdown: { form: 'list', list } },
        was: { dropdown: null },
      } as Parameters<typeof applied>[1]);
  }
  const drawer = document.parts.nodes.get(areaId('drawer'));
  if (drawer !== undefined) update(drawer, { takeover: oneOf(random, [320, 420, 700, 1150] as const) });
  const [, main] = bars;
  const zones = [...childrenOf(document.parts, document.parts.nodes.get(main?.parent ?? '')?.parent ?? '')];
  const to = zones[below(random, 3)];
  if (main !== undefined && to !== undefined && to !== main.parent)
    document = applied(document, {
      kind: 'movePart',
      id: main.id,
      to: { parent: to, after: childrenOf(document.parts, to).last() },
      from: { parent: main.parent, after: childrenOf(document.parts, main.parent).before(main.id) },
    } as Parameters<typeof applied>[1]);
  return { document, path };
}

/** The parts of the header that show a menu, in their order. */
function placements(document: SiteDocument): Part[] {
  const found: Part[] = [];
  const look = (id: Id): void => {
    const part = document.parts.nodes.get(id);
    if (part?.kind === 'placement') found.push(part);
    [...childrenOf(document.parts, id)].forEach(look);
  };
  [...childrenOf(document.parts, areaId('header'))].forEach(look);
  return found;
}

/** How a bar is at one width, in words that the two sides share; `null`: it is not seen. */
export type BarSeen = string | null;

/** What Fit says of each bar at each width. */
export function policiesSaid(
  one: RandomHeader,
  widths: readonly number[],
  { by = measure, scrollbar = 0 }: { readonly by?: Measure; readonly scrollbar?: number } = {},
): Record<Id, BarSeen[]> {
  return barsSaid(one.document, { ...pageOf(one).facts, scrollbar }, widths, by);
}

/** The same of any page. */
export function barsSaid(
  document: SiteDocument,
  facts: FitFacts,
  widths: readonly number[],
  by: Measure,
): Record<Id, BarSeen[]> {
  return Object.fromEntries(
    fitPage(document, facts, { from: 320, to: 1920 }, by)
      .filter(({ of }) => of === 'bar')
      .map((lane) => [
        lane.part,
        widths.map((width) => {
          const state = stateAt(lane, width);
          return state?.is === 'rows' ? wordsOf(state) : null;
        }),
      ]),
  );
}

/** How a bar is, in words that a browser’s answer can be compared with. */
function wordsOf({ firsts, does }: Extract<LaneState, { is: 'rows' }>): string {
  const rows = `rows ${firsts.join(' ')}`;
  if (does === undefined) return rows;
  if (does.is === 'scrolls') return 'scrolls';
  return does.is === 'folded' ? `folded ${does.shown} ${rows}` : `step ${does.step} ${rows}`;
}

/** Says how the bars of a page are, in the words of `wordsOf`; `ids`: the items of each, by its part. */
export const READ_BARS = `const readBars = (page, ids) => {
  const view = page.defaultView;
  const isSeen = (one) => one.getClientRects().length > 0;
  const isOutside = (one, around) => one.right > around.right + 0.01 || one.left < around.left - 0.01;
  return Object.fromEntries([...page.querySelectorAll('.zv-header nav.zv-bar')].map((nav) => {
    const part = nav.id.slice(3);
    const list = nav.querySelector(':scope>ul');
    const entries = [...list.children];
    const breaks = [];
    const shown = [];
    let bottom = null;
    entries.forEach((one, at) => {
      if (!isSeen(one)) return;
      const id = one.matches('.zv-more') ? 'more' : ids[part][at];
      shown.push(id);
      const { top, bottom: end } = one.getBoundingClientRect();
      if (bottom !== null && top >= bottom - 1) { breaks.push(id); bottom = end; }
      else bottom = Math.max(bottom ?? end, end);
    });
    if (shown.length === 0) return [part, null];
    const rows = 'rows ' + breaks.join(' ');
    const step = view.getComputedStyle(list).getPropertyValue('--law-step');
    if (view.getComputedStyle(list).overflowX === 'auto')
      return [part, isOutside(entries.filter(isSeen).at(-1).getBoundingClientRect(), list.getBoundingClientRect()) ? 'scrolls' : 'scrolls for nothing'];
    if (shown.at(-1) !== 'more') return [part, step === '' ? rows : 'step ' + step + ' ' + rows];
    // Opened, it shows exactly what the bar does not, in the same order.
    const below = entries.at(-1).querySelector(':scope>ul');
    below.style.display = 'block';
    const inMore = [...below.children].flatMap((one, at) => isSeen(one) ? ids[part][at + 1] : []);
    below.style.display = '';
    const all = [...shown.slice(0, -1), ...inMore].join();
    const wanted = ids[part].join();
    return [part, 'folded ' + (shown.length - 1) + ' ' + rows + (all === wanted ? '' : ' but ' + all + ' of ' + wanted)];
  }));
};`;

const LOOK = `${READ_BARS}
${PAGE_IN}
const [html, css, ids, widths, done] = arguments;
const { frame, page } = pageIn(html, css);
void page.body.offsetHeight;
page.fonts.ready.then(() => {
  const seen = {};
  for (const width of widths) {
    frame.style.inlineSize = width + 'px';
    for (const [part, said] of Object.entries(readBars(page, ids))) (seen[part] ??= []).push(said);
  }
  done(seen);
});`;

/** The same with other widths below which a bar does something. */
function changed(fits: BarFits, width: (below: number | null) => number | null): BarFits {
  const other = <T extends { readonly below: number | null }>(one: T): T => ({
    ...one,
    below: width(one.below),
  });
  return Object.fromEntries(
    Object.entries(fits).map(([part, rules]) => [
      part,
      rules.map((rule) => {
        if (rule.does === 'fold') return { ...other(rule), entries: rule.entries.map(other) };
        return rule.does === 'shrink' ? { ...other(rule), steps: rule.steps.map(other) } : other(rule);
      }),
    ]),
  );
}
/** A bar does everything a little too late. */
export function late(fits: BarFits): BarFits {
  return changed(fits, (below) => (below === null ? null : below - LATE));
}
/** A bar does nothing where it does not fit: its entries wrap. */
export function never(fits: BarFits): BarFits {
  return changed(fits, () => 0);
}
/** In em: more than a px in any text of the law. */
const LATE = 0.11;

/** How a browser shows each bar at each width. `change`: what bars do where they do not fit is something else. */
export async function policiesSeen(
  driver: Driver,
  one: RandomHeader,
  widths: readonly number[],
  change: (fits: BarFits) => BarFits = (fits) => fits,
): Promise<Record<Id, BarSeen[]>> {
  const {
    situation,
    facts: { header },
  } = pageOf(one);
  const fits = change(barFits(one.document, header, measure));
  const { header: html, css } = renderPage(one.document, situation, {
    compareTitles: byCode,
    pictures: '/p/',
    year: 2026,
    fits,
  });
  const ids = itemsOfBars(header);
  const plain = css.replaceAll(/@font-face\{[^}]*\}\n?/g, '');
  const own = marked(plain, one.document, fits);
  return driver.executeAsyncScript<Record<Id, BarSeen[]>>(
    LOOK,
    html,
    `${faceRules('zv-')}\n${own}`,
    ids,
    widths,
  );
}

/** The items of each bar of a header, by the part that shows it. */
export function itemsOfBars({ bands }: ResolvedArea): Record<Id, readonly Id[]> {
  const ids: Record<Id, readonly Id[]> = {};
  const note = ({ id, shown, parts = [] }: ResolvedPart): void => {
    if (shown !== undefined) ids[id] = shown.items.map((item) => item.id);
    parts.forEach(note);
  };
  bands.forEach(note);
  return ids;
}

/** A style sheet that says which step of shrinking a bar is at. */
function marked(css: string, { site, parts }: SiteDocument, fits: BarFits): string {
  const takeover = parts.nodes.get(areaId('drawer'))?.takeover;
  const widths = { ...site.breakpoints, ...(takeover === undefined ? {} : { takeover }) };
  const rules = Object.entries(fits).flatMap(([part, all]) =>
    all.flatMap((rule) =>
      rule.does !== 'shrink'
        ? []
        : rule.steps.map(({ below: limit }, at) => {
            const { device, hasDrawer } = rule;
            const media = [
              conditionOf(device, widths),
              ...(hasDrawer === undefined ? [] : [conditionOf(hasDrawer ? 'drawer' : 'noDrawer', widths)]),
            ].join(' and ');
            const inner = `.zv-fit-${part} .zv-bar>ul{--law-step:${at + 1}}`;
            return `@media ${media}{${limit === null ? inner : `@container zv (width<${limit}em){${inner}}`}}`;
          }),
    ),
  );
  return `${css}\n${rules.join('\n')}`;
}
