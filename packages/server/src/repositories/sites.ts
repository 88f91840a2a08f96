import { eq, sql } from 'drizzle-orm';
import type { Site } from '@zorvik/core';
import { FORMAT } from '@zorvik/core';
import type { SiteSummary } from '@zorvik/contract';
import { rowsOf, type Database } from '../db/database.ts';
import { sites } from '../db/schema.ts';

/** What the row of a site says: which one, and how far it is. */
export interface SiteHead {
  readonly id: string;
  readonly key: string;
  readonly revision: number;
  readonly edition: number | null;
}

export async function listSites(database: Database): Promise<SiteSummary[]> {
  const rows = await rowsOf<SiteSummary>(
    database,
    sql`select s.key, s.facts->>'name' as name, s.facts->>'origin' as origin, s.revision::int as revision, s.edition,
          (select count(*)::int from pages p where p.site_id = s.id) as pages, (select count(*)::int from menus m where m.site_id = s.id) as menus
        from sites s order by s.facts->>'name', s.key`,
  );
  return rows;
}

export async function maybeSite(database: Database, key: string): Promise<SiteHead | null> {
  const { id, revision, edition } = sites;
  const [row] = await database.select({ id, key: sites.key, revision, edition }).from(sites).where(eq(sites.key, key));
  return row ?? null;
}

/** The row of a site, held until the transaction ends, and the revision of an edit if that edit is in the log already. */
export async function lockSite(tx: Database, key: string, edit: string | null): Promise<(SiteHead & { readonly known: number | null }) | null> {
  const [row] = await rowsOf<{ id: string; key: string; revision: number | string; edition: number | null; known: number | string | null }>(
    tx,
    sql`select s.id, s.key, s.revision, s.edition, (select e.revision from edits e where e.site_id = s.id and e.id = ${edit}) as known
        from sites s where s.key = ${key} for update of s`,
  );
  // PostgreSQL's driver gives 8-byte integers as text; ours stay far below 2^53.
  return row === undefined ? null : { ...row, revision: Number(row.revision), known: row.known === null ? null : Number(row.known) };
}

export async function insertSite(tx: Database, { id, key, ...facts }: Site): Promise<void> {
  await tx.insert(sites).values({ id, key, facts, format: FORMAT, revision: 0 });
}

export async function setRevision(tx: Database, id: string, revision: number): Promise<void> {
  await rowsOf(tx, sql`update sites set revision = ${revision} where id = ${id}`);
}

export async function setEdition(tx: Database, id: string, edition: number): Promise<void> {
  await tx.update(sites).set({ edition }).where(eq(sites.id, id));
}
