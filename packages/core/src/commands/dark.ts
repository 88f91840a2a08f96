import type { Result } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import type { Edit } from '../ops/edit.ts';
import type { CommandContext } from './context.ts';
import { siteEdit } from './siteFacts.ts';

/**
 * Gives the site colours for the dark scheme, or takes them away. What was set for it stays, and is there again when
 * it is turned on again.
 */
export function setDark(context: CommandContext, hasDark: boolean): Result<Edit> {
  return siteEdit(
    context,
    { hasDark: hasDark ? true : null },
    sentence(hasDark ? 'darkAdded' : 'darkRemoved', {}),
  );
}
