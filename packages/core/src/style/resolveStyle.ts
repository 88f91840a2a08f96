import { lineOf, states, thingOf, type State, type ThingName } from '../anatomy/anatomy.ts';
import { factsOf, type Property } from '../anatomy/properties.ts';
import type { DeviceClass } from '../schema/deviceClass.ts';
import type { Situation, StyleTarget } from '../schema/style.ts';
import { compareOrder, orderOf } from './precedence.ts';
import { plainSheet, type SetLook, type Sheet } from './sheet.ts';
import type { Look, StarterName } from './starters.ts';

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
      readonly starter: StarterName;
      /** The thing itself, or one that it is like. */
      readonly thing: ThingName;
      readonly state: State;
      readonly situation: Situation | null;
      readonly device: 'narrow' | null;
    }
  | { readonly from: 'initial'; readonly thing: ThingName };

/** What is asked about a style. */
export interface StyleChoices {
  /** In which states it is, besides rest. */
  readonly states?: readonly State[];
  /** The situations that the header around it is in. */
  readonly situations?: readonly Situation[];
  readonly device?: DeviceClass | null;
  readonly sheet?: Sheet;
  /** Whether what was set holds here: by what it belongs to. Not there: what was set for the whole site. */
  readonly holds?: (look: SetLook) => boolean;
  /** All things that it is, the one that wins first; not there: the thing and what it is like. */
  readonly line?: readonly ThingName[];
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
 * Everything that is said of a property of a thing, what wins first: a value for a state before one for rest; then
 * one for a situation of the header; then what is said of the thing itself before what is said of what it is like;
 * then the nearer scope; then a value for a device class. O(what is said of the thing).
 */
export function rankedStyles(
  thing: ThingName,
  property: Property,
  choices: StyleChoices = {},
): ResolvedStyle[] {
  const {
    situations: asked = [],
    device = null,
    sheet = plainSheet(),
    holds = ({ scope }) => scope.rank <= 1,
  } = choices;
  // A situation that no header of the site can be in is never there.
  const around = asked.filter((one) => sheet.situations.includes(one));
  const line = choices.line ?? lineOf(thing);
  if (!line.some((one) => thingOf(one).has.includes(property))) return [];
  const found: { readonly order: readonly number[]; readonly style: ResolvedStyle }[] = [];
  const holding: ReadonlySet<State> = new Set(['normal', ...(choices.states ?? [])]);
  line.forEach((one, at) => {
    const depth = line.length - at;
    const { narrow, over, scrolled, ...looks } = sheet.starter[one] ?? {};
    const said: readonly Said[] = [
      ...states.map((state): Said => [state, null, null, looks[state]]),
      ['normal', null, 'narrow', narrow],
      ['normal', 'over', null, over],
      ['normal', 'scrolled', null, scrolled],
    ];
    for (const [state, inSituation, on, look] of said) {
      const value = look?.[property];
      if (value === undefined || !holding.has(state)) continue;
      if (inSituation !== null && !around.includes(inSituation)) continue;
      if (on !== null && on !== device) continue;
      found.push({
        order: orderOf({ state, situation: inSituation, device: on, rank: 0 }, depth),
        style: {
          value,
          origin: {
            from: 'starter',
            starter: sheet.name,
            thing: one,
            state,
            situation: inSituation,
            device: on,
          },
        },
      });
    }
  });
  for (const look of sheet.set) {
    const { target, values, scope } = look;
    const value = values[property];
    const at = line.indexOf(target.thing);
    const state = target.state ?? 'normal';
    if (value === undefined || at < 0 || !holding.has(state)) continue;
    if (target.situation !== undefined && !around.includes(target.situation)) continue;
    if (target.device !== undefined && target.device !== device) continue;
    if (!holds(look)) continue;
    found.push({
      order: orderOf(
        { state, situation: target.situation ?? null, device: target.device ?? null, rank: scope.rank },
        line.length - at,
      ),
      style: { value, origin: { from: 'set', target } },
    });
  }
  const root = line.findLast((one) => thingOf(one).has.includes(property)) ?? thing;
  return [
    ...found.sort((a, b) => compareOrder(b.order, a.order)).map(({ style }) => style),
    { value: factsOf(property).initial, origin: { from: 'initial', thing: root } },
  ];
}

/** What a starter says of a thing, and where it holds. */
type Said = readonly [State, Situation | null, 'narrow' | null, Look | undefined];
