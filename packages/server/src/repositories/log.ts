import { promisify } from 'node:util';
import { gunzip, gzip } from 'node:zlib';
import { and, asc, eq, gt, sql } from 'drizzle-orm';
import type { LoggedEdit, Operation } from '@zorvik/core';
import { rowsOf, type Database } from '../db/database.ts';
import { editBodies, edits } from '../db/schema.ts';

const pack = promisify(gzip);
const unpack = promisify(gunzip);

/** Operations longer than this, in characters of JSON, are kept compressed beside the log. */
const LARGE = 100_000;

/** Edits after a revision, oldest first. */
export async function editsSince(database: Database, siteId: string, since: number, most = 1_000_000): Promise<LoggedEdit[]> {
  const rows = await database
    .select({ edit: edits, body: editBodies.body })
    .from(edits)
    .leftJoin(editBodies, and(eq(editBodies.siteId, edits.siteId), eq(editBodies.revision, edits.revision)))
    .where(and(eq(edits.siteId, siteId), gt(edits.revision, since)))
    .orderBy(asc(edits.revision))
    .limit(most);
  return Promise.all(
    rows.map(async ({ edit: { siteId: _, operations, at, ...rest }, body }) => ({
      ...rest,
      at: new Date(at).toISOString(),
      operations: (body === null ? (operations ?? []) : JSON.parse((await unpack(body)).toString('utf8'))) as Operation[],
    })),
  );
}

export async function appendEdit(tx: Database, siteId: string, edit: LoggedEdit): Promise<void> {
  const { operations, ...rest } = edit;
  const text = JSON.stringify(operations);
  const isLarge = text.length > LARGE;
  const { id, revision, version, base, session, group, undoes, at, actor } = rest;
  // In SQL and not through the query builder: this and the row's revision are written with every edit, and building costs as much again.
  await rowsOf(
    tx,
    sql`insert into edits (site_id, revision, id, version, base, session, group_name, undoes, sentence, operations, at, actor)
        values (${siteId}, ${revision}, ${id}, ${version}, ${base}, ${session}, ${group}, ${undoes}, ${JSON.stringify(rest.sentence)}::jsonb, ${isLarge ? null : text}::jsonb, ${at}, ${actor})`,
  );
  if (isLarge) await tx.insert(editBodies).values({ siteId, revision: edit.revision, body: await pack(text, { level: 1 }) });
}
