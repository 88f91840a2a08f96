import * as Type from 'typebox';
import type { TProperties } from 'typebox';
import { roleNames, roles, type RoleName } from '../anatomy/roles.ts';
import { closed, LabelShape, someOf } from './shapes.ts';
import { maybeTarget, styleValues, thingField, type StyleTarget, type StyleValues } from './style.ts';
import { tokenDark, tokenValueShape } from './token.ts';

/** How a starter is called in data: one that ships with its version, or one of the site's own. */
export const StarterKeyShape = Type.String({ pattern: '^[a-z][a-z0-9-]{0,59}(?:@\\d{1,3})?$' });

/** The most starters that a site keeps, and the most things that are said in one. */
export const MOST_OWN_STARTERS = 20;
const MOST_LOOKS = 2000;

/** Values for a thing in a state, for a whole site or another place that is named elsewhere. */
export type StarterStyle = Omit<StyleTarget, 'owner'> & StyleValues;

/** See `StarterStyle`. */
export const StarterStyleShape = Type.Object(
  {
    ...thingField,
    ...someOf(maybeTarget).properties,
    ...someOf(styleValues as unknown as TProperties).properties,
  },
  closed,
);

/** What was set for a whole site, saved so that one can start from it again: on top of another starter. */
export const OwnStarterShape = Type.Unsafe<OwnStarter>(
  Type.Object(
    {
      name: LabelShape,
      base: StarterKeyShape,
      looks: Type.Array(StarterStyleShape, { maxItems: MOST_LOOKS }),
      roles: someOf(Object.fromEntries(roleNames.map((name) => [name, tokenValueShape]))),
      ...someOf({
        dark: someOf(
          Object.fromEntries(
            roleNames.filter((name) => roles[name].of === 'colour').map((name) => [name, tokenDark]),
          ),
        ),
      }).properties,
    },
    closed,
  ),
);
/** See `OwnStarterShape`. */
export interface OwnStarter {
  readonly name: string;
  readonly base: string;
  readonly looks: readonly StarterStyle[];
  readonly roles: { readonly [R in RoleName]?: string };
  /** Colours that were set for the dark scheme. */
  readonly dark?: { readonly [R in RoleName]?: string };
}
