import type { AreaName } from '../schema/part.ts';
import type { OwnStarter } from '../schema/ownStarter.ts';
import type { Site } from '../schema/site.ts';
import type { Starter } from '../starters/starter.ts';
import { starters } from '../starters/starters.ts';
import { chosenRoles, rolesByKey, type ChosenRoles } from './chosenRoles.ts';

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
  return withLooksOf(chosenRoles(site, area));
}

/** A starter that ships, or one that was saved on a site; null: there is none with that key. O(1). */
export function starterByKey(site: Pick<Site, 'ownStarters'>, key: string): ChosenStarter | null {
  const roles = rolesByKey(site, key);
  return roles === null ? null : withLooksOf(roles);
}

function withLooksOf({ key, base, roles, own }: ChosenRoles): ChosenStarter {
  const { name, about, looks } = starters[base];
  return own === undefined
    ? { key, name, about, roles, looks }
    : { key, name: own.name, about: 'Saved on this site', roles, looks, own };
}
