import type { Result } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import type { Edit } from '../ops/edit.ts';
import { makeEdit, storedOf, type CommandContext } from './context.ts';

/**
 * Gives the site colours for the dark scheme, or takes them away. What was set for it stays, and is there again when
 * it is turned on again.
 */
export function setDark(context: CommandContext, hasDark: boolean): Result<Edit> {
  const { site } = storedOf(context);
  const set = { hasDark: hasDark ? (true as const) : null };
  const was = { hasDark: site.hasDark ?? null };
  return makeEdit(context, [{ kind: 'updateSite', id: site.id, set, was }], {
    label: site.name,
    isStored: true,
    sentence: sentence(hasDark ? 'darkAdded' : 'darkRemoved', {}),
  });
}
