import * as Type from 'typebox';
import type { TProperties } from 'typebox';
import { states, thingNames, type State, type ThingName } from '../anatomy/anatomy.ts';
import { propertyNames, factsOf, type Property } from '../anatomy/properties.ts';
import { valueKinds, type ValueFacts } from '../anatomy/values.ts';
import { derivedId, ID_PATTERN, type Id } from '../base/ids.ts';
import { deviceClasses } from './deviceClass.ts';
import { closed, IdShape, someOf } from './shapes.ts';

/** Situations of a header in which things can look otherwise: over the content, and once the page is scrolled. */
export const situations = ['over', 'scrolled'] as const;
/** See `situations`. */
export type Situation = (typeof situations)[number];

/** The colour schemes that visitors can choose for all that they see. */
export const schemes = ['light', 'dark'] as const;
/** See `schemes`. */
export type Scheme = (typeof schemes)[number];

/** The values that can be set, each as a text; see `anatomy/values.ts`. */
export const styleValues = Object.fromEntries(
  propertyNames.map((name) => {
    const { pattern }: ValueFacts = valueKinds[factsOf(name).kind];
    return [name, Type.String({ pattern: `^(?:${pattern})$`, maxLength: 300 })];
  }),
) as { readonly [P in Property]: ReturnType<typeof Type.String> };

/** What has looks. */
export const thingField = { thing: Type.Enum(thingNames) };

/**
 * Within what looks hold: the site, a part of the frame or of a panel, a menu, an item (by their ids), a template, a
 * level of a menu, or a variant of buttons and links.
 */
export const OwnerShape = Type.String({
  pattern: `${ID_PATTERN}|^template:.{1,200}$|^level:[1-9]:[a-z][0-9a-z]{3,31}$|^variant:[a-z][a-z0-9-]{0,39}$`,
});

/** What values are for. */
const targetFields = { owner: OwnerShape, ...thingField };
/** In which state, situation and device class values hold. */
export const maybeTarget = {
  /** Not there: at rest. */
  state: Type.Enum(states.filter((state) => state !== 'normal')),
  /** Not there: in all situations. */
  situation: Type.Enum(situations),
  /** Not there: in light and in dark. */
  scheme: Type.Enum(schemes),
  /** Not there: on all device classes. */
  device: Type.Enum(deviceClasses),
};

/** For which things, in which state, values are set. */
export const StyleTargetShape = Type.Object({ ...targetFields, ...someOf(maybeTarget).properties }, closed);
/** See `StyleTargetShape`. */
export interface StyleTarget {
  readonly owner: string;
  readonly thing: ThingName;
  readonly state?: Exclude<State, 'normal'>;
  readonly situation?: Situation;
  readonly scheme?: Scheme;
  readonly device?: (typeof deviceClasses)[number];
}

/** Some values; null takes one away. */
export const StyleSetShape = someOf(
  Object.fromEntries(
    Object.entries(styleValues).map(([name, shape]) => [name, Type.Union([shape, Type.Null()])]),
  ) as TProperties,
);
/** Values by property. */
export type StyleValues = { readonly [P in Property]?: string };
/** See `StyleSetShape`. */
export type StyleSet = { readonly [P in Property]?: string | null };

/**
 * Values that somebody set for things in one place and one state. Its parent is the site, and its id follows from
 * its target: two people who set the first values of one thing set them in the same node.
 */
export const StyleShape = Type.Unsafe<Style>(
  Type.Object(
    {
      id: IdShape,
      parent: IdShape,
      ...targetFields,
      ...someOf(maybeTarget).properties,
      ...someOf(styleValues as unknown as TProperties).properties,
    },
    closed,
  ),
);
/** See `StyleShape`. */
export type Style = { readonly id: Id; readonly parent: Id } & StyleTarget & StyleValues;

/** The id of the node for a target. */
export function styleId({ owner, thing, state, situation, scheme, device }: StyleTarget): Id {
  const key = [owner, thing, state ?? '', situation ?? '', device ?? ''].join(' ');
  return derivedId('style', scheme === undefined ? key : `${key} ${scheme}`);
}

/** Where each property comes in their order. */
const orders: ReadonlyMap<string, number> = new Map(propertyNames.map((name, at) => [name, at]));

/** The values of a node, in the order of the properties. O(its fields). */
export function valuesOfStyle(style: StyleValues): [Property, string][] {
  const found: [Property, string][] = [];
  let [before, isInOrder] = [-1, true];
  for (const name of Object.keys(style) as Property[]) {
    const at = orders.get(name);
    const value = style[name];
    if (at === undefined || value === undefined) continue;
    found.push([name, value]);
    isInOrder &&= at > before;
    before = at;
  }
  return isInOrder ? found : found.sort(([a], [b]) => (orders.get(a) ?? 0) - (orders.get(b) ?? 0));
}

/** What the values of a node are for. */
export function targetOf({ owner, thing, state, situation, scheme, device }: StyleTarget): StyleTarget {
  return {
    owner,
    thing,
    ...(state === undefined ? {} : { state }),
    ...(situation === undefined ? {} : { situation }),
    ...(scheme === undefined ? {} : { scheme }),
    ...(device === undefined ? {} : { device }),
  };
}
