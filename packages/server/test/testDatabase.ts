import { randomBytes } from 'node:crypto';
import { existsSync } from 'node:fs';
import { cp, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import pg from 'pg';
import { openPglite, openPostgres, type OpenDatabase } from '../src/db/openDatabase.ts';

export const migrations = fileURLToPath(new URL('../src/db/migrations', import.meta.url));
/**
 * An empty database, as a first start begins with it; and one that has its schema already, which is quicker
 * to open.
 */
export const template = fileURLToPath(new URL('../../../build/pglite-template', import.meta.url));
const migrated = fileURLToPath(new URL('../../../build/pglite-migrated', import.meta.url));

/** The data folder of a server that was started once: Quillmere is in it. */
const quillmereData = fileURLToPath(new URL('../../../build/quillmere-data', import.meta.url));

/** Makes a data folder as it is after a first start, which takes seconds. */
export async function putQuillmere(folder: string): Promise<void> {
  if (!existsSync(quillmereData))
    throw new Error('There is no test data. Run `node scripts/setup.mjs --tests` first.');
  await cp(quillmereData, folder, { recursive: true });
}

/** The address of a PostgreSQL cluster that the tests may fill with databases; empty: they run on PGlite. */
export const postgres = process.env.ZORVIK_TEST_POSTGRES ?? '';

/** A database of a test's own, which goes with it. */
export interface TestDatabase {
  /** A folder of its own, on PostgreSQL too. */
  readonly folder: string;
  /** How a process is told to use it. */
  readonly environment: Readonly<Record<string, string>>;
  readonly open: () => Promise<OpenDatabase>;
  readonly remove: () => Promise<void>;
}

export async function testDatabase(): Promise<TestDatabase> {
  const folder = await mkdtemp(join(tmpdir(), 'zorvik-test-'));
  const removeFolder = (): Promise<void> => rm(folder, { recursive: true, force: true, maxRetries: 5 });
  if (postgres !== '') {
    const name = `zt_${randomBytes(6).toString('hex')}`;
    await onCluster(`create database ${name}`);
    const url = new URL(postgres);
    url.pathname = `/${name}`;
    const remove = async (): Promise<void> => {
      await onCluster(`drop database if exists ${name} with (force)`);
      await removeFolder();
    };
    return {
      folder,
      environment: { ZORVIK_DATA: folder, DATABASE_URL: url.href },
      open: () => openPostgres(url.href, migrations),
      remove,
    };
  }
  if (!existsSync(migrated))
    throw new Error('There is no database for tests. Run `node scripts/setup.mjs --tests` first.');
  return {
    folder,
    environment: { ZORVIK_DATA: folder },
    open: () => openPglite({ folder, template: migrated, migrations }),
    remove: removeFolder,
  };
}

async function onCluster(statement: string): Promise<void> {
  const client = new pg.Client({ connectionString: postgres });
  await client.connect();
  await client.query(statement).finally(() => client.end());
}
