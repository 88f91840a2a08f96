import type { Driver } from 'selenium-webdriver/chrome.js';
import {
  declarationsFor,
  factsOf,
  propertiesOf,
  resolveStyle,
  selectorsIn,
  states,
  thingNames,
  thingOf,
  type DeviceClass,
  type HeaderSituation,
  type Property,
  type Scheme,
  type Sheet,
  type State,
  type ThingName,
} from '@zorvik/core';

/**
 * Law 1 of looks: what is resolved is what a browser shows. For every element of a page, in a state: setting what
 * `resolveStyle` says of it, with the most weight there is, changes no computed value; setting something else does.
 */

/** A style sheet in which everything is in a state: what takes the place of the pseudo-class holds for all. */
export function forced(css: string, some: readonly State[]): string {
  const never = ':not(.never)';
  let made = css;
  if (some.includes('hover')) made = made.replaceAll(':hover', never);
  if (some.includes('focus')) made = made.replaceAll(/:focus(?:-visible|-within)?/g, never);
  if (some.includes('pressed')) made = made.replaceAll(':active', never);
  return made;
}

/** Elements that are alike: the same things, in the same states, in the same scopes. */
interface Kind {
  readonly things: readonly ThingName[];
  readonly states: readonly State[];
  readonly holds: readonly number[];
  readonly isOver: boolean;
  readonly isScrolled: boolean;
  /** CSS properties that have to be as they are for something to work. */
  readonly late: readonly string[];
  readonly count: number;
}

/** What the page is asked with. */
interface Question {
  readonly things: readonly {
    readonly name: string;
    readonly pseudo: string;
    /** The thing that it is, too; none: null. */
    readonly like: string | null;
    readonly states: Readonly<Record<string, readonly string[]>>;
  }[];
  readonly scopes: readonly string[];
  readonly situations: Readonly<Record<HeaderSituation, string>>;
}

/** Finds all elements and pseudo-elements that are things, and puts those that are alike together. */
const FIND = `const { things, scopes, situations } = arguments[0];
const apart = (list) => { const all = []; let depth = 0, from = 0; for (let at = 0; at <= list.length; at += 1) { const sign = list[at]; if (sign === '(' || sign === '[') depth += 1; else if (sign === ')' || sign === ']') depth -= 1; else if (depth === 0 && (sign === ',' || sign === undefined)) { all.push(list.slice(from, at).trim()); from = at + 1; } } return all; };
// Rules that come behind all looks, on this device class.
const late = [];
const gather = (rules) => { for (const one of rules) { if (one.media !== undefined) { if (matchMedia(one.conditionText).matches) gather(one.cssRules); } else for (const selector of apart(one.selectorText)) late.push({ selector, css: [...one.style] }); } };
gather(document.getElementById('late').sheet.cssRules);
const forcedStates = arguments[1];
const pseudoOf = (selector) => /::[\\w-]+$/.exec(selector)?.[0] ?? '';
const plain = (selector) => selector.replace(/::[\\w-]+$/, '');
const kinds = new Map();
const found = new Map();
const isIn = (element, list) => list.some((one) => element.matches(one));
for (const { name, pseudo, states } of things)
  for (const element of document.querySelectorAll(states.normal.map(plain).join(','))) {
    const of = found.get(element) ?? {};
    found.set(element, of);
    (of[pseudo] ??= []).push(name);
  }
const byName = new Map(things.map((one) => [one.name, one]));
const wrong = [];
for (const [element, of] of found)
  for (const [pseudo, names] of Object.entries(of)) {
    const holding = [];
    for (const name of names) {
      const { like } = byName.get(name);
      if (like !== null && !names.includes(like)) wrong.push(name + ' is no ' + like + ': ' + element.outerHTML.slice(0, 120));
    }
    for (const state of ['within', 'current', 'open']) {
      const having = names.filter((name) => byName.get(name).states[state] !== undefined);
      const is = having.map((name) => isIn(element, byName.get(name).states[state].map(plain)));
      if (is.some(Boolean) && !is.every(Boolean)) wrong.push(state + ' of ' + having.join(' ') + ': ' + element.outerHTML.slice(0, 120));
      if (is.some(Boolean)) holding.push(state);
    }
    const isSpan = element.matches('span');
    for (const state of forcedStates) if (!isSpan && names.some((name) => byName.get(name).states[state] !== undefined)) holding.push(state);
    const holds = scopes.flatMap((scope, at) => (scope === '' || element.matches(scope) ? [at] : []));
    const behaves = [...new Set(late.flatMap(({ selector, css }) => (pseudoOf(selector) === pseudo && element.matches(plain(selector) || '*') ? css : [])))].sort();
    const kind = { things: names, states: holding, holds, isOver: element.matches(situations.over), isScrolled: element.matches(situations.scrolled), late: behaves };
    const key = JSON.stringify(kind);
    const known = kinds.get(key) ?? { kind, elements: [] };
    kinds.set(key, known);
    known.elements.push([element, pseudo]);
  }
window.lawKinds = [...kinds.values()];
return { wrong: wrong.slice(0, 5), kinds: window.lawKinds.map(({ kind, elements }) => ({ ...kind, count: elements.length })) };`;

