import { createGunzip, createGzip } from 'node:zlib';
import type { Readable, Writable } from 'node:stream';
import { type Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { getTableName, sql, type SQL } from 'drizzle-orm';
import { extract, pack, type Header } from 'tar-stream';
import { forestNames, no, ok, refusal, type Result } from '@zorvik/core';
import { rowsOf, type Database } from '../db/database.ts';
import { CHANNEL, type Notice } from '../db/notices.ts';
import { nodeTables } from './nodes.ts';
import { othersTurn } from '../othersTurn.ts';

/**
 * Everything that a database holds, as one file: a gzipped tar (POSIX ustar) of JSON lines, described in
 * docs/archive.md. Tables come in the order in which their references allow them to be filled; each has the
 * columns that its pieces are ordered by.
 */
const others = {
  readings: ['site_id'],
  edits: ['site_id', 'revision'],
  edit_bodies: ['site_id', 'revision'],
  refusals: ['site_id', 'id'],
  checkpoints: ['site_id'],
  blobs: ['hash'],
  editions: ['site_id', 'number'],
  edition_files: ['site_id', 'number', 'path'],
  pictures: ['site_id', 'name'],
} satisfies Record<string, string[]>;
const tables: ReadonlyMap<string, readonly string[]> = new Map([
  ['sites', ['id']],
  ...forestNames.map((name): [string, string[]] => [getTableName(nodeTables[name]), ['site_id', 'id']]),
  ...Object.entries(others),
]);
export const tableNames: readonly string[] = [...tables.keys()];

/**
 * Version of the archive's format. One more whenever a table or column changes; then `upgrades` says how an
 * older row becomes a newer one.
 */
export const ARCHIVE_VERSION = 8;
const MANIFEST = 'zorvik-archive.json';

export interface Manifest {
  readonly format: 'zorvik-archive';
  readonly version: number;
  readonly madeAt: string;
  /** How many rows each table has: a file that was cut short is found out. */
  readonly rows: Readonly<Record<string, number>>;
}

/** Rows of one piece: at most this many, and few enough that large bodies do not pile up. */
const PIECE: Readonly<Record<string, number>> = { edit_bodies: 4, checkpoints: 1, blobs: 50 };
const MOST_ROWS = 1000;
/** An entry larger than this, in bytes, is none of ours. */
const LARGEST_ENTRY = 256 * 1_048_576;

/**
 * Writes an archive of the database as it is at one moment; saving waits meanwhile on PGlite, and goes on on
 * PostgreSQL.
 */
export async function writeArchive(database: Database, now: Date, to: Writable): Promise<Manifest> {
  return database.transaction(
    async (tx) => {
      const rows: Record<string, number> = {};
      for (const name of tableNames) rows[name] = await countOf(tx, name);
      const manifest: Manifest = {
        format: 'zorvik-archive',
        version: ARCHIVE_VERSION,
        madeAt: now.toISOString(),
        rows,
      };
      const tar = pack();
      // When its reader goes away, `sending` says so; without a listener here the same error would end the
      // process.
      tar.on('error', () => undefined);
      const sending = pipeline(tar as unknown as Readable, createGzip({ level: 6 }), to);
      sending.catch(() => undefined);
      const entry = (path: string, text: string): Promise<void> => {
        const written = new Promise<void>((done, fail) => {
          const one = tar.entry({ name: path, mtime: now }, text, (error) => (error ? fail(error) : done()));
          // The entry fails with the tar, and has to be listened to on its own.
          one.on('error', () => undefined);
        });
        return Promise.race([written, sending]);
      };
      const fill = async (): Promise<void> => {
        await entry(MANIFEST, JSON.stringify(manifest));
        for (const name of tableNames) {
          let piece = 0;
          for await (const lines of piecesOf(tx, name)) {
            piece += 1;
            await entry(`${name}/${String(piece).padStart(6, '0')}.jsonl`, lines);
          }
        }
        tar.finalize();
      };
      try {
        await fill();
      } catch (error) {
        tar.destroy(error as Error);
      }
      // It fails by what went wrong first: the reader that left, or what could not be read.
      await sending;
      return manifest;
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  );
}

async function countOf(tx: Database, name: string): Promise<number> {
  const [row] = await rowsOf<{ count: number }>(
    tx,
    sql`select count(*)::int as count from ${sql.identifier(name)}`,
  );
  return row?.count ?? 0;
}

/**
 * A table's rows as JSON lines, in pieces, ordered by its key: each piece goes on behind the last row of the
 * one before.
 */
async function* piecesOf(tx: Database, name: string): AsyncGenerator<string> {
  const key = (tables.get(name) ?? []).map((column) => sql.identifier(column));
  const columns = sql.join(key, sql`, `);
  const most = PIECE[name] ?? MOST_ROWS;
  let last: Record<string, unknown> | null = null;
  for (;;) {
    const from: SQL =
      last === null ? sql`true` : sql`(${columns}) > (${sql.join(behind(name, last), sql`, `)})`;
    const rows: { row: Record<string, unknown> }[] = await rowsOf(
      tx,
      sql`select row_to_json(t) as row from ${sql.identifier(name)} t where ${from} order by ${columns} limit ${most}`,
    );
    if (rows.length === 0) return;
    last = rows.at(-1)?.row ?? null;
    yield rows.map(({ row }) => `${JSON.stringify(row)}\n`).join('');
    await othersTurn();
  }
}

function behind(name: string, row: Readonly<Record<string, unknown>>): SQL[] {
  return (tables.get(name) ?? []).map((column) => sql`${row[column]}`);
}

/**
 * How rows of an older archive become rows of the next version: the entry at 1 leads from version 1 to
 * version 2, and so on.
 */
const upgrades: Readonly<
  Record<number, (name: string, row: Record<string, unknown>) => Record<string, unknown>>
> = {
  // Before sites were upgraded once and for all, their rows said the format that they were created in.
  // Before sites could be deleted, all were there.
  7: (name, row) => (name === 'sites' ? { ...row, deleted_at: null } : row),
  6: (name, row) => (name === 'sites' ? { ...row, format: Math.max(Number(row.format), 4) } : row),
};

export interface ToRestore {
  /** Whether what is there may go; without it, only an empty database is filled. */
  readonly isReplacing: boolean;
  /**
   * What is wrong with a site as it was restored, in words; null: nothing. Asked of every site before
   * anything is switched.
   */
  readonly problemOf: (tx: Database, siteId: string) => Promise<string | null>;
}

/**
 * Fills the database from an archive, wholly or not at all, and tells all processes. Every site begins a new
 * epoch, so that windows which know the old one load it again.
 */
export async function readArchive(
  database: Database,
  from: Readable,
  { isReplacing, problemOf }: ToRestore,
): Promise<Result<Manifest>> {
  try {
    return ok(
      await database.transaction(async (tx) => {
        if (!isReplacing && (await countOf(tx, 'sites')) > 0) throw new Refused('notEmptyThere', {});
        await rowsOf(
          tx,
          sql`truncate ${sql.join(
            // Who had the address of a draft would see another one at it.
            [...tableNames, 'previews'].map((name) => sql.identifier(name)),
            sql`, `,
          )}`,
        );
        const manifest = await fillFrom(tx, from);
        for (const name of tableNames) {
          const [found, declared] = [await countOf(tx, name), manifest.rows[name] ?? 0];
          if (found !== declared)
            throw new Refused('badArchive', {
              problem: `it should hold ${declared} rows of ${name}, but holds ${found}`,
            });
        }
        for (const { id, key } of await rowsOf<{ id: string; key: string }>(
          tx,
          sql`select id, key from sites order by key`,
        )) {
          const problem = await problemOf(tx, id);
          if (problem !== null)
            throw new Refused('badArchive', {
              problem: `the site “${key}” is damaged: ${problem.replace(/\.$/, '')}`,
            });
        }
        await rowsOf(tx, sql`update sites set epoch = md5(random()::text)`);
        const notice: Notice = { kind: 'restored' };
        await rowsOf(tx, sql`select pg_notify(${CHANNEL}, ${JSON.stringify(notice)})`);
        return manifest;
      }),
    );
  } catch (error) {
    // Thrown inside, so that the transaction is rolled back; a refusal outside.
    const problem = error instanceof Refused ? error : unreadable(error);
    if (problem === null) throw error;
    return no(refusal(problem.code, problem.params));
  }
}

class Refused extends Error {
  constructor(
    readonly code: 'notEmptyThere' | 'badArchive' | 'newerArchive',
    readonly params: Readonly<Record<string, string | number>>,
  ) {
    super(code);
  }
}

/** What gunzip, tar, JSON and the database say to a file that is broken; null for anything else. */
function unreadable(error: unknown): Refused | null {
  const {
    code = '',
    message = '',
    cause,
  } = error as { code?: string; message?: string; cause?: { code?: string; message?: string } };
  const isBroken =
    code.startsWith('Z_') ||
    error instanceof SyntaxError ||
    /tar|header|checksum|Unexpected end/i.test(message);
  const isUnfit = /^(?:22|23|42|54)/.test(cause?.code ?? '');
  return isBroken || isUnfit ? new Refused('badArchive', { problem: cause?.message ?? message }) : null;
}

async function fillFrom(tx: Database, from: Readable): Promise<Manifest> {
  const entries = extract();
  let manifest: Manifest | null = null;
  const unpacking = pipeline(from, createGunzip() as Transform, entries as unknown as Writable);
  // Whoever reads the entries hears of it first; here it only must not go unhandled.
  unpacking.catch(() => undefined);
  for await (const entry of entries) {
    const text = await textOf(entry as unknown as Readable & { header: Header });
    const { name } = entry.header;
    if (manifest === null) manifest = readManifest(name, text);
    else await fillTable(tx, name, text, manifest.version);
  }
  await unpacking;
  if (manifest === null) throw new Refused('badArchive', { problem: 'it is empty' });
  return manifest;
}

async function textOf(entry: Readable & { readonly header: Header }): Promise<string> {
  const { name, size = 0 } = entry.header;
  if (size > LARGEST_ENTRY)
    throw new Refused('badArchive', {
      problem: `its part ${name} is larger than ${LARGEST_ENTRY / 1_048_576} MB`,
    });
  const pieces: Buffer[] = [];
  for await (const piece of entry) pieces.push(piece as Buffer);
  return Buffer.concat(pieces).toString('utf8');
}

function readManifest(name: string, text: string): Manifest {
  const found: unknown = name === MANIFEST ? JSON.parse(text) : null;
  if (!isManifest(found))
    throw new Refused('badArchive', {
      problem: `it should begin with ${MANIFEST}, which says its version and its rows`,
    });
  if (found.version > ARCHIVE_VERSION)
    throw new Refused('newerArchive', { version: found.version, known: ARCHIVE_VERSION });
  return found;
}

function isManifest(value: unknown): value is Manifest {
  const { format, version, madeAt, rows } = (value ?? {}) as Partial<Record<keyof Manifest, unknown>>;
  const isCount = (one: unknown): boolean => Number.isSafeInteger(one) && (one as number) >= 0;
  if (format !== 'zorvik-archive' || typeof madeAt !== 'string') return false;
  if (!Number.isSafeInteger(version) || (version as number) < 1) return false;
  return (
    typeof rows === 'object' && rows !== null && !Array.isArray(rows) && Object.values(rows).every(isCount)
  );
}

/**
 * No row of ours is nested as deep. Deeper ones exhaust the stack of whoever writes them as JSON, here and in
 * the database.
 */
const DEEPEST = 100;

function isTooDeep(row: unknown): boolean {
  const stack: { readonly value: unknown; readonly depth: number }[] = [{ value: row, depth: 1 }];
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    const { value, depth } = next;
    if (typeof value !== 'object' || value === null) continue;
    if (depth > DEEPEST) return true;
    for (const inner of Object.values(value)) stack.push({ value: inner, depth: depth + 1 });
  }
  return false;
}

async function fillTable(tx: Database, path: string, text: string, version: number): Promise<void> {
  const [name = ''] = path.split('/');
  if (!tableNames.includes(name))
    throw new Refused('badArchive', { problem: `it has a part ${path}, which this Zorvik does not know` });
  const rows = text
    .split('\n')
    .filter(Boolean)
    .map((line) => upgraded(name, rowOf(line, path), version));
  const table = sql.identifier(name);
  await rowsOf(
    tx,
    sql`insert into ${table} select * from json_populate_recordset(null::${table}, ${JSON.stringify(rows)}::json)`,
  );
}

function rowOf(line: string, path: string): Record<string, unknown> {
  const row: unknown = JSON.parse(line);
  if (typeof row !== 'object' || row === null || Array.isArray(row))
    throw new Refused('badArchive', { problem: `a line of ${path} is not a row` });
  if (isTooDeep(row))
    throw new Refused('badArchive', { problem: `a row of ${path} has more than ${DEEPEST} nested levels` });
  return row as Record<string, unknown>;
}

function upgraded(name: string, row: Record<string, unknown>, version: number): Record<string, unknown> {
  let current = row;
  for (let from = version; from < ARCHIVE_VERSION; from += 1)
    current = upgrades[from]?.(name, current) ?? current;
  return current;
}
