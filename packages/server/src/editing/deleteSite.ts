import { no, ok, refusal, type Result } from '@zorvik/core';
import type { DeletedSite, SiteSummary } from '@zorvik/contract';
import type { Database } from '../db/database.ts';
import {
  deletedSite,
  listDeleted,
  listSites,
  lockSite,
  removeDeleted,
  setDeleted,
} from '../repositories/sites.ts';
import type { PublicSide } from '../delivery/publicSide.ts';
import type { EditingDeps } from './editingDeps.ts';
import { presentSite } from './presentSite.ts';

/** For how long a site that was deleted can be restored, in ms. */
const RESTORABLE = 86_400_000;

type Deps = EditingDeps & { readonly delivery: Pick<PublicSide, 'forget'> };

const until = (at: string): string => new Date(Date.parse(at) + RESTORABLE).toISOString();
const earliest = ({ now }: Pick<EditingDeps, 'now'>): string =>
  new Date(now().getTime() - RESTORABLE).toISOString();

/** The sites that can be restored. */
export async function deletedSites(deps: Pick<EditingDeps, 'database' | 'now'>): Promise<DeletedSite[]> {
  const found = await listDeleted(deps.database, earliest(deps));
  return found.map(({ key, name, at }) => ({ key, name, until: until(at) }));
}

/** Hides a site and its menus from everybody. Its name has to be given, so that nobody does it by a slip. */
export async function deleteSite(deps: Deps, siteKey: string, typed: string): Promise<Result<DeletedSite>> {
  const at = deps.now().toISOString();
  const done = await deps.database.transaction(async (tx): Promise<Result<DeletedSite>> => {
    const head = await lockSite(tx, siteKey, null);
    if (head === null) return no(refusal('unknownSite', { key: siteKey }));
    const present = await presentSite(tx, deps, head);
    if (!present.ok) return present;
    const { name } = present.value.site.document.site;
    if (typed.trim() !== name) return no(refusal('otherName', { typed: typed.slice(0, 80), name }));
    await setDeleted(tx, head, at);
    return ok({ key: siteKey, name, until: until(at) });
  });
  if (done.ok) await deps.delivery.forget(siteKey);
  return done;
}

/** Brings a site back, with its editions, as it was. */
export async function restoreSite(deps: Deps, siteKey: string): Promise<Result<SiteSummary>> {
  const isDone = await deps.database.transaction(async (tx: Database) => {
    const found = await deletedSite(tx, siteKey, earliest(deps));
    if (found !== null) await setDeleted(tx, found, null);
    return found !== null;
  });
  if (!isDone) return no(refusal('notDeleted', { key: siteKey }));
  await deps.delivery.forget(siteKey);
  const restored = (await listSites(deps.database)).find(({ key }) => key === siteKey);
  return restored === undefined ? no(refusal('unknownSite', { key: siteKey })) : ok(restored);
}

/** Removes what can no longer be restored. */
export function sweepDeleted(deps: Pick<EditingDeps, 'database' | 'now'>): Promise<void> {
  return removeDeleted(deps.database, earliest(deps));
}
