import { promisify } from 'node:util';
import { gunzip, gzip } from 'node:zlib';
import { and, asc, eq, gt, lte, sql, type SQL } from 'drizzle-orm';
import type { Id, LoggedEdit, Operation, Refusal, Sentence } from '@zorvik/core';
import { rowsOf, type Database } from '../db/database.ts';
import { editBodies, edits } from '../db/schema.ts';

const pack = promisify(gzip);
const unpack = promisify(gunzip);

/** Operations longer than this, in characters of JSON, are kept compressed beside the log. */
const LARGE = 100_000;
/** Compressed bodies longer than this, in bytes, are not sent to windows: the whole site is less. */
const HUGE = 100_000;
/** The most edits that are sent at once; who missed more loads the whole site. */
const MOST_EDITS = 1000;

const joined = and(eq(editBodies.siteId, edits.siteId), eq(editBodies.revision, edits.revision));
const parsed = async (body: Uint8Array): Promise<Operation[]> =>
  JSON.parse((await unpack(body)).toString('utf8')) as Operation[];

/** `body`: the large operations, or what stands in for them. */
async function readEdits(
  database: Database,
  where: SQL | undefined,
  body: SQL<Uint8Array | null> = sql`${editBodies.body}`,
): Promise<LoggedEdit[]> {
  const rows = await database
    .select({ edit: edits, body })
    .from(edits)
    .leftJoin(editBodies, joined)
    .where(where)
    .orderBy(asc(edits.revision));
  return Promise.all(
    rows.map(async ({ edit: { siteId: _, operations, at, ...rest }, body: packed }) => ({
      ...rest,
      at: new Date(at).toISOString(),
      operations: packed === null ? ((operations ?? []) as Operation[]) : await parsed(packed),
    })),
  );
}

/** Edits after a revision, oldest first, whole. */
export function editsSince(database: Database, siteId: string, since: number): Promise<LoggedEdit[]> {
  return readEdits(database, and(eq(edits.siteId, siteId), gt(edits.revision, since)));
}

/** Edits after a revision, up to another. */
export function editsBetween(
  database: Database,
  siteId: string,
  since: number,
  until: number,
): Promise<LoggedEdit[]> {
  return readEdits(
    database,
    and(eq(edits.siteId, siteId), gt(edits.revision, since), lte(edits.revision, until)),
  );
}

export async function editById(database: Database, siteId: string, id: Id): Promise<LoggedEdit | null> {
  const [edit] = await readEdits(database, and(eq(edits.siteId, siteId), eq(edits.id, id)));
  return edit ?? null;
}

/**
 * The same for a window, or null when the whole site is less to send, or the log does not go back that far.
 */
export async function editsToSend(
  database: Database,
  siteId: string,
  since: number,
  revision: number,
): Promise<LoggedEdit[] | null> {
  if (since >= revision) return [];
  if (revision - since > MOST_EDITS) return null;
  const [found] = await rowsOf<{ count: number; huge: number }>(
    database,
    sql`select count(*)::int as count, count(*) filter (where octet_length(b.body) > ${HUGE})::int as huge
        from edits e left join edit_bodies b on b.site_id = e.site_id and b.revision = e.revision
        where e.site_id = ${siteId} and e.revision > ${since} and e.revision <= ${revision}`,
  );
  if (found === undefined || found.huge > 0 || found.count < revision - since) return null;
  return editsBetween(database, siteId, since, revision);
}

/**
 * One session's edits after a revision, oldest first, the latest thousand. Those that are too large to send
 * come without their operations.
 */
export async function ownEdits(
  database: Database,
  siteId: string,
  session: Id,
  since: number,
): Promise<LoggedEdit[]> {
  const where = and(eq(edits.siteId, siteId), eq(edits.session, session), gt(edits.revision, since));
  const unlessHuge = sql<Uint8Array | null>`case when octet_length(${editBodies.body}) > ${HUGE} then null else ${editBodies.body} end`;
  return (await readEdits(database, where, unlessHuge)).slice(-MOST_EDITS);
}

/** Operations as the log keeps them: as text, or compressed when they are large. */
export interface LogBody {
  readonly text: string | null;
  readonly packed: Uint8Array | null;
}

/**
 * Compressing goes on in a thread of Node's own: begin it before the rows are written, and it takes no time.
 */
