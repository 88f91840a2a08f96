import { lineOf, states, thingNames, thingOf, type State, type ThingName } from '../anatomy/anatomy.ts';
import type { Id } from '../base/ids.ts';
import type { AreaName } from '../schema/part.ts';
import type { Sheet } from '../style/sheet.ts';

/** What is asked of an element of a drawn page: any DOM has it. */
export interface DrawnElement {
  readonly parentElement: DrawnElement | null;
  readonly childNodes: Iterable<{ readonly nodeType: number; readonly nodeValue: string | null }>;
  readonly matches: (selector: string) => boolean;
  readonly querySelectorAll: (selector: string) => Iterable<DrawnElement>;
  readonly getAttribute: (name: string) => string | null;
}

/**
 * Something that looks are said of, where it is on a page: all elements that cannot look different are one place.
 */
export interface DrawnPlace {
  /** All things that it is, the one that wins first. */
  readonly line: readonly ThingName[];
  /** What it stands in; null: the page itself. */
  readonly parent: DrawnPlace | null;
  /** Which of the values that somebody set hold for it, by their place among them. */
  readonly holds: ReadonlySet<number>;
  readonly states: readonly State[];
  /** The area that it is in, where that makes a difference: it has looks of its own to begin with. */
  readonly area: AreaName | null;
  /** The colours of the site are evaluated anew on it. */
  readonly isRoot: boolean;
  /** It is in a header that can lie over the content; not where that has to be opened first. */
  readonly isOver: boolean;
  /** Text stands right in it; something in the text's colour does: an icon, an arrow. */
  readonly hasText: boolean;
  readonly hasSign: boolean;
  /** The innermost part and item of the first element like that. */
  readonly part: Id | null;
  readonly item: Id | null;
  /** The items of all elements like that, in their order. */
  readonly items: readonly Id[];
}

const TEXT_NODE = 3;
/** What is seen only when something has been opened: the header is not over the content then. */
const OPENED = '.zv-bar ul ul,.zv-panel,.zv-fold>form,.zv-drawer';

/** A place as it is put together: what is said of all elements like it may still come. */
type Making = { -readonly [K in keyof DrawnPlace]: DrawnPlace[K] } & { readonly items: Id[] };

/** The places of a page, those around others first. O(things * elements). */
export function placesOf(page: DrawnElement, { set, starters }: Sheet): DrawnPlace[] {
  const named = namedIn(page);
  const scopes = set.map(({ scope }) => scopeIn(page, scope.within));
  const openings = new Set(
    page.querySelectorAll(
      OPENED.split(',')
        .map((one) => `${one},${one} *`)
        .join(','),
    ),
  );
  const areas = starters.map(({ area, within }) => [area, scopeIn(page, within)] as const);
  const overs = new Set(page.querySelectorAll('.zv-overlaid,.zv-overlaid *'));
  const known = new Map<string, Making>();
  const at = new Map<DrawnElement, Making>();
  const numbers = new Map<DrawnPlace, number>();
  const nearest = (from: DrawnElement | null): Making | null => {
    for (let one = from; one !== null; one = one.parentElement) {
      const found = at.get(one);
      if (found !== undefined) return found;
    }
    return null;
  };
  for (const element of page.querySelectorAll('*')) {
    const of = named.get(element);
    const item = of === undefined ? null : idAround(element, 'data-zv-item');
    for (const [pseudo, names] of of ?? []) {
      const parent = pseudo === '' ? nearest(element.parentElement) : nearest(element);
      const holds = scopes.flatMap((elements, index) => (elements?.has(element) === false ? [] : [index]));
      const [area = null] =
        areas.find(([one, elements]) => one !== null && elements?.has(element) === true) ?? [];
      const isRoot = pseudo === '' && element.matches('.zv,.zv-band');
      const isOver = overs.has(element) && !openings.has(element);
      const key = [
        parent === null ? '' : numbers.get(parent),
        names.join(' '),
        holds.join(' '),
        isRoot,
        isOver,
        area,
      ].join('|');
      let place = known.get(key);
      if (place === undefined) {
        place = {
          line: names,
          parent,
          holds: new Set(holds),
          states: states.filter((state) => names.some((name) => thingOf(name).in[state] !== undefined)),
          area,
          isRoot,
          isOver,
          hasText: false,
          hasSign:
            pseudo !== '' &&
            lineOf(names[0] ?? 'site').some((name) => thingOf(name).has.includes('arrowShape')),
          part: idAround(element, 'data-zv-part'),
          item,
          items: [],
        };
        known.set(key, place);
        numbers.set(place, numbers.size);
      }
      if (pseudo === '') at.set(element, place);
      if (item !== null && place.items.at(-1) !== item) place.items.push(item);
    }
    const around = nearest(element);
    if (around === null) continue;
    if (!around.hasText) around.hasText = hasOwnText(element);
    if (!around.hasSign) around.hasSign = element.matches('svg');
  }
  return [...known.values()];
}

/** The things that elements are, by their pseudo-element (empty: the element itself), the one that wins first. */
function namedIn(page: DrawnElement): Map<DrawnElement, Map<string, ThingName[]>> {
  const named = new Map<DrawnElement, Map<string, ThingName[]>>();
  for (const name of thingNames) {
    const { normal } = thingOf(name).in;
    const pseudo = /::[\w-]+$/.exec(normal)?.[0] ?? '';
    for (const element of page.querySelectorAll(normal.replaceAll(/::[\w-]+/g, ''))) {
      const of = named.get(element) ?? new Map<string, ThingName[]>();
      named.set(element, of.set(pseudo, [name, ...(of.get(pseudo) ?? [])]));
    }
  }
  return named;
}

/** What is within all of these; null: everything is. */
function scopeIn(page: DrawnElement, within: readonly string[]): ReadonlySet<DrawnElement> | null {
  if (within.length === 0) return null;
  const [first = new Set<DrawnElement>(), ...others] = within.map(
    (one) => new Set(page.querySelectorAll(one)),
  );
  return new Set([...first].filter((element) => others.every((some) => some.has(element))));
}

function hasOwnText(element: DrawnElement): boolean {
  for (const { nodeType, nodeValue } of element.childNodes)
    if (nodeType === TEXT_NODE && (nodeValue ?? '').trim() !== '') return true;
  return false;
}

function idAround(element: DrawnElement, name: string): Id | null {
  for (let one: DrawnElement | null = element; one !== null; one = one.parentElement) {
    const id = one.getAttribute(name);
    if (id !== null) return id;
  }
  return null;
}
