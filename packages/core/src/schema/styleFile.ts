import * as Type from 'typebox';
import type { TProperties } from 'typebox';
import { Check, Errors } from 'typebox/value';
import { CssRulesShape, type CssRule } from './ownCss.ts';
import { siteFacts, type Site } from './site.ts';
import { closed, someOf } from './shapes.ts';
import { maybeTarget, styleValues, thingField, type StyleTarget, type StyleValues } from './style.ts';
import { tokenDark, tokenName, tokenTargetFields, tokenValue, type TokenTarget } from './token.ts';

/** The most looks, names and places with CSS that a file may have. */
const MOST = 5000;

/**
 * Within what looks of a file hold, so that it can be found on another site: the whole site, an area, a template, a
 * menu by its ID, a level of one, or a variant.
 */
export const PORTABLE_PLACE =
  '^(?:site|area:(?:header|side|footer|drawer)|template:.{1,200}|menu:[a-z][a-z0-9-]{0,39}|level:[1-9]:[a-z][a-z0-9-]{0,39}|variant:[a-z][a-z0-9-]{0,39})$';
const PlaceShape = Type.String({ pattern: PORTABLE_PLACE });

/** Looks for a place that has a name on any site. */
export type PortableLook = { readonly place: string } & Omit<StyleTarget, 'owner'> & StyleValues;
/** Something with a name; the files of fonts stay where they are. */
export interface PortableName extends TokenTarget {
  readonly name?: string;
  readonly value?: string;
  readonly dark?: string;
}
/** The site's facts about its looks. */
export const lookFacts = ['starter', 'areaStarters', 'ownStarters', 'variants', 'hasDark'] as const;
/** See `lookFacts`. */
export type LookFacts = Pick<Site, (typeof lookFacts)[number]>;

/** Everything about the looks of a site, as it goes from one to another. */
export interface PortableStyle extends LookFacts {
  readonly names: readonly PortableName[];
  readonly looks: readonly PortableLook[];
  readonly css: readonly { readonly place: string; readonly rules: readonly CssRule[] }[];
}

/** See `PortableStyle`. */
export function portableStyleShape(): ReturnType<typeof Type.Object> {
  const { starter, areaStarters, ownStarters, variants, hasDark } = siteFacts;
  const name = Type.Object(
    { ...tokenTargetFields, ...someOf({ name: tokenName, value: tokenValue, dark: tokenDark }).properties },
    closed,
  );
  const look = Type.Object(
    {
      place: PlaceShape,
      ...thingField,
      ...someOf(maybeTarget).properties,
      ...someOf(styleValues as unknown as TProperties).properties,
    },
    closed,
  );
  return Type.Object(
    {
      ...someOf({ starter, areaStarters, ownStarters, variants, hasDark }).properties,
      names: Type.Array(name, { maxItems: MOST }),
      looks: Type.Array(look, { maxItems: MOST }),
      css: Type.Array(Type.Object({ place: PlaceShape, rules: CssRulesShape }, closed), { maxItems: MOST }),
    },
    closed,
  );
}

let shape: ReturnType<typeof portableStyleShape> | null = null;

/** Looks in something that came from outside, or what is wrong with it, and where. */
export function readStyle(given: unknown): { readonly style: PortableStyle } | { readonly problem: string } {
  const fits = (shape ??= portableStyleShape());
  const isStyle: boolean = Check(fits, given);
  if (isStyle) return { style: given as PortableStyle };
  const [first] = Errors(fits, given);
  return { problem: `${first?.instancePath ?? ''} ${first?.message ?? 'is not valid'}`.trim() };
}
