import { filesIn, filesNamed } from '@zorvik/core';
import { othersTurn } from '../othersTurn.ts';
import { filesToSweep, removeFiles } from '../repositories/files.ts';
import { editsBetween } from '../repositories/log.ts';
import { lockSite, siteKey } from '../repositories/sites.ts';
import type { EditingDeps } from './editingDeps.ts';
import { presentSite } from './presentSite.ts';

/** How many edits are looked through before others get their turn. */
const PIECE = 200;

/**
 * Removes files that were uploaded before a time and that neither the working copy, a preset, an edition nor
 * the log names any more; gives how many uploads went. What the log names can still come back by undo. The
 * site's row is held only when there is something to remove.
 */
export async function sweepFiles(deps: EditingDeps, siteId: string, before: string): Promise<number> {
  const { database } = deps;
  const old = await filesToSweep(database, siteId, before);
  const key = old.length === 0 ? null : await siteKey(database, siteId);
  if (key === null) return 0;
  return database.transaction(async (tx) => {
    const head = await lockSite(tx, key, null);
    const present = head === null ? null : await presentSite(tx, deps, head);
    if (present?.ok !== true) return 0;
    const {
      head: { revision },
      site: { document },
    } = present.value;
    const unused = new Set(old);
    for (const file of filesIn(document)) unused.delete(file);
    for (let at = 0; at < revision && unused.size > 0; at += PIECE) {
      for (const { operations } of await editsBetween(tx, siteId, at, at + PIECE))
        for (const operation of operations) for (const file of filesNamed(operation)) unused.delete(file);
      await othersTurn();
    }
    if (unused.size > 0) await removeFiles(tx, siteId, [...unused]);
    return unused.size;
  });
}
