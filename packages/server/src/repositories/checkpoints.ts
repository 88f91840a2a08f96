import { promisify } from 'node:util';
import { gunzip } from 'node:zlib';
import { eq, sql } from 'drizzle-orm';
import { rowsOf, type Database } from '../db/database.ts';
import { checkpoints } from '../db/schema.ts';

const unpack = promisify(gunzip);

/** The document that stands for the part of a log that was taken away, as JSON. */
export interface Checkpoint {
  readonly revision: number;
  readonly text: string;
}

export async function maybeCheckpoint(database: Database, siteId: string): Promise<Checkpoint | null> {
  const [row] = await database.select().from(checkpoints).where(eq(checkpoints.siteId, siteId));
  return row === undefined
    ? null
    : { revision: row.revision, text: (await unpack(row.body)).toString('utf8') };
}

/**
 * The oldest revision that is among the latest `most` edits, or at most `days` older than the latest; null:
 * the log is empty.
 */
export async function oldestToKeep(
  database: Database,
  siteId: string,
  days: number,
  most: number,
): Promise<number | null> {
  const [row] = await rowsOf<{ oldest: number | null }>(
    database,
    sql`select min(e.revision)::int as oldest from edits e
        where e.site_id = ${siteId} and (e.revision > (select revision from sites where id = ${siteId}) - ${most}
          or e.at > (select max(l.at) from edits l where l.site_id = ${siteId}) - make_interval(days => ${days}))`,
  );
  return row?.oldest ?? null;
}

/** Puts a document in the place of the log up to a revision. Refusals of that time go with it. */
export async function putCheckpoint(
  database: Database,
  siteId: string,
  revision: number,
  body: Uint8Array,
): Promise<void> {
  await database.transaction(async (tx) => {
    await tx
      .insert(checkpoints)
      .values({ siteId, revision, body })
      .onConflictDoUpdate({ target: checkpoints.siteId, set: { revision, body } });
    await rowsOf(
      tx,
      sql`delete from refusals where site_id = ${siteId} and at <= (select max(at) from edits where site_id = ${siteId} and revision <= ${revision})`,
    );
    await rowsOf(tx, sql`delete from edits where site_id = ${siteId} and revision <= ${revision}`);
  });
}
