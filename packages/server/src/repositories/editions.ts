import { createHash } from 'node:crypto';
import { and, desc, eq, sql } from 'drizzle-orm';
import type { EditionSummary } from '@zorvik/contract';
import type { EditionFile } from '@zorvik/core';
import { rowsOf, type Database } from '../db/database.ts';
import { blobs, editionFiles, editions } from '../db/schema.ts';

/** A file of an edition whose bytes are kept already, under their hash. */
export interface HeldFile {
  readonly path: string;
  readonly type: string;
  readonly hash: string;
}

/** The same as it is kept: `hash` is the SHA-256 of its bytes, in hex. */
export interface KeptFile {
  readonly path: string;
  readonly type: string;
  readonly hash: string;
  readonly bytes: Buffer;
}

const summary = {
  number: editions.number,
  revision: editions.revision,
  at: editions.at,
  actor: editions.actor,
  note: editions.note,
  items: editions.items,
};

export async function listEditions(database: Database, siteId: string): Promise<EditionSummary[]> {
  const rows = await database
    .select(summary)
    .from(editions)
    .where(eq(editions.siteId, siteId))
    .orderBy(desc(editions.number));
  return rows.map(inUtc);
}

export async function maybeEdition(
  database: Database,
  siteId: string,
  number: number,
): Promise<EditionSummary | null> {
  const [row] = await database
    .select(summary)
    .from(editions)
    .where(and(eq(editions.siteId, siteId), eq(editions.number, number)));
  return row === undefined ? null : inUtc(row);
}

function inUtc(row: EditionSummary): EditionSummary {
  return { ...row, at: new Date(row.at).toISOString() };
}

/** Keeps an edition; bytes that another edition holds already are not stored again. */
export async function insertEdition(
  tx: Database,
  siteId: string,
  edition: EditionSummary,
  files: readonly (EditionFile | HeldFile)[],
): Promise<void> {
  await tx.insert(editions).values({ siteId, ...edition });
  for (const file of files) {
    const hash = 'hash' in file ? file.hash : await insertBlob(tx, Buffer.from(file.body, 'utf8'));
    await tx
      .insert(editionFiles)
      .values({ siteId, number: edition.number, path: file.path, type: file.type, hash });
  }
}

/** Keeps bytes once; gives their hash. */
export async function insertBlob(tx: Database, body: Buffer): Promise<string> {
  const hash = createHash('sha256').update(body).digest('hex');
  await tx.insert(blobs).values({ hash, body }).onConflictDoNothing();
  return hash;
}

/** All files of one edition of a site. */
export async function filesOf(database: Database, siteId: string, number: number): Promise<KeptFile[]> {
  const rows = await database
    .select({ path: editionFiles.path, type: editionFiles.type, hash: blobs.hash, body: blobs.body })
    .from(editionFiles)
    .innerJoin(blobs, eq(blobs.hash, editionFiles.hash))
    .where(and(eq(editionFiles.siteId, siteId), eq(editionFiles.number, number)));
  return rows.map(({ body, ...rest }) => ({ ...rest, bytes: Buffer.from(body) }));
}

/** The key, id and current edition of a site as far as the public may know: null when it has none. */
export async function currentEdition(
  database: Database,
  siteKey: string,
): Promise<{ siteId: string; number: number | null } | null> {
  const [row] = await rowsOf<{ id: string; edition: number | null }>(
    database,
    sql`select id, edition from sites where key = ${siteKey} and deleted_at is null`,
  );
  return row === undefined ? null : { siteId: row.id, number: row.edition };
}
