import type { Id } from '@zorvik/core';
import type { Person } from '@zorvik/contract';

/** Who is at a window of which site, as far as this process has heard. Nothing of it is stored. */
export interface Presence {
  readonly here: (site: string, person: Person) => void;
  readonly left: (site: string, session: Id) => void;
  readonly people: (site: string) => Person[];
  /** Lets go of those not heard of for long; gives the sites that they were at. */
  readonly sweep: () => string[];
}

/**
 * A window says that it is there at least this often, in ms; three times as long, and it is taken to be gone.
 */
export const PRESENCE_BEAT = 20_000;
const MOST_PEOPLE = 200;

export function presence(now: () => Date): Presence {
  const sites = new Map<string, Map<Id, { readonly person: Person; readonly heard: number }>>();
  const at = (site: string): Map<Id, { readonly person: Person; readonly heard: number }> =>
    sites.get(site) ?? new Map();
  return {
    here(site, person) {
      const known = at(site);
      known.set(person.session, { person, heard: now().getTime() });
      for (const session of known.keys()) if (known.size > MOST_PEOPLE) known.delete(session);
      sites.set(site, known);
    },
    left(site, session) {
      if (at(site).delete(session) && at(site).size === 0) sites.delete(site);
    },
    people: (site) => [...at(site).values()].map(({ person }) => person),
    sweep() {
      const oldest = now().getTime() - 3 * PRESENCE_BEAT;
      const changed: string[] = [];
      for (const [site, known] of sites) {
        const gone = [...known].filter(([, { heard }]) => heard < oldest);
        for (const [session] of gone) known.delete(session);
        if (gone.length > 0) changed.push(site);
        if (known.size === 0) sites.delete(site);
      }
      return changed;
    },
  };
}
