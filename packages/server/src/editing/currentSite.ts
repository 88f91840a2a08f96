import { no, refusal, type Result } from '@zorvik/core';
import { lockSite } from '../repositories/sites.ts';
import type { EditingDeps } from './editingDeps.ts';
import { presentSite, type CurrentSite } from './presentSite.ts';

/**
 * A site as it is now. Its row is held while it is read: rows that another process is just writing would be
 * of one revision, and the row's number of another.
 */
export async function currentSite(deps: EditingDeps, siteKey: string): Promise<Result<CurrentSite>> {
  const found = await deps.database.transaction(async (tx): Promise<Result<CurrentSite>> => {
    const head = await lockSite(tx, siteKey, null);
    return head === null ? no(refusal('unknownSite', { key: siteKey })) : presentSite(tx, deps, head);
  });
  if (found.ok) deps.cache.keep(found.value.site);
  return found;
}
