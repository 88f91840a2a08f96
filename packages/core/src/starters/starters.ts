import { moss } from './moss.ts';
import { orchard } from './orchard.ts';
import { poppy } from './poppy.ts';
import { slate } from './slate.ts';
import type { Starter } from './starter.ts';
import { FIRST_STARTER, starterRoles, type StarterKey } from './starterRoles.ts';

/** The starters that ship, by name and version. Frozen: a change is a new version beside the old one. */
export const starters = {
  [FIRST_STARTER]: {
    name: 'Moss',
    about: 'Plain and calm: soft corners, a tint behind what is pointed at',
    roles: starterRoles[FIRST_STARTER],
    looks: moss,
  },
  'orchard@1': {
    name: 'Orchard',
    about: 'Like a printed page: a serif, hairlines, underlined links',
    roles: starterRoles['orchard@1'],
    looks: orchard,
  },
  'slate@1': {
    name: 'Slate',
    about: 'Square and firm: capitals, strong bars, no gaps',
    roles: starterRoles['slate@1'],
    looks: slate,
  },
  'poppy@1': {
    name: 'Poppy',
    about: 'Round and bold: pills, filled entries, soft shadows',
    roles: starterRoles['poppy@1'],
    looks: poppy,
  },
} as const satisfies Record<StarterKey, Starter>;

/** A starter that ships, by its key; null: none has it. */
export function starterOf(key: string): Starter | null {
  return Object.hasOwn(starters, key) ? starters[key as StarterKey] : null;
}