export async function bodyOf({ operations }: Pick<LoggedEdit, 'operations'>): Promise<LogBody> {
  const text = JSON.stringify(operations);
  return text.length > LARGE
    ? { text: null, packed: await pack(text, { level: 1 }) }
    : { text, packed: null };
}

export async function appendEdit(
  tx: Database,
  siteId: string,
  edit: Omit<LoggedEdit, 'operations'>,
  { text, packed }: LogBody,
): Promise<void> {
  const { id, revision, version, base, session, group, undoes, at, actor } = edit;
  // In SQL and not through the query builder: this and the row's revision are written with every edit, and
  // building costs as much again.
  await rowsOf(
    tx,
    sql`insert into edits (site_id, revision, id, version, base, session, group_name, undoes, sentence, operations, at, actor)
        values (${siteId}, ${revision}, ${id}, ${version}, ${base}, ${session}, ${group}, ${undoes}, ${JSON.stringify(edit.sentence)}::jsonb, ${text}::jsonb, ${at}, ${actor})`,
  );
  if (packed !== null) await tx.insert(editBodies).values({ siteId, revision, body: packed });
}

/**
 * What is missing of a site's log between where it begins and the revision of its row, in words; null:
 * nothing.
 */
export async function gapInLog(tx: Database, siteId: string): Promise<string | null> {
  const [found] = await rowsOf<{ revision: number; start: number; count: number; last: number | null }>(
    tx,
    sql`select s.revision::int as revision, coalesce((select c.revision from checkpoints c where c.site_id = s.id), 0)::int as start,
          (select count(*)::int from edits e where e.site_id = s.id) as count, (select max(e.revision)::int from edits e where e.site_id = s.id) as last
        from sites s where s.id = ${siteId}`,
  );
  if (found === undefined) return 'it has no row';
  const { revision, start, count, last } = found;
  if ((last ?? start) !== revision)
    return `it is at revision ${revision}, but its log ends at ${last ?? start}`;
  return count === revision - start
    ? null
    : `its log should have ${revision - start} edits after revision ${start}, but has ${count}`;
}

/** Keeps that an edit was refused, for the case that it arrives again. */
export async function keepRefusal(
  tx: Database,
  siteId: string,
  id: Id,
  refusal: Refusal,
  at: string,
): Promise<void> {
  await rowsOf(
    tx,
    sql`insert into refusals (site_id, id, refusal, at) values (${siteId}, ${id}, ${JSON.stringify(refusal)}::jsonb, ${at}) on conflict do nothing`,
  );
}

/** An edit as the history tells of it. */
export interface HistoryLine {
  readonly id: Id;
  readonly revision: number;
  readonly at: string;
  readonly actor: string;
  readonly session: Id;
  readonly group: string | null;
  readonly undoes: Id | null;
  readonly sentence: Sentence;
}

export interface HistoryPage {
  readonly lines: readonly HistoryLine[];
  /** Ask for what is before this revision to go on; null when there is no more. */
  readonly next: number | null;
}

/**
 * The log before a revision, latest first; with `about`, only edits that did something to the thing of that
 * id. O(log) with it.
 */
export async function historyBefore(
  database: Database,
  siteId: string,
  before: number,
  about: Id | null,
  most: number,
): Promise<HistoryPage> {
  const named =
    about === null
      ? sql`true`
      : sql`(e.operations is null or position(${`"id": "${about}"`} in e.operations::text) > 0)`;
  const rows = await rowsOf<HistoryLine & { large: boolean }>(
    database,
    sql`select e.id, e.revision::int as revision, e.at, e.actor, e.session, e.group_name as "group", e.undoes, e.sentence, e.operations is null as large
        from edits e where e.site_id = ${siteId} and e.revision < ${before} and ${named} order by e.revision desc limit ${most}`,
  );
  const lines: HistoryLine[] = [];
  for (const { large, ...line } of rows) {
    if (about !== null && large && !(await largeNames(database, siteId, line.revision, about))) continue;
    lines.push({ ...line, at: new Date(line.at).toISOString() });
  }
  return { lines, next: rows.length < most ? null : (rows.at(-1)?.revision ?? null) };
}

async function largeNames(database: Database, siteId: string, revision: number, about: Id): Promise<boolean> {
  const [row] = await database
    .select({ body: editBodies.body })
    .from(editBodies)
    .where(and(eq(editBodies.siteId, siteId), eq(editBodies.revision, revision)));
  return row !== undefined && (await unpack(row.body)).includes(`"id":"${about}"`);
}
