import { randomFillSync } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import { dirname, join, resolve } from 'node:path';
import { pino } from 'pino';
import type { RandomBits, StoredDocument } from '@zorvik/core';
import { hub } from './announcing/hub.ts';
import { announce, presenceOn } from './announcing/announce.ts';
import { PRESENCE_BEAT } from './announcing/presence.ts';
import { createApp } from './app.ts';
import type { Config } from './config.ts';
import { tellAddress } from './db/folderLock.ts';
import { openPglite, openPostgres } from './db/openDatabase.ts';
import { delivery } from './delivery/delivery.ts';
import { editionsIn, type LoadEdition } from './delivery/loadEdition.ts';
import type { OutOfDate, PublicSide } from './delivery/publicSide.ts';
import type { Deps } from './deps.ts';
import { previewsIn, type AnswerPreview } from './editing/answerPreview.ts';
import { sweepDeleted } from './editing/deleteSite.ts';
import { compactLog, retention } from './editing/compactLog.ts';
import { picturesHere, picturesInThread } from './editing/pictureMaker.ts';
import { siteCache } from './editing/siteCache.ts';
import { storeDocument } from './editing/storeDocument.ts';
import { listening, serverFor, stopListening } from './listening.ts';
import { ReadingDesk } from './reading/readingDesk.ts';
import { readInThread } from './reading/readInThread.ts';
import { readHere } from './reading/siteReader.ts';
import { sweepFiles } from './editing/sweepFiles.ts';
import { listSites, siteIds } from './repositories/sites.ts';
import { compileChecks } from './shapeCheck.ts';

/** Where the parts are that a server is delivered with. */
export interface Parts {
  readonly migrations: string;
  readonly template: string | null;
  readonly webFolder: string | null;
  /** A stored document that an empty database begins with; null: it begins empty. */
  readonly firstSite: string | null;
  /** The thread in which sites are read; null: they are read between other work. */
  readonly readingThread: string | null;
  /** The thread in which pictures are made; null: they are made between other work. */
  readonly pictureThread: string | null;
}

/** Cryptographic bits, fetched in blocks: ids must not be guessable from one another. */
export function cryptoRandom(): RandomBits {
  const block = new Uint32Array(256);
  let at = block.length;
  return () => {
    if (at === block.length) {
      randomFillSync(block);
      at = 0;
    }
    return block[at++] ?? 0;
  };
}

/** What the editing side has to do with delivery. */
export interface EditorChoices {
  /** An earlier thread of this process ended by an error: what it had locked is taken over. */
  readonly isRestart: boolean;
  /** Where it is; asked once the database is open. */
  readonly deliveryAddress: () => Promise<string>;
  /** Lets it read editions anew; settles when it has, or will with the next request. */
  readonly forget: (outOfDate: OutOfDate) => Promise<void>;
}

export interface RunningEditor {
  readonly address: string;
  readonly loadEdition: LoadEdition;
  readonly answerPreview: AnswerPreview;
  /** Stops taking requests, lets those under way finish, closes the database. */
  readonly close: () => Promise<void>;
}

