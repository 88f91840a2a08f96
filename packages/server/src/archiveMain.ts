import { createReadStream, createWriteStream, existsSync } from 'node:fs';
import { mkdir, rename, rm } from 'node:fs/promises';
import { basename, join, resolve } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { fileURLToPath } from 'node:url';
import { counted, listed } from '@zorvik/core';
import type { Manifest } from './repositories/archive.ts';
import { restoreArchive } from './editing/restoreArchive.ts';
import { writeArchive } from './repositories/archive.ts';
import { readConfig, type Config } from './config.ts';
import { addressOfHolder } from './db/folderLock.ts';
import { openPglite, openPostgres, type OpenDatabase } from './db/openDatabase.ts';

/**
 * `npm run backup -- FILE` and `npm run restore -- FILE [--replace]`, on the database that the environment
 * names. PGlite's folder belongs to one process: while a server runs on it, that server is asked to do it.
 * PostgreSQL takes one more connection.
 */
async function main(words: readonly string[], config: Config): Promise<void> {
  const [command, file, ...more] = words;
  const isReplacing = more.includes('--replace');
  if (file === undefined || more.some((word) => word !== '--replace'))
    throw new Error('Name the file: npm run backup -- FILE, or npm run restore -- FILE [--replace].');
  const place = await openPlace(config);
  try {
    if (command === 'backup') return await backUp(place, file);
    if (!existsSync(file))
      throw new Error(`There is no file ${file}. Use an archive made by npm run backup.`);
    if (isReplacing) await keepWhatIsThere(place, config);
    const { rows, madeAt } = await place.restore(file, isReplacing);
    console.log(restoredWords(rows, madeAt));
  } finally {
    await place.close();
  }
}

function restoredWords(
  { sites = 0, pages = 0, items = 0 }: Readonly<Record<string, number>>,
  madeAt: string,
): string {
  const parts = [
    counted(sites, '# site', '# sites'),
    counted(pages, '# page', '# pages'),
    counted(items, '# item', '# items'),
  ];
  return `Restored ${listed(parts)}, as of ${madeAt}.`;
}

async function backUp(place: Place, file: string): Promise<void> {
  // Written beside and renamed: a stop midway leaves the older archive as it was.
  const part = `${file}.part`;
  try {
    await place.backUp(part);
    await rename(part, file);
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }
  console.log(`Everything is saved in ${file}.`);
}

/** Replacing cannot be undone by a key, so what goes is archived first. */
async function keepWhatIsThere(place: Place, { dataFolder }: Config): Promise<void> {
  const folder = join(resolve(dataFolder), 'archives');
  await mkdir(folder, { recursive: true });
  const file = join(folder, `before-restore-${new Date().toISOString().replaceAll(':', '-')}.tar.gz`);
  await place.backUp(file);
  console.log(`The previous data is in ${basename(folder)}/${basename(file)} of the data folder.`);
}

/** Where the data is reached. */
interface Place {
  readonly backUp: (file: string) => Promise<void>;
  readonly restore: (file: string, isReplacing: boolean) => Promise<Pick<Manifest, 'rows' | 'madeAt'>>;
  readonly close: () => Promise<void>;
}

async function openPlace(config: Config): Promise<Place> {
  const migrations = part('migrations') ?? fileURLToPath(new URL('./db/migrations', import.meta.url));
  if (config.databaseUrl !== null) return placeOf(await openPostgres(config.databaseUrl, migrations));
  const folder = resolve(config.dataFolder);
  const address = await addressOfHolder(folder);
  return address === null
    ? placeOf(await openPglite({ folder, template: part('pglite-template'), migrations }))
    : placeAt(address);
}

function placeOf({ database, close }: OpenDatabase): Place {
  return {
    backUp: async (file) => void (await writeArchive(database, new Date(), createWriteStream(file))),
    async restore(file, isReplacing) {
      const restored = await restoreArchive(database, createReadStream(file), { isReplacing });
      if (!restored.ok) throw new Error(restored.refusal.message);
      return restored.value;
    },
    close,
  };
}

function placeAt(address: string): Place {
  const asked = async (
    path: string,
    init: RequestInit & { readonly duplex?: 'half' } = {},
  ): Promise<Response> => {
    const reply = await fetch(`${address}/api/v1/archive${path}`, init);
    if (reply.ok) return reply;
    const { error } = (await reply.json()) as { error: { message: string } };
    throw new Error(error.message);
  };
  return {
    async backUp(file) {
      const { body } = await asked('');
      await pipeline(
        Readable.fromWeb(body as Parameters<typeof Readable.fromWeb>[0]),
        createWriteStream(file),
      );
    },
    async restore(file, isReplacing) {
      const body = Readable.toWeb(createReadStream(file)) as ReadableStream;
      const reply = await asked(isReplacing ? '?replace=yes' : '', { method: 'POST', body, duplex: 'half' });
      return (await reply.json()) as Pick<Manifest, 'rows' | 'madeAt'>;
    },
    close: () => Promise.resolve(),
  };
}

function part(path: string): string | null {
  const found = fileURLToPath(new URL(`../${path}`, import.meta.url));
  return existsSync(found) ? found : null;
}

try {
  await main(process.argv.slice(2), readConfig(process.env));
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
}
