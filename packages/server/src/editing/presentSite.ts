import {
  applyEdit,
  EDIT_VERSION,
  latestFormat,
  no,
  ok,
  refusal,
  sentence,
  upgraded,
  type Edit,
  type Result,
} from '@zorvik/core';
import type { Database } from '../db/database.ts';
import { editsSince } from '../repositories/log.ts';
import type { SiteHead } from '../repositories/sites.ts';
import { damageDone } from './damageDone.ts';
import type { EditingDeps } from './editingDeps.ts';
import { ranksFor } from './ranksFor.ts';
import { withEdit, type KnownSite } from './siteCache.ts';
import { touchedBy, writeEdit } from './writeEdit.ts';

/** A site and what its row says. */
export interface CurrentSite<Head extends SiteHead = SiteHead> {
  readonly head: Head;
  readonly site: KnownSite;
}

/**
 * A site whose row is held, as it is now and in the present format. One of an older format is upgraded here,
 * once and for good, by one more edit of its log.
 */
export async function presentSite<Head extends SiteHead>(
  tx: Database,
  { cache, now, upgrades }: EditingDeps,
  head: Head,
): Promise<Result<CurrentSite<Head>>> {
  const site = await caughtUp(tx, await cache.at(tx, head), head.revision);
  const { format } = site.document;
  const known = latestFormat(upgrades);
  if (format === known) return ok({ head, site });
  if (format > known) return no(refusal('newerSite', { format, known }));
  const { document, operations } = upgraded(site.document, upgrades);
  const damage = await damageDone(site.document, document, { operations });
  if (damage !== null)
    throw new Error(`The upgrade of ${site.key} to format ${known} fails: ${damage.message}`);
  const edit: Edit = {
    // The same wherever it is made: no log can hold it twice.
    id: `eformat${format}to${known}`,
    version: EDIT_VERSION,
    base: site.revision,
    session: 'wzorvik',
    group: null,
    undoes: null,
    sentence: sentence('siteUpgraded', {}),
    operations,
  };
  const after = await writeEdit(tx, site, { document, edit }, { actor: 'Zorvik', at: now().toISOString() });
  return ok({ head: { ...head, revision: after.revision }, site: after });
}

/** A site brought up to the revision of its row by what other processes have logged. */
async function caughtUp(tx: Database, site: KnownSite, revision: number): Promise<KnownSite> {
  let current = site;
  for (const edit of site.revision === revision ? [] : await editsSince(tx, site.id, site.revision)) {
    const applied = applyEdit(current.document, edit);
    if (!applied.ok)
      throw new Error(
        `The log of ${site.id} does not replay at revision ${edit.revision}: ${applied.refusal.message}`,
      );
    let { ranks } = current;
    for (const [forest, ids] of touchedBy(edit))
      ranks = ranks.withAll(ranksFor(applied.value.document, forest, ids, ranks));
    current = withEdit(current, edit, applied.value.document, ranks);
  }
  return current;
}
