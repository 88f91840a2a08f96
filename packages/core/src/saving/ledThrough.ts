import type { Edit, LoggedEdit } from '../ops/edit.ts';
import { rebaseEdit } from '../ops/rebaseEdit.ts';

/**
 * An edit as it is to be applied behind what came after its base. What its own session did, its author knew
 * and meant.
 */
export function ledThrough(edit: Edit, log: readonly LoggedEdit[]): Edit {
  const foreign = log.filter(({ revision, session }) => revision > edit.base && session !== edit.session);
  return foreign.length === 0 ? edit : rebaseEdit(edit, foreign);
}
