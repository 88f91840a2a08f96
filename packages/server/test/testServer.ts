import { pino } from 'pino';
import type { Express } from 'express';
import {
  EDIT_VERSION,
  mintId,
  seededRandom,
  type Edit,
  type Operation,
  type Sentence,
  type StoredDocument,
} from '@zorvik/core';
import { announce, presenceOn } from '../src/announcing/announce.ts';
import { hub } from '../src/announcing/hub.ts';
import { createApp } from '../src/app.ts';
import { delivery } from '../src/delivery/delivery.ts';
import { editionsIn } from '../src/delivery/loadEdition.ts';
import type { Deps } from '../src/deps.ts';
import { readHere } from '../src/reading/siteReader.ts';
import { picturesHere } from '../src/editing/pictureMaker.ts';
import { siteCache } from '../src/editing/siteCache.ts';
import { storeDocument } from '../src/editing/storeDocument.ts';
import { testDatabase } from './testDatabase.ts';

export interface TestServer {
  readonly app: Express;
  readonly deps: Deps;
  readonly close: () => Promise<void>;
}

/** The whole application on a database of its own in a temporary folder, which goes with it. */
export async function testServer(
  site: StoredDocument | null = null,
  changes: Partial<Deps> = {},
): Promise<TestServer> {
  const kept = await testDatabase();
  const opened = await kept.open();
  const { database } = opened;
  const streams = hub();
  const now = (): Date => new Date('2026-11-23T10:00:00Z');
  const people = presenceOn(streams, now);
  const publicSide = delivery(editionsIn(database), undefined, now);
  const deafen = await opened.listen(announce(streams, people, publicSide));
  const deps: Deps = {
    database,
    cache: siteCache(),
    delivery: publicSide,
    hub: streams,
    presence: people,
    now,
    random: seededRandom(42),
    log: pino({ level: 'silent' }),
    actor: { name: 'Tess', role: 'owner' },
    importLimit: 50 * 1_048_576,
    bodyLimit: 8 * 1_048_576,
    webFolder: null,
    standIn: null,
    readable: new Set(),
    openReading: readHere,
    pictures: picturesHere(),
    deliveryAddress: 'http://127.0.0.1:4782',
    ...changes,
  };
  if (site !== null) await storeDocument(deps, site, deps.random, 'Zorvik');
  const close = async (): Promise<void> => {
    streams.close();
    await deafen();
    await opened.close();
    await kept.remove();
  };
  return { app: createApp(deps), deps, close };
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
