import { cp, mkdir, readdir, readFile, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { rowsOf, type Database } from './database.ts';
import { lockFolder } from './folderLock.ts';
import { listenOn } from './listenOn.ts';
import { preparesStatements } from './preparedStatements.ts';
import { CHANNEL, type Hear, type Notice } from './notices.ts';

export interface OpenDatabase {
  readonly database: Database;
  /** Hears what all processes on this database tell, this one too; gives the release. */
  readonly listen: (hear: Hear) => Promise<() => Promise<void>>;
  readonly close: () => Promise<void>;
}

export interface OpenChoices {
  /** Where PGlite keeps its files. */
  readonly folder: string;
  /**
   * An empty PGlite folder to copy when there is none yet: initdb takes seconds, a copy does not. Null: run
   * initdb.
   */
  readonly template: string | null;
  /** The migrations, as drizzle-kit writes them. */
  readonly migrations: string;
  /** An earlier thread of this process held the folder and ended by an error. */
  readonly isRestart?: boolean;
}

/**
 * Opens PGlite in a folder of this machine, upgraded to the present schema. Throws a sentence when it cannot
 * be.
 */
export async function openPglite({
  folder,
  template,
  migrations,
  isRestart = false,
}: OpenChoices): Promise<OpenDatabase> {
  const [{ quickPglite }, { drizzle }, { migrate }] = await Promise.all([
    import('./quickPglite.ts'),
    import('drizzle-orm/pglite'),
    import('drizzle-orm/pglite/migrator'),
  ]);
  const release = await writable(folder, isRestart);
  try {
    const files = join(folder, 'pglite');
    const isThere = await exists(files);
    // Without that file PGlite would take the folder for an empty one, and begin a new database in it.
    if (isThere && (await stat(join(files, 'PG_VERSION')).catch(() => null)) === null)
      throw damaged(folder, new Error('its file PG_VERSION is missing'));
    if (template !== null && !isThere) await copyWhole(template, files);
    const client = await quickPglite(files).catch((error: unknown) => Promise.reject(damaged(folder, error)));
    const database = drizzle(client) as unknown as Database;
    await refuseNewer(database, migrations);
    await migrate(drizzle(client), { migrationsFolder: migrations });
    const close = async (): Promise<void> => {
      await client.close();
      await release();
    };
    const listen = async (hear: Hear): Promise<() => Promise<void>> =>
      client.listen(CHANNEL, (text) => hear(JSON.parse(text) as Notice));
    return { database, listen, close };
  } catch (error) {
    await release();
    throw error;
  }
}

/**
 * PGlite ends with “Aborted(). Build with -sASSERTIONS …” or a WebAssembly trap when its files are damaged:
 * that helps nobody.
 */
function damaged(folder: string, error: unknown): Error {
  const found = error instanceof Error ? (error.message.split('\n')[0] ?? '') : String(error);
  const reason = /abort|assertions|unreachable|RuntimeError/i.test(found)
    ? 'its files are damaged or incomplete'
    : found;
  return new Error(
    `The database in the data folder ${folder} cannot be opened: ${reason}. Nothing was changed. Move the folder away and restore a backup with “npm run restore -- FILE”; archives made before a restore are in its subfolder “archives”.`,
    { cause: error },
  );
}

const folderProblems: Readonly<Record<string, string>> = {
  ENOSPC: 'its disk is full',
  EROFS: 'it is read-only',
  EACCES: 'this user has no permission',
  // Also what Node says of a folder that would have to be made on a read-only disk.
  ENOENT: 'it does not exist and cannot be created',
  EEXIST: 'it is a file, not a folder',
  ENOTDIR: 'part of its path is a file, not a folder',
};

/** Makes the folder and locks it; throws a sentence where it cannot be written. */
async function writable(folder: string, isRestart: boolean): Promise<() => Promise<void>> {
  try {
    await mkdir(folder, { recursive: true });
    return await lockFolder(folder, isRestart);
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (code === undefined) throw error;
    const problem = folderProblems[code] ?? `the system reports ${code}`;
    throw new Error(
      `The data folder ${folder} cannot be used: ${problem}. ${code === 'EEXIST' || code === 'ENOTDIR' ? 'Set' : 'Make it writable, or set'} ZORVIK_DATA to another folder.`,
      { cause: error },
    );
  }
}

/** Opens a PostgreSQL server's database, upgraded to the present schema. */
export async function openPostgres(url: string, migrations: string): Promise<OpenDatabase> {
  const [{ default: pg }, { drizzle }, { migrate }] = await Promise.all([
    import('pg'),
    import('drizzle-orm/node-postgres'),
    import('drizzle-orm/node-postgres/migrator'),
  ]);
  const pool = new pg.Pool({ connectionString: url, max: 10 });
  // Without a listener, a connection that breaks would end the process, idle or in a transaction; the query
  // says what is wrong.
  pool.on('error', () => undefined);
  pool.on('connect', (client) => {
    client.on('error', () => undefined);
    preparesStatements(client);
  });
  const database = drizzle(pool) as unknown as Database;
  try {
    await refuseNewer(database, migrations);
    await migrate(drizzle(pool), { migrationsFolder: migrations });
  } catch (error) {
    await pool.end();
    throw error;
  }
  return {
    database,
    listen: (hear) => listenOn(() => new pg.Client({ connectionString: url }), hear),
    close: () => pool.end(),
  };
}

/** The folder is copied beside its place and renamed into it, so that a stop midway leaves no half of one. */
async function copyWhole(template: string, to: string): Promise<void> {
  const part = `${to}.part`;
  await rm(part, { recursive: true, force: true });
  await cp(template, part, { recursive: true });
  await rename(part, to);
}

/** A database that a newer version has upgraded is left alone. */
async function refuseNewer(database: Database, migrations: string): Promise<void> {
  const [found] = await rowsOf<{ present: boolean }>(
    database,
    sql`select to_regclass('drizzle.__drizzle_migrations') is not null as present`,
  );
  if (found?.present !== true) return;
  const [applied] = await rowsOf<{ count: number }>(
    database,
    sql`select count(*)::int as count from drizzle.__drizzle_migrations`,
  );
  const journal = JSON.parse(await readFile(join(migrations, 'meta', '_journal.json'), 'utf8')) as {
    entries: unknown[];
  };
  const known = journal.entries.length;
  if ((applied?.count ?? 0) > known) {
    throw new Error(
      `The data was written by a newer Zorvik (schema ${applied?.count}; this one supports ${known}). Start the newer version, or use another data folder.`,
    );
  }
}

async function exists(path: string): Promise<boolean> {
  return (await stat(path).catch(() => null)) !== null && (await readdir(path)).length > 0;
}