/**
 * Sets declarations for elements of each kind, with the most weight, and says what that changes. Numbers are the same
 * within 1/64 px, colours within 1/255.
 */
const SET = `const [declarations, least] = arguments;
const style = document.createElement('style');
let rules = '';
window.lawKinds.forEach(({ elements }, at) => {
  for (const [element, pseudo] of elements) element.setAttribute('data-law' + pseudo.replaceAll(':', '-'), at);
  const pseudo = elements[0][1];
  const own = declarations[at];
  if (own.length > 0) rules += '[data-law' + pseudo.replaceAll(':', '-') + '="' + at + '"]' + pseudo + '{' + own.map(([css, value]) => css + ':' + value + '!important').join(';') + '}\\n';
});
const names = (css) => css.startsWith('--') ? [css] : [...Object.assign(document.createElement('i').style, { cssText: css + ':inherit' })];
const longhands = new Map();
const read = () => window.lawKinds.map(({ elements }, at) => elements.slice(0, least).map(([element, pseudo]) => {
  const style = getComputedStyle(element, pseudo || null);
  return declarations[at].flatMap(([css]) => {
    if (!longhands.has(css)) longhands.set(css, names(css));
    return longhands.get(css).map((name) => [name, style.getPropertyValue(name)]);
  });
}));
const before = read();
style.textContent = rules;
document.head.append(style);
const after = read();
style.remove();
const numbers = (text) => text.match(/-?\\d+(?:\\.\\d+)?(?:e-?\\d+)?/g)?.map(Number) ?? [];
const isSame = (one, other) => {
  if (one === other) return true;
  if (one.replace(/-?\\d+(?:\\.\\d+)?(?:e-?\\d+)?/g, '#') !== other.replace(/-?\\d+(?:\\.\\d+)?(?:e-?\\d+)?/g, '#')) return false;
  const [a, b] = [numbers(one), numbers(other)];
  return a.every((number, at) => Math.abs(number - b[at]) <= (/rgb|color/.test(one) ? 1 : 1 / 64));
};
return before.map((elements, at) => elements.map((values, index) => values.flatMap(([name, value], which) => isSame(value, after[at][index][which][1]) ? [] : [[name, value, after[at][index][which][1]]])));`;

/** What was asked of a page: how many elements, which triples of thing, state and property came up, what is wrong. */
export interface Verdict {
  readonly elements: number;
  readonly triples: ReadonlySet<string>;
  readonly problems: readonly string[];
}

