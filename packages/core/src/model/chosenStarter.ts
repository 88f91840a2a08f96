import { roleNames, type RoleName } from '../anatomy/roles.ts';
import type { AreaName } from '../schema/part.ts';
import type { OwnStarter } from '../schema/ownStarter.ts';
import type { Site } from '../schema/site.ts';
import type { RoleValue, Starter } from '../starters/starter.ts';
import { FIRST_STARTER, starterOf, starters } from '../starters/starters.ts';

/** The starter that a site, or an area of it, begins with. */
export interface ChosenStarter extends Starter {
  readonly key: string;
  /** It was saved on this site: what was set on top of another one. */
  readonly own?: OwnStarter;
}

/** The starter of a site, or of an area of it; the first one where what was chosen is not there any more. O(1). */
export function chosenStarter(
  site: Pick<Site, 'starter' | 'areaStarters' | 'ownStarters'>,
  area: AreaName | null = null,
): ChosenStarter {
  const key = (area === null ? undefined : site.areaStarters?.[area]) ?? site.starter ?? FIRST_STARTER;
  return starterByKey(site, key) ?? { key: FIRST_STARTER, ...starters[FIRST_STARTER] };
}

/** A starter that ships, or one that was saved on a site; null: there is none with that key. O(1). */
export function starterByKey(
  { ownStarters = {} }: Pick<Site, 'ownStarters'>,
  key: string,
): ChosenStarter | null {
  const shipped = starterOf(key);
  if (shipped !== null) return { key, ...shipped };
  const own = Object.hasOwn(ownStarters, key) ? ownStarters[key] : undefined;
  if (own === undefined) return null;
  const base = starterOf(own.base) ?? starters[FIRST_STARTER];
  let roles = known.get(own);
  if (roles === undefined) known.set(own, (roles = { ...base.roles, ...rolesIn(own) }));
  return { key, name: own.name, about: 'Saved on this site', roles, looks: base.looks, own };
}
const known = new WeakMap<OwnStarter, Starter['roles']>();

function rolesIn({ roles = {} }: OwnStarter): { readonly [R in RoleName]?: RoleValue } {
  const entries = roleNames.flatMap((name) => {
    const value = roles[name];
    return value === undefined ? [] : [[name, value] as const];
  });
  return Object.fromEntries(entries);
}
