import { refusal } from '../base/refusal.ts';
import { no, ok, type Result } from '../base/result.ts';

/** What a person may be in a site; each may all that the one before it may. */
export const roles = ['reader', 'editor', 'publisher', 'owner'] as const;
/** What somebody may do on a site. */
export type Role = (typeof roles)[number];

/** Who acts. The name is shown to others; sign-in fills it in when it exists. */
export interface Actor {
  readonly name: string;
  readonly role: Role;
}

/** Everything that needs leave, and the least role that has it. */
const needed = {
  look: { role: 'reader', doing: 'view it' },
  edit: { role: 'editor', doing: 'change it' },
  importPages: { role: 'editor', doing: 'import pages' },
  publish: { role: 'publisher', doing: 'publish it' },
  makeSite: { role: 'owner', doing: 'create sites' },
  removeSite: { role: 'owner', doing: 'delete it' },
  archive: { role: 'owner', doing: 'back up or restore it' },
} as const satisfies Record<string, { role: Role; doing: string }>;

/** Something that needs a permission. */
export type Intent = keyof typeof needed;

/** The one place where leave is asked, by buttons and by the server alike. */
export function can(actor: Actor, intent: Intent): Result<Intent> {
  const { role, doing } = needed[intent];
  return roles.indexOf(actor.role) >= roles.indexOf(role)
    ? ok(intent)
    : no(refusal('mayNot', { doing, role }));
}