/** Asks the page that the browser shows, which is in these states and on this device class. */
export async function lawOn(
  driver: Driver,
  sheet: Sheet,
  {
    device,
    scheme,
    some,
  }: { readonly device: DeviceClass; readonly scheme: Scheme; readonly some: readonly State[] },
  {
    change = (_, value) => value,
    isAbout = isStill,
  }: {
    readonly change?: (property: Property, value: string) => string;
    readonly isAbout?: (property: Property) => boolean;
  } = {},
): Promise<Verdict> {
  const question: Question = {
    things: thingNames
      .filter((name) => thingOf(name).medium !== 'wider' || device !== 'narrow')
      .map((name) => {
        const { in: selectors } = thingOf(name);
        return {
          name,
          like: thingOf(name).like ?? null,
          pseudo: /::[\w-]+$/.exec(selectors.normal)?.[0] ?? '',
          states: Object.fromEntries(
            states.flatMap((state) =>
              selectors[state] === undefined ? [] : [[state, selectorsIn(selectors[state])]],
            ),
          ),
        };
      }),
    // Behind them, where starters are, so that what begins with different ones is told apart.
    scopes: [...sheet.set.map(({ scope }) => scope), ...sheet.starters].map(({ within }) => within.join(',')),
    situations: situationsOfLaw(some),
  };
  const { wrong, kinds } = await driver.executeScript<{ wrong: string[]; kinds: Kind[] }>(
    FIND,
    question,
    some,
  );
  const triples = new Set<string>();
  const declared = kinds.map((kind) =>
    declarationsOf(kind, sheet, { device, scheme, isAbout, change }, triples),
  );
  const changes = await driver.executeScript<[string, string, string][][][]>(
    SET,
    declared.map((one) => one.map(({ css, value }) => [css, value])),
    3,
  );
  const problems = changes.flatMap((elements, at) =>
    elements.flatMap((values) =>
      values.map(
        ([name, before, after]) =>
          `${kinds[at]?.things.join(' ')} [${kinds[at]?.states.join(' ')}] on ${device}: ${name} is ${before}, and not ${after}`,
      ),
    ),
  );
  return {
    elements: kinds.reduce((sum, { count }) => sum + count, 0),
    triples,
    problems: [...wrong, ...new Set(problems)],
  };
}

/** A header over the content is so only while nobody points at it, or is in it. */
function situationsOfLaw(some: readonly State[]): Question['situations'] {
  const isAtWork = some.includes('hover') || some.includes('focus');
  const over = '.zv-header.zv-over-content:not(:has([aria-expanded=true]))';
  return {
    over: isAtWork ? '.never' : `${over},${over} *`,
    scrolled: '.zv-header.zv-scrolled,.zv-header.zv-scrolled *',
  };
}

function declarationsOf(
  { things, states: own, holds, isOver, isScrolled, late }: Kind,
  sheet: Sheet,
  {
    device,
    scheme,
    isAbout,
    change,
  }: {
    readonly device: DeviceClass;
    readonly scheme: Scheme;
    readonly isAbout: (property: Property) => boolean;
    readonly change: (property: Property, value: string) => string;
  },
  triples: Set<string>,
): { readonly css: string; readonly value: string }[] {
  const line = [...things].reverse();
  const [thing] = line;
  if (thing === undefined) return [];
  const properties = [...new Set(line.flatMap((one) => propertiesOf(one)))].filter(isAbout);
  const holding = new Set(holds.map((at) => sheet.set[at]));
  return properties.flatMap((property) => {
    const resolved = resolveStyle(thing, property, {
      line,
      states: own,
      situations: [...(isOver ? (['over'] as const) : []), ...(isScrolled ? (['scrolled'] as const) : [])],
      scheme,
      device,
      sheet,
      area: sheet.starters.findLast((_, at) => holds.includes(sheet.set.length + at))?.area ?? null,
      holds: (look) => holding.has(look),
    });
    if (resolved === null) return [];
    for (const one of things)
      for (const state of ['normal', ...own])
        if (propertiesOf(one).includes(property) && state in thingOf(one).in)
          triples.add(`${one} ${state} ${property}`);
    return declarationsFor(property, change(property, resolved.value)).flatMap(([css, value]) =>
      late.some((one) => isPartOf(one, css)) ? [] : [{ css, value }],
    );
  });
}

/** Whether two CSS properties are about the same: sides, and logical and physical names, are not told apart. */
function isPartOf(one: string, other: string): boolean {
  return familyOf(one) === familyOf(other);
}

function familyOf(css: string): string {
  if (css.endsWith('-gap')) return 'gap';
  if (css.endsWith('radius')) return 'border-radius';
  return /^(?:padding|margin|border|background)(?=-|$)/.exec(css)?.[0] ?? css;
}

/** What does not move: of motion, a law of its own asks, since nothing must move while looks are read. */
export function isStill(property: Property): boolean {
  return factsOf(property).group !== 'motion';
}

/** The triples of thing, state and property that the anatomy has. */
export const allTriples: ReadonlySet<string> = new Set(
  thingNames.flatMap((name) =>
    states.flatMap((state) =>
      state in thingOf(name).in
        ? propertiesOf(name)
            .filter(isStill)
            .map((property) => `${name} ${state} ${property}`)
        : [],
    ),
  ),
);
export const widths: Readonly<Record<DeviceClass, number>> = { narrow: 390, medium: 900, wide: 1280 };
