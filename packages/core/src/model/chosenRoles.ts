import { roleNames, type RoleName } from '../anatomy/roles.ts';
import type { AreaName } from '../schema/part.ts';
import type { OwnStarter } from '../schema/ownStarter.ts';
import type { Site } from '../schema/site.ts';
import type { RoleValue, Starter } from '../starters/starter.ts';
import { FIRST_STARTER, starterRoles, type StarterKey } from '../starters/starterRoles.ts';

/** The starter that a site, or an area of it, begins with: its colours, fonts and lengths. */
export interface ChosenRoles {
  readonly key: string;
  /** The starter that ships and that it is, or that it was made of. */
  readonly base: StarterKey;
  readonly roles: Starter['roles'];
  /** It was saved on this site: what was set on top of another one. */
  readonly own?: OwnStarter;
}

/** The starter of a site, or of an area of it; the first one where what was chosen is not there any more. O(1). */
export function chosenRoles(
  site: Pick<Site, 'starter' | 'areaStarters' | 'ownStarters'>,
  area: AreaName | null = null,
): ChosenRoles {
  const key = (area === null ? undefined : site.areaStarters?.[area]) ?? site.starter ?? FIRST_STARTER;
  return rolesByKey(site, key) ?? shippedRoles(FIRST_STARTER);
}

/** Those of a starter that ships, or of one that was saved on a site; null: there is none with that key. O(1). */
export function rolesByKey({ ownStarters = {} }: Pick<Site, 'ownStarters'>, key: string): ChosenRoles | null {
  if (isShipped(key)) return shippedRoles(key);
  const own = Object.hasOwn(ownStarters, key) ? ownStarters[key] : undefined;
  if (own === undefined) return null;
  const base = isShipped(own.base) ? own.base : FIRST_STARTER;
  let roles = known.get(own);
  if (roles === undefined) known.set(own, (roles = { ...starterRoles[base], ...rolesIn(own) }));
  return { key, base, roles, own };
}
const known = new WeakMap<OwnStarter, Starter['roles']>();

function isShipped(key: string): key is StarterKey {
  return Object.hasOwn(starterRoles, key);
}

function shippedRoles(key: StarterKey): ChosenRoles {
  return { key, base: key, roles: starterRoles[key] };
}

function rolesIn({ roles = {} }: OwnStarter): { readonly [R in RoleName]?: RoleValue } {
  const entries = roleNames.flatMap((name) => {
    const value = roles[name];
    return value === undefined ? [] : [[name, value] as const];
  });
  return Object.fromEntries(entries);
}