/** Opens the database, puts the first site into an empty one, and listens: all of Zorvik but delivery. */
export async function startEditor(
  config: Config,
  parts: Parts,
  { isRestart, deliveryAddress, forget }: EditorChoices,
): Promise<RunningEditor> {
  const { database, listen, close } =
    config.databaseUrl === null
      ? await openPglite({
          folder: resolve(config.dataFolder),
          template: parts.template,
          migrations: parts.migrations,
          isRestart,
        })
      : await openPostgres(config.databaseUrl, parts.migrations);
  const now = (): Date => new Date();
  const streams = hub();
  const people = presenceOn(streams, now);
  const loadEdition = editionsIn(database);
  const own = delivery(loadEdition);
  const publicSide: PublicSide = {
    answer: own.answer,
    async renew(siteKey, edition) {
      await Promise.all([own.renew(siteKey, edition), forget({ siteKey, edition })]);
    },
    forget(siteKey) {
      own.forget(siteKey);
      return forget({ siteKey, edition: null });
    },
    forgetAll() {
      own.forgetAll();
      return forget({ siteKey: null, edition: null });
    },
  };
  try {
    const deafen = await listen(announce(streams, people, publicSide));
    const sweeping = setInterval(() => people.sweep(), PRESENCE_BEAT);
    sweeping.unref();
    const deliverAt = await deliveryAddress();
    const pictures = parts.pictureThread === null ? picturesHere() : picturesInThread(parts.pictureThread);
    const deps: Deps = {
      database,
      pictures,
      cache: siteCache(config.cacheNodes),
      delivery: publicSide,
      hub: streams,
      presence: people,
      now,
      random: cryptoRandom(),
      log: pino({ level: config.logLevel }),
      actor: { name: 'Guest', role: 'owner' },
      importLimit: config.importLimit,
      bodyLimit: config.bodyLimit,
      webFolder: parts.webFolder,
      deliveryAddress: config.deliveryUrl ?? deliverAt,
      readable: new Set([
        ...config.readOrigins,
        ...(config.sitePort === 0 ? [] : [`http://127.0.0.1:${config.sitePort}`]),
      ]),
      openReading: parts.readingThread === null ? readHere : readInThread(parts.readingThread),
      standIn: config.sitePort === 0 ? null : `http://127.0.0.1:${config.sitePort}`,
    };
    if (parts.firstSite !== null && (await listSites(database)).length === 0) {
      const stored = JSON.parse(await readFile(parts.firstSite, 'utf8')) as StoredDocument;
      await storeDocument(
        deps,
        stored,
        deps.random,
        'Zorvik',
        await picturesIn(join(dirname(parts.firstSite), 'pictures')),
      );
    }
    const desk = new ReadingDesk(deps);
    const server = serverFor(createApp(deps, desk));
    const address = await listening(server, { host: config.host, port: config.port, variable: 'PORT' });
    if (config.databaseUrl === null) await tellAddress(resolve(config.dataFolder), address);
    void compileChecks();
    const compact = (): void => void compactAll(deps, config.logDays);
    // Soon, since a server may be stopped every evening; not at once, since somebody is waiting for it to
    // start.
    const first = setTimeout(compact, MINUTE);
    const compacting = setInterval(compact, DAY);
    // What is due is begun within a minute. What was due while the server stood still is read once.
    const reading = setInterval(
      () =>
        void desk.beginDue().catch((error: unknown) => deps.log.error({ error }, 'No site could be read')),
      MINUTE,
    );
    for (const timer of [first, compacting, reading]) timer.unref();
    return {
      address,
      loadEdition,
      answerPreview: previewsIn(deps),
      async close() {
        clearInterval(sweeping);
        clearTimeout(first);
        clearInterval(compacting);
        clearInterval(reading);
        desk.close();
        await pictures.close();
        streams.close();
        await stopListening(server);
        await deafen();
        await close();
      },
    };
  } catch (error) {
    await close();
    throw error;
  }
}

/** The pictures that come with the first site; none where there is no folder of them. */
async function picturesIn(folder: string): Promise<Buffer[]> {
  const names = await readdir(folder).catch(() => []);
  return Promise.all(names.sort().map((name) => readFile(join(folder, name))));
}

const MINUTE = 60_000;
const DAY = 86_400_000;

/** For so long, in ms, a file that was uploaded stays though nothing names it: somebody may be about to. */
const UPLOAD_REST = DAY;

/**
 * Takes the oldest of each site's log away, and the uploaded files that nothing names any more, one site
 * after the other. What fails for one is told, and tried again the next day.
 */
async function compactAll(deps: Deps, days: number): Promise<void> {
  await sweepDeleted(deps).catch((error: unknown) =>
    deps.log.error({ error }, 'Deleted sites could not be removed'),
  );
  for (const id of await siteIds(deps.database).catch(() => [])) {
    const before = new Date(deps.now().getTime() - UPLOAD_REST).toISOString();
    const cleaning = compactLog(deps, id, { ...retention, days }).then(() => sweepFiles(deps, id, before));
    await cleaning.catch((error: unknown) => deps.log.error({ id, error }, 'A log could not be compacted'));
  }
}
