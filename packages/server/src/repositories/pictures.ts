import { promisify } from 'node:util';
import { gunzip } from 'node:zlib';
import { and, eq, inArray, sql } from 'drizzle-orm';
import { rowsOf, type Database } from '../db/database.ts';
import { blobs, editBodies, pictures } from '../db/schema.ts';
import { insertBlob } from './editions.ts';

const unpack = promisify(gunzip);

export interface StoredPicture {
  readonly type: string;
  readonly bytes: Buffer;
}

interface ToStore {
  readonly name: string;
  readonly type: string;
  readonly bytes: Buffer;
}

/** Keeps the files of a picture; what is there already is kept once. */
export async function insertPicture(
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

export async function maybePicture(
  database: Database,
  siteId: string,
  name: string,
): Promise<StoredPicture | null> {
  const [row] = await database
    .select({ type: pictures.type, body: blobs.body })
    .from(pictures)
    .innerJoin(blobs, eq(blobs.hash, pictures.hash))
    .where(and(eq(pictures.siteId, siteId), eq(pictures.name, name)));
  return row === undefined ? null : { type: row.type, bytes: Buffer.from(row.body) };
}

/** The files of some pictures of a site, as an edition names them. */
export async function pictureFiles(
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

/**
 * Removes pictures that were uploaded before a time and that neither the working copy, a preset, an edition
 * nor the log names any more; gives how many. Bytes that nothing else holds go with them. What the log names
 * can still come back by undo.
 */
export async function removeUnusedPictures(
  database: Database,
  siteId: string,
  before: string,
): Promise<number> {
  return database.transaction(async (tx) => {
    const unused = await rowsOf<{ file: string }>(
      tx,
      sql`select distinct p.file from pictures p where p.site_id = ${siteId} and p.at < ${before}
          and not exists (select 1 from parts n where n.site_id = p.site_id and n.fields::text like '%' || p.file || '%')
          and not exists (select 1 from presets n where n.site_id = p.site_id and n.fields::text like '%' || p.file || '%')
          and not exists (select 1 from edition_files f where f.site_id = p.site_id and f.path like 'pictures/' || p.file || '%')
          and not exists (select 1 from edits e where e.site_id = p.site_id and e.operations::text like '%' || p.file || '%')`,
    );
    if (unused.length === 0) return 0;
    const large = await tx
      .select({ body: editBodies.body })
      .from(editBodies)
      .where(eq(editBodies.siteId, siteId));
    const texts = await Promise.all(large.map(async ({ body }) => (await unpack(body)).toString('utf8')));
    const gone = unused.map(({ file }) => file).filter((file) => !texts.some((text) => text.includes(file)));
    if (gone.length === 0) return 0;
    const removed = await tx
      .delete(pictures)
      .where(and(eq(pictures.siteId, siteId), inArray(pictures.file, gone)))
      .returning({ hash: pictures.hash });
    const hashes = JSON.stringify(removed.map(({ hash }) => hash));
    await rowsOf(
      tx,
      sql`delete from blobs b where b.hash in (select json_array_elements_text(${hashes}::json))
          and not exists (select 1 from pictures p where p.hash = b.hash) and not exists (select 1 from edition_files f where f.hash = b.hash)`,
    );
    return gone.length;
  });
}
