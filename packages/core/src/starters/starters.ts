import { moss } from './moss.ts';
import { orchard } from './orchard.ts';
import { poppy } from './poppy.ts';
import { slate } from './slate.ts';
import type { Starter } from './starter.ts';

/** The starter of a site that has not chosen any. */
export const FIRST_STARTER = 'moss@1';

/** The starters that ship, by name and version. Frozen: a change is a new version beside the old one. */
export const starters = {
  [FIRST_STARTER]: {
    name: 'Moss',
    about: 'Plain and calm: soft corners, a tint behind what is pointed at',
    roles: {},
    looks: moss,
  },
  'orchard@1': {
    name: 'Orchard',
    about: 'Like a printed page: a serif, hairlines, underlined links',
    ...orchard,
  },
  'slate@1': { name: 'Slate', about: 'Square and firm: capitals, strong bars, no gaps', ...slate },
  'poppy@1': { name: 'Poppy', about: 'Round and bold: pills, filled entries, soft shadows', ...poppy },
} as const satisfies Record<string, Starter>;
/** See `starters`. */
export type StarterKey = keyof typeof starters;
/** The keys of the starters that ship, in the order in which they are offered. */
export const starterKeys = Object.keys(starters) as StarterKey[];

/** A starter that ships, by its key; null: none has it. */
export function starterOf(key: string): Starter | null {
  return Object.hasOwn(starters, key) ? starters[key as StarterKey] : null;
}
