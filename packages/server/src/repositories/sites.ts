import { and, asc, eq, gt, isNotNull, isNull, lte, sql } from 'drizzle-orm';
import { FORMAT, type Refusal, type Site } from '@zorvik/core';
import type { SiteSummary } from '@zorvik/contract';
import { rowsOf, type Database } from '../db/database.ts';
import { CHANNEL, type Notice } from '../db/notices.ts';
import { sites } from '../db/schema.ts';

/** A site that was not deleted. */
export const isThere = isNull(sites.deletedAt);

/** What the row of a site says: which one, and how far it is. */
export interface SiteHead {
  readonly id: string;
  readonly key: string;
  readonly epoch: string;
  readonly revision: number;
  readonly edition: number | null;
}

export async function listSites(database: Database): Promise<SiteSummary[]> {
  const rows = await rowsOf<SiteSummary>(
    database,
    sql`select s.key, s.facts->>'name' as name, s.facts->>'origin' as origin, s.revision::int as revision, s.edition,
          (select count(*)::int from pages p where p.site_id = s.id) as pages, (select count(*)::int from menus m where m.site_id = s.id) as menus
        from sites s where s.deleted_at is null order by s.facts->>'name', s.key`,
  );
  return rows;
}

export async function maybeSite(database: Database, key: string): Promise<SiteHead | null> {
  const { id, epoch, revision, edition } = sites;
  const [row] = await database
    .select({ id, key: sites.key, epoch, revision, edition })
    .from(sites)
    .where(and(eq(sites.key, key), isThere));
  return row ?? null;
}

/** Sites that were deleted after a moment, those that go first at the start. */
export async function listDeleted(
  database: Database,
  after: string,
): Promise<{ key: string; name: string; at: string }[]> {
  const rows = await database
    .select({ key: sites.key, facts: sites.facts, at: sites.deletedAt })
    .from(sites)
    .where(and(isNotNull(sites.deletedAt), gt(sites.deletedAt, after)))
    .orderBy(asc(sites.deletedAt), asc(sites.key));
  return rows.map(({ key, facts, at }) => ({ key, name: String(facts['name']), at: String(at) }));
}

/** Hides a site, or brings it back with null. All processes hear of it. */
export async function setDeleted(
  tx: Database,
  { id, key }: Pick<SiteHead, 'id' | 'key'>,
  at: string | null,
): Promise<void> {
  await tx.update(sites).set({ deletedAt: at }).where(eq(sites.id, id));
  await notify(tx, { kind: 'deleted', site: key });
}

/** A site that was deleted after a moment. */
export async function deletedSite(
  tx: Database,
  key: string,
  after: string,
): Promise<Pick<SiteHead, 'id' | 'key'> | null> {
  const [row] = await tx
    .select({ id: sites.id, key: sites.key })
    .from(sites)
    .where(and(eq(sites.key, key), isNotNull(sites.deletedAt), gt(sites.deletedAt, after)));
  return row ?? null;
}

/** Removes sites for good that were deleted before a moment. */
export async function removeDeleted(database: Database, before: string): Promise<void> {
  const removed = await database
    .delete(sites)
    .where(and(isNotNull(sites.deletedAt), lte(sites.deletedAt, before)))
    .returning({ id: sites.id });
  if (removed.length === 0) return;
  // Bytes that only its editions and pictures held go with it.
  await rowsOf(
    database,
    sql`delete from blobs b where not exists (select 1 from pictures p where p.hash = b.hash)
        and not exists (select 1 from edition_files f where f.hash = b.hash)`,
  );
}

/** Whether a key is another site's, one that was deleted and can be restored included. */
export async function isKeyTaken(database: Database, key: string): Promise<boolean> {
  return (await database.select({ id: sites.id }).from(sites).where(eq(sites.key, key))).length > 0;
}

/**
 * A site's row, and what it has answered to an edit of that id already: the revision that it made, or why it
 * was refused.
 */
