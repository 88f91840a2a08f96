import type { ThingName } from '../anatomy/anatomy.ts';
import type { Look, Looks, StarterLooks } from './starter.ts';

/** Looks with others on top: what is said there of a property of a thing in a state wins. O(values). */
export function withLooks(base: StarterLooks, over: StarterLooks): StarterLooks {
  const all: { [T in ThingName]?: Looks } = { ...base };
  for (const [thing, looks] of Object.entries(over) as [ThingName, Looks][]) {
    const merged: Partial<Record<keyof Looks, Look>> = { ...base[thing] };
    for (const [where, look] of Object.entries(looks) as [keyof Looks, Look][])
      merged[where] = { ...merged[where], ...look };
    all[thing] = merged;
  }
  return all;
}
