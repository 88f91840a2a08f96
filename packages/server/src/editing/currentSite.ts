import { no, ok, refusal, type Result } from '@zorvik/core';
import { lockSite, type SiteHead } from '../repositories/sites.ts';
import { caughtUp, type EditingDeps } from './saveEdit.ts';
import type { KnownSite } from './siteCache.ts';

export interface CurrentSite {
  readonly head: SiteHead;
  readonly site: KnownSite;
}

/**
 * A site as it is now. Its row is held while it is read: rows that another process is just writing would be
 * of one revision, and the row's number of another.
 */
export async function currentSite(
  { database, cache }: EditingDeps,
  siteKey: string,
): Promise<Result<CurrentSite>> {
  const found = await database.transaction(async (tx): Promise<CurrentSite | null> => {
    const head = await lockSite(tx, siteKey, null);
    return head === null ? null : { head, site: await caughtUp(tx, await cache.at(tx, head), head.revision) };
  });
  if (found === null) return no(refusal('unknownSite', { key: siteKey }));
  cache.keep(found.site);
  return ok(found);
}
