import type { State, ThingName } from '../anatomy/anatomy.ts';
import type { RoleName } from '../anatomy/roles.ts';
import type { Situation, StyleValues } from '../schema/style.ts';

/** Values of some properties; see `values.ts`. What begins with "=" is CSS as it is. */
export type Look = StyleValues;

/** How a thing looks: in each state; and at rest on narrow screens, in the dark, and in situations of the header. */
export type Looks = { readonly [S in State]?: Look } & {
  readonly narrow?: Look;
  readonly dark?: Look;
} & { readonly [S in Situation]?: Look };

/** How everything looks before anybody sets anything. */
export type StarterLooks = { readonly [T in ThingName]?: Looks };

/** What a role is: a value, or that of another role. */
export type RoleValue = string | { readonly like: RoleName };

/** Looks to start from: those of all things, and the colours, font and lengths that they use by name. */
export interface Starter {
  readonly name: string;
  /** What it is like, in a line. */
  readonly about: string;
  readonly roles: { readonly [R in RoleName]?: RoleValue };
  readonly looks: StarterLooks;
}