export interface LockedSite extends SiteHead {
  readonly known: number | null;
  readonly refused: Refusal | null;
}

/** The row of a site, held until the transaction ends. */
export async function lockSite(tx: Database, key: string, edit: string | null): Promise<LockedSite | null> {
  const [row] = await rowsOf<
    Omit<LockedSite, 'revision' | 'known'> & { revision: number | string; known: number | string | null }
  >(
    tx,
    sql`select s.id, s.key, s.epoch, s.revision, s.edition,
          (select e.revision from edits e where e.site_id = s.id and e.id = ${edit}) as known,
          (select r.refusal from refusals r where r.site_id = s.id and r.id = ${edit}) as refused
        from sites s where s.key = ${key} and s.deleted_at is null for update of s`,
  );
  // PostgreSQL's driver gives 8-byte integers as text; ours stay far below 2^53.
  return row === undefined
    ? null
    : { ...row, revision: Number(row.revision), known: row.known === null ? null : Number(row.known) };
}

export async function insertSite(tx: Database, { id, key, ...facts }: Site): Promise<void> {
  await tx.insert(sites).values({ id, key, facts, format: FORMAT, revision: 0 });
}

/** Raises the revision; all processes hear of it as soon as the transaction is committed, and only then. */
export async function setRevision(
  tx: Database,
  { id, key }: Pick<SiteHead, 'id' | 'key'>,
  revision: number,
): Promise<void> {
  const notice: Notice = { kind: 'site', site: key, revision };
  await rowsOf(
    tx,
    sql`update sites set revision = ${revision} where id = ${id} returning pg_notify(${CHANNEL}, ${JSON.stringify(notice)})`,
  );
}

export async function setEdition(
  tx: Database,
  { id, key }: Pick<SiteHead, 'id' | 'key'>,
  number: number,
): Promise<void> {
  const notice: Notice = { kind: 'edition', site: key, number };
  await rowsOf(
    tx,
    sql`update sites set edition = ${number} where id = ${id} returning pg_notify(${CHANNEL}, ${JSON.stringify(notice)})`,
  );
}

/** Tells all processes, this one too. */
export async function notify(database: Database, notice: Notice): Promise<void> {
  await rowsOf(database, sql`select pg_notify(${CHANNEL}, ${JSON.stringify(notice)})`);
}

/** Writes what is known of a site besides its nodes; what was known first is kept for the log. */
export async function setFacts(tx: Database, { id, key: _, ...facts }: Site): Promise<void> {
  await rowsOf(
    tx,
    sql`update sites set first_facts = coalesce(first_facts, facts), facts = ${JSON.stringify(facts)}::jsonb where id = ${id}`,
  );
}

/** Says which format a site is in; the one that it was created in is kept for the log. */
export async function setFormat(tx: Database, id: string, format: number): Promise<void> {
  await rowsOf(
    tx,
    sql`update sites set first_format = coalesce(first_format, format), format = ${format} where id = ${id}`,
  );
}

/** A site as it was when its log began: what was known of it, and its format. */
export async function siteAtFirst(database: Database, id: string): Promise<{ site: Site; format: number }> {
  const { key, facts, firstFacts, format, firstFormat } = sites;
  const [row] = await database
    .select({ key, facts, firstFacts, format, firstFormat })
    .from(sites)
    .where(eq(sites.id, id));
  if (row === undefined) throw new Error(`The site ${id} has no row.`);
  return {
    site: { id, key: row.key, ...(row.firstFacts ?? row.facts) } as Site,
    format: row.firstFormat ?? row.format,
  };
}

/** The key of a site; null: there is no such site. */
export async function siteKey(database: Database, id: string): Promise<string | null> {
  const [row] = await database.select({ key: sites.key }).from(sites).where(eq(sites.id, id));
  return row?.key ?? null;
}

export async function siteIds(database: Database): Promise<string[]> {
  return (await database.select({ id: sites.id }).from(sites)).map(({ id }) => id);
}
