import {
  applyEdit,
  kindOf,
  no,
  ok,
  rebaseEdit,
  refusal,
  type Edit,
  type ForestName,
  type LoggedEdit,
  type Result,
  type Site,
  type SiteDocument,
} from '@zorvik/core';
import type { Database } from '../db/database.ts';
import { appendEdit, editsSince } from '../repositories/log.ts';
import { deleteNodes, writeNodes, type NodeRow, type Progress } from '../repositories/nodes.ts';
import { insertSite, lockSite, setRevision } from '../repositories/sites.ts';
import { ranksFor } from './ranksFor.ts';
import type { KnownSite, SiteCache } from './siteCache.ts';

export interface EditingDeps {
  readonly database: Database;
  readonly cache: SiteCache;
  readonly now: () => Date;
}

export interface SaveChoices {
  /** A site that the edit is the first of: it is stored with it, or not at all. */
  readonly newSite?: Site;
  readonly onWritten?: Progress;
}

export interface Saved {
  readonly revision: number;
  /** Everything since the edit's base, oldest first, the edit itself among them. */
  readonly edits: readonly LoggedEdit[];
}

/**
 * Keeps an edit: in one transaction takes the site's row, catches up with the log, leads the edit through what happened since its
 * base, applies it, writes the rows it touched and appends it to the log. An edit that is in the log already changes nothing and
 * gets its answer again. A refusal leaves no trace.
 */
export async function saveEdit(
  { database, cache, now }: EditingDeps,
  siteKey: string,
  edit: Edit,
  actor: string,
  { newSite, onWritten }: SaveChoices = {},
): Promise<Result<Saved>> {
  if (edit.operations.length === 0) return no(refusal('emptyEdit'));
  const { result, site } = await database.transaction(async (tx): Promise<{ result: Result<Saved>; site: KnownSite | null }> => {
    if (newSite !== undefined) await insertSite(tx, newSite);
    const head = await lockSite(tx, siteKey, edit.id);
    if (head === null) return { result: no(refusal('unknownSite', { key: siteKey })), site: null };
    const { id, revision } = head;
    if (edit.base > revision) return { result: no(refusal('badBase', { base: edit.base, revision })), site: null };
    if (head.known !== null) {
      const since = await editsSince(tx, id, Math.min(edit.base, head.known - 1));
      return { result: ok({ revision, edits: since }), site: null };
    }
    const present = await caughtUp(tx, await cache.at(tx, id, revision), revision);
    const since = edit.base < revision ? await editsSince(tx, id, edit.base) : [];
    const rebased = rebaseEdit(edit, since);
    const applied = applyEdit(present.document, rebased);
    if (!applied.ok) return { result: applied, site: present };
    const logged: LoggedEdit = { ...applied.value.edit, revision: revision + 1, at: now().toISOString(), actor };
    const ranks = await writeTouched(tx, present, applied.value.document, logged, onWritten);
    await appendEdit(tx, id, logged);
    await setRevision(tx, id, logged.revision);
    const after = { id, revision: logged.revision, document: applied.value.document, ranks };
    return { result: ok({ revision: logged.revision, edits: [...since, logged] }), site: after };
  });
  // Only now is it committed: a transaction that failed must leave the cache as it was.
  if (site !== null) cache.keep(site);
  return result;
}

/** A site brought up to the revision of its row by what other processes have logged. */
export async function caughtUp(tx: Database, site: KnownSite, revision: number): Promise<KnownSite> {
  if (site.revision === revision) return site;
  let { document, ranks } = site;
  for (const edit of await editsSince(tx, site.id, site.revision)) {
    const applied = applyEdit(document, edit);
    if (!applied.ok) throw new Error(`The log of ${site.id} does not replay at revision ${edit.revision}: ${applied.refusal.message}`);
    ({ document } = applied.value);
    for (const [forest, ids] of touchedBy(edit)) ranks = ranks.withAll(ranksFor(document, forest, ids, ranks));
  }
  return { ...site, revision, document, ranks };
}

/** Writes the rows of every node that the edit touched, and gives the ranks after it. */
async function writeTouched(
  tx: Database,
  { id: siteId, ranks }: KnownSite,
  document: SiteDocument,
  edit: Edit,
  onWritten?: Progress,
): Promise<KnownSite['ranks']> {
  let current = ranks;
  for (const [forest, ids] of touchedBy(edit)) {
    const given = ranksFor(document, forest, ids, current);
    current = current.withAll(given);
    const gone: string[] = [];
    const rows: NodeRow[] = [];
    for (const id of ids) {
      const node = document[forest].nodes.get(id);
      if (node === undefined) {
        gone.push(id);
        current = current.without(id);
        continue;
      }
      const { id: own, parent, ...fields } = node;
      rows.push({ id: own, parent, rank: given.get(own) ?? '', fields });
    }
    await writeNodes(tx, siteId, forest, rows, onWritten);
    await deleteNodes(tx, siteId, forest, gone);
  }
  return current;
}

function touchedBy({ operations }: Edit): Map<ForestName, Set<string>> {
  const touched = new Map<ForestName, Set<string>>();
  for (const operation of operations) {
    for (const { forest, id } of kindOf(operation).touches(operation)) {
      const ids = touched.get(forest);
      if (ids === undefined) touched.set(forest, new Set([id]));
      else ids.add(id);
    }
  }
  return touched;
}
