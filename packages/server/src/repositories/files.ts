import { and, eq, inArray, sql } from 'drizzle-orm';
import { rowsOf, type Database } from '../db/database.ts';
import { blobs, pictures } from '../db/schema.ts';
import { insertBlob } from './editions.ts';

export interface StoredFile {
  readonly type: string;
  readonly bytes: Buffer;
}

interface ToStore {
  readonly name: string;
  readonly type: string;
  readonly bytes: Buffer;
}

/** Keeps the files of one upload; what is there already is kept once. */
export async function insertFiles(
  tx: Database,
  siteId: string,
  file: string,
  files: readonly ToStore[],
  at: string,
): Promise<void> {
  for (const { name, type, bytes } of files) {
    const hash = await insertBlob(tx, bytes);
    await tx
      .insert(pictures)
      .values({ siteId, name, file, type, hash, at })
      .onConflictDoUpdate({ target: [pictures.siteId, pictures.name], set: { at } });
  }
}

export async function maybeFile(
  database: Database,
  siteId: string,
  name: string,
): Promise<StoredFile | null> {
  const [row] = await database
    .select({ type: pictures.type, body: blobs.body })
    .from(pictures)
    .innerJoin(blobs, eq(blobs.hash, pictures.hash))
    .where(and(eq(pictures.siteId, siteId), eq(pictures.name, name)));
  return row === undefined ? null : { type: row.type, bytes: Buffer.from(row.body) };
}

/** The bytes of files that were uploaded to a site, by their names. */
export async function bytesOfFiles(
  database: Database,
  siteId: string,
  names: readonly string[],
): Promise<ReadonlyMap<string, Uint8Array>> {
  if (names.length === 0) return new Map();
  const rows = await database
    .select({ name: pictures.name, body: blobs.body })
    .from(pictures)
    .innerJoin(blobs, eq(blobs.hash, pictures.hash))
    .where(and(eq(pictures.siteId, siteId), inArray(pictures.name, [...names])));
  return new Map(rows.map(({ name, body }) => [name, Buffer.from(body)]));
}

/** The files of some uploads to a site, as an edition names them. */
export async function filesByHash(
  database: Database,
  siteId: string,
  files: readonly string[],
): Promise<{ name: string; type: string; hash: string }[]> {
  if (files.length === 0) return [];
  return database
    .select({ name: pictures.name, type: pictures.type, hash: pictures.hash })
    .from(pictures)
    .where(and(eq(pictures.siteId, siteId), inArray(pictures.file, [...files])));
}

/** Uploaded before a time and part of no edition, by their hashes. */
export async function filesToSweep(database: Database, siteId: string, before: string): Promise<string[]> {
  const found = await rowsOf<{ file: string }>(
    database,
    sql`select distinct p.file from pictures p where p.site_id = ${siteId} and p.at < ${before}
        and not exists (select 1 from pictures o join edition_files f
                        on f.site_id = o.site_id and f.path = 'pictures/' || o.name
                        where o.site_id = p.site_id and o.file = p.file)`,
  );
  return found.map(({ file }) => file);
}

/** Removes uploaded files by their hashes; bytes that nothing else holds go with them. */
export async function removeFiles(tx: Database, siteId: string, gone: readonly string[]): Promise<void> {
  const removed = await tx
    .delete(pictures)
    .where(and(eq(pictures.siteId, siteId), inArray(pictures.file, [...gone])))
    .returning({ hash: pictures.hash });
  const hashes = JSON.stringify(removed.map(({ hash }) => hash));
  await rowsOf(
    tx,
    sql`delete from blobs b where b.hash in (select json_array_elements_text(${hashes}::json))
        and not exists (select 1 from pictures p where p.hash = b.hash) and not exists (select 1 from edition_files f where f.hash = b.hash)`,
  );
}
