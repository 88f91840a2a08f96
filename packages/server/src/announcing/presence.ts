import { isEqual, type Id } from '@zorvik/core';
import type { Person } from '@zorvik/contract';

/** Who is at a window of which site, as far as this process has heard. Nothing of it is stored. */
export interface Presence {
  readonly here: (site: string, person: Person) => void;
  readonly left: (site: string, session: Id) => void;
  readonly people: (site: string) => Person[];
  /** Lets go of those not heard of for long. */
  readonly sweep: () => void;
  /** What changed since it was asked last, for each site where something did. */
  readonly news: () => PeopleNews[];
}

/** Who came, or is elsewhere or called otherwise now, and who left. */
export interface PeopleNews {
  readonly site: string;
  readonly here: Person[];
  readonly left: Id[];
}

/**
 * A window says that it is there at least this often, in ms; three times as long, and it is taken to be gone.
 */
export const PRESENCE_BEAT = 20_000;
const MOST_PEOPLE = 200;

/** `onNews`: called when there is news, once until it is asked for. */
export function presence(now: () => Date, onNews: () => void = () => undefined): Presence {
  const sites = new Map<string, Map<Id, { readonly person: Person; readonly heard: number }>>();
  /** Whose windows changed, by site. */
  let changed = new Map<string, Set<Id>>();
  const at = (site: string): Map<Id, { readonly person: Person; readonly heard: number }> =>
    sites.get(site) ?? new Map();
  const note = (site: string, session: Id): void => {
    if (changed.size === 0) onNews();
    changed.set(site, (changed.get(site) ?? new Set()).add(session));
  };
  const letGo = (site: string, session: Id): void => {
    const known = at(site);
    if (!known.delete(session)) return;
    if (known.size === 0) sites.delete(site);
    note(site, session);
  };
  return {
    here(site, person) {
      const known = at(site);
      const before = known.get(person.session);
      known.set(person.session, { person, heard: now().getTime() });
      sites.set(site, known);
      if (before === undefined || !isEqual(before.person, person)) note(site, person.session);
      for (const session of known.keys()) if (known.size > MOST_PEOPLE) letGo(site, session);
    },
    left: letGo,
    people: (site) => [...at(site).values()].map(({ person }) => person),
    sweep() {
      const oldest = now().getTime() - 3 * PRESENCE_BEAT;
      for (const [site, known] of [...sites])
        for (const [session, { heard }] of [...known]) if (heard < oldest) letGo(site, session);
    },
    news() {
      const all = [...changed].map(([site, sessions]) => {
        const known = at(site);
        return {
          site,
          here: [...sessions].flatMap((session) => known.get(session)?.person ?? []),
          left: [...sessions].filter((session) => !known.has(session)),
        };
      });
      changed = new Map();
      return all;
    },
  };
}
