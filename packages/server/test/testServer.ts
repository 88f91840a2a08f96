import { existsSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import type { Express } from 'express';
import { EDIT_VERSION, mintId, seededRandom, type Edit, type Operation, type Sentence, type StoredDocument } from '@zorvik/core';
import { createApp } from '../src/app.ts';
import { openPglite } from '../src/db/openDatabase.ts';
import { delivery } from '../src/delivery/delivery.ts';
import type { Deps } from '../src/deps.ts';
import { siteCache } from '../src/editing/siteCache.ts';
import { storeDocument } from '../src/editing/storeDocument.ts';

export const migrations = fileURLToPath(new URL('../src/db/migrations', import.meta.url));
export const template = fileURLToPath(new URL('../../../build/pglite-template', import.meta.url));

export interface TestServer {
  readonly app: Express;
  readonly deps: Deps;
  readonly folder: string;
  readonly close: () => Promise<void>;
}

/** The whole application on a database of its own in a temporary folder, which goes with it. */
export async function testServer(site: StoredDocument | null = null, changes: Partial<Deps> = {}): Promise<TestServer> {
  if (!existsSync(template)) throw new Error('There is no database template. Run `node scripts/setup.mjs` first.');
  const folder = await mkdtemp(join(tmpdir(), 'zorvik-test-'));
  const opened = await openPglite({ folder, template, migrations });
  const { database } = opened;
  const deps: Deps = {
    database,
    cache: siteCache(),
    delivery: delivery(database),
    now: () => new Date('2026-11-23T10:00:00Z'),
    random: seededRandom(42),
    log: pino({ level: 'silent' }),
    actor: { name: 'Tess', role: 'owner' },
    importLimit: 50 * 1_048_576,
    bodyLimit: 8 * 1_048_576,
    webFolder: null,
    standIn: null,
    ...changes,
  };
  if (site !== null) await storeDocument(deps, site, deps.random, 'Zorvik');
  const close = async (): Promise<void> => {
    await opened.close();
    await rm(folder, { recursive: true, force: true });
  };
  return { app: createApp(deps), deps, folder, close };
}

const random = seededRandom(4711);

/** An edit as a browser would send it. */
export function editOf(base: number, operations: readonly Operation[], changes: Partial<Edit> = {}): Edit {
  const words: Sentence = { code: 'itemChanged', params: { label: 'it' } };
  return {
    id: mintId('edit', random),
    version: EDIT_VERSION,
    base,
    session: 'w000000000000001',
    group: null,
    undoes: null,
    sentence: words,
    operations,
    ...changes,
  };
}
