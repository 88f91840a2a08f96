import { lineOf, thingOf, type State, type ThingName } from '../anatomy/anatomy.ts';
import { factsOf, type Property } from '../anatomy/properties.ts';
import type { DeviceClass } from '../schema/deviceClass.ts';
import type { Scheme, Situation, StyleTarget } from '../schema/style.ts';
import { compareOrder, orderOf, saidByStarter, whereOf, type Where } from './precedence.ts';
import type { AreaName } from '../schema/part.ts';
import type { Look } from '../starters/starter.ts';
import { plainSheet, starterIn, type SetLook, type Sheet } from './sheet.ts';

/** A value, and where it comes from. */
export interface ResolvedStyle {
  readonly value: string;
  readonly origin: StyleOrigin;
}

/** Where a value comes from: what somebody set, a starter, or what holds where nobody says anything. */
export type StyleOrigin =
  | { readonly from: 'set'; readonly target: StyleTarget }
  | {
      readonly from: 'starter';
      /** Its key. */
      readonly starter: string;
      /** The thing itself, or one that it is like. */
      readonly thing: ThingName;
      readonly state: State;
      readonly situation: Situation | null;
      readonly scheme: Scheme | null;
      readonly device: DeviceClass | null;
    }
  /** A variant that ships. */
  | { readonly from: 'variant'; readonly variant: string }
  | { readonly from: 'initial'; readonly thing: ThingName };

/** What is asked about a style. */
export interface StyleChoices {
  /** In which states it is, besides rest. */
  readonly states?: readonly State[];
  /** The situations that the header around it is in. */
  readonly situations?: readonly Situation[];
  readonly scheme?: Scheme;
  readonly device?: DeviceClass | null;
  readonly sheet?: Sheet;
  /** The area that it is in, which may begin with another starter than the site. */
  readonly area?: AreaName | null;
  /** Whether what was set holds here: by what it belongs to. Not there: what was set for the whole site. */
  readonly holds?: (look: SetLook) => boolean;
  /** All things that it is, the one that wins first; not there: the thing and what it is like. */
  readonly line?: readonly ThingName[];
}

/** A look, and where it holds: what is said at once of one thing, in one state. */
export interface StyleSource extends Where {
  readonly look: Look;
  readonly origin: StyleOrigin;
}

/**
 * All that is said of a thing, by the starter and by people, what wins first: a value for a state before one for
 * rest; then one for a situation of the header; then what is said of the thing itself before what is said of what it
 * is like; then the nearer scope; then one for light or dark; then a value for a device class. O(n log n) of what is said.
 */
export function sourcesOf(
  line: readonly ThingName[],
  sheet: Sheet,
  holds: (look: SetLook) => boolean,
  area: AreaName | null = null,
): StyleSource[] {
  const { key: starter, looks: all } = starterIn(sheet, area);
  const found: { readonly order: readonly number[]; readonly source: StyleSource }[] = [];
  line.forEach((thing, at) => {
    const depth = line.length - at;
    for (const [look, where] of saidByStarter(all[thing] ?? {}, sheet))
      found.push({
        order: orderOf({ ...where, rank: 0 }, depth),
        source: { look, ...where, origin: { from: 'starter', starter, thing, ...where } },
      });
  });
  for (const set of sheet.set) {
    const { target, values, scope } = set;
    const at = line.indexOf(target.thing);
    if (at < 0 || (set.starter === undefined ? !holds(set) : set.starter !== starter)) continue;
    const where = whereOf(target);
    if (where.scheme !== null && !sheet.hasDark) continue;
    found.push({
      order: orderOf({ ...where, rank: scope.rank }, line.length - at),
      source: { look: values, ...where, origin: originOf(set) },
    });
  }
  return found.sort((a, b) => compareOrder(b.order, a.order)).map(({ source }) => source);
}

function originOf({ target, starter, variant }: SetLook): StyleOrigin {
  if (variant !== undefined) return { from: 'variant', variant };
  if (starter === undefined) return { from: 'set', target };
  return { from: 'starter', starter, thing: target.thing, ...whereOf(target) };
}

/** Whether a source says something of what is in these states and situations, on a device class. */
export function isSaidOf(
  { state, situation, scheme, device }: StyleSource,
  where: {
    readonly states: readonly State[];
    readonly situations: readonly Situation[];
    readonly scheme: Scheme;
    readonly device: DeviceClass | null;
  },
): boolean {
  if (state !== 'normal' && !where.states.includes(state)) return false;
  if (situation !== null && !where.situations.includes(situation)) return false;
  if (scheme !== null && scheme !== where.scheme) return false;
  return device === null || device === where.device;
}

/** What a property is where nobody says anything of it; null: none of these things has it. */
export function initialStyle(line: readonly ThingName[], property: Property): ResolvedStyle | null {
  const root = line.findLast((one) => thingOf(one).has.includes(property));
  if (root === undefined) return null;
  return { value: factsOf(property).initial, origin: { from: 'initial', thing: root } };
}

/** What a property of a thing comes to, and why; null: it has no such property. See `rankedStyles`. */
export function resolveStyle(
  thing: ThingName,
  property: Property,
  choices: StyleChoices = {},
): ResolvedStyle | null {
  return rankedStyles(thing, property, choices)[0] ?? null;
}

/**
 * Everything that is said of a property of a thing, what wins first (`sourcesOf`), and what it is where nobody says
 * anything. O(what is said of the thing).
 */
export function rankedStyles(
  thing: ThingName,
  property: Property,
  choices: StyleChoices = {},
): ResolvedStyle[] {
  const {
    sheet = plainSheet(),
    holds = ({ scope }) => scope.rank <= 1,
    line = lineOf(thing),
    states: inStates = [],
    situations: asked = [],
    scheme = 'light',
    device = null,
    area = null,
  } = choices;
  const initial = initialStyle(line, property);
  if (initial === null) return [];
  // A situation that no header of the site can be in is never there.
  const situations = asked.filter((one) => sheet.situations.includes(one));
  const where = { states: inStates, situations, scheme, device };
  const said = sourcesOf(line, sheet, holds, area).flatMap((source) => {
    const value = source.look[property];
    return value !== undefined && isSaidOf(source, where) ? [{ value, origin: source.origin }] : [];
  });
  return [...said, initial];
}
