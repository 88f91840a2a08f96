import type { IncomingMessage, ServerResponse } from 'node:http';
import { catalogue, pathKey, refusal, type FrameIndex, type Refusal } from '@zorvik/core';
import { DELIVERY } from '@zorvik/contract';
import type { LoadEdition, LoadedEdition } from './loadEdition.ts';
import { framesOf, type Frames } from './frames.ts';
import { hashOf, madeFiles, markedFiles, type MakeFile } from './markedFiles.ts';
import { staticFiles } from './staticFiles.ts';
import { pagePaths, type PagePaths } from './pagePaths.ts';
import { preflight, readyFile, refuse, send, type ReadyFile } from './sendFile.ts';

/** A site's current edition, ready to be sent. */
interface ReadySite {
  readonly files: ReadonlyMap<string, ReadyFile>;
  readonly pages: PagePaths;
  /** Null: the edition has no frame. */
  readonly frames: Frames | null;
  /** All of it as a ZIP archive. */
  readonly archive: () => ReadyFile;
}
type Answer = ReadySite | { readonly refusal: Refusal };

/** What the public reads: the current edition of each site and nothing else, from memory. */
export interface Delivery {
  /**
   * Answers a request; `path` is what stands behind the delivery address, with its query. Any origin and host
   * may ask.
   */
  readonly answer: (request: IncomingMessage, response: ServerResponse, path: string) => Promise<void>;
  /**
   * Reads the site's new edition, and serves the one before until it is ready to be sent: no visitor waits for it.
   * Settles when it is served. `number`: its number; it is read once, however often it is told of.
   */
  readonly renew: (siteKey: string, number: number) => Promise<void>;
  /** Lets the next request read the site's current edition anew; until then nothing of it is served. */
  readonly forget: (siteKey: string) => void;
  readonly forgetAll: () => void;
}

/** A site's key (with any other text nothing need be looked up), the file, and what is asked about it. */
const PATH = /^\/sites\/([a-z][a-z0-9-]{0,39})\/([^?]+)(?:\?(.*))?$/;

const ZIP = 'application/zip';

/** How much of editions is kept in memory, in bytes; those asked for least lately go first. */
const MOST_BYTES = 64 * 1_048_576;

/**
 * `load` gives the current edition of a site; it is asked when nothing of that site is in memory. The site used
 * last is kept whatever its size.
 */
export function delivery(load: LoadEdition, most = MOST_BYTES, now = (): Date => new Date()): Delivery {
  const ready = new Map<string, Promise<Answer>>();
  const sizes = new Map<string, number>();
  /** The latest edition that was told of, and when it is served. */
  const renewals = new Map<string, { readonly number: number; readonly done: Promise<void> }>();
  const make = madeFiles(most);
  const marked = markedFiles(make);
  const drop = (key: string): void => {
    ready.delete(key);
    sizes.delete(key);
    renewals.delete(key);
  };
  const read = (key: string): Promise<Answer> =>
    load(key).then((edition) => readySite(key, edition, make, () => now().getUTCFullYear()));
  const siteAt = (key: string): Promise<Answer> => {
    const present = ready.get(key);
    if (present !== undefined) {
      ready.delete(key);
      ready.set(key, present);
      return present;
    }
    const loading = read(key);
    ready.set(key, loading);
    // What is not there may come to be, and what failed may work next time: only good answers are kept.
    loading
      .then((site) => ready.get(key) === loading && keep(key, site))
      .catch(() => ready.get(key) === loading && drop(key));
    return loading;
  };
  const keep = (key: string, site: Answer): void => {
    if ('refusal' in site) return drop(key);
    sizes.set(
      key,
      [...site.files.values()].reduce((sum, file) => sum + file.size(), site.pages.size),
    );
    shrink();
  };
  const renew = (key: string, number: number): Promise<void> => {
    const told = renewals.get(key);
    if (told !== undefined && told.number >= number) return told.done;
    // Nobody has asked for it: whoever does reads what is current then.
    if (!ready.has(key)) return Promise.resolve();
    const loading = read(key);
    const isLatest = (): boolean => renewals.get(key)?.number === number;
    const done = loading.then(
      (site) => {
        if (!isLatest()) return;
        ready.set(key, loading);
        keep(key, site);
      },
      () => {
        // What is served is known to be out of date: the next request tries again.
        if (isLatest()) drop(key);
      },
    );
    renewals.set(key, { number, done });
    return done;
  };
  const shrink = (): void => {
    let total = [...sizes.values()].reduce((sum, size) => sum + size, 0);
    for (const key of ready.keys()) {
      if (total <= most || ready.size === 1) return;
      total -= sizes.get(key) ?? 0;
      drop(key);
    }
  };

  return {
    renew,
    forget: drop,
    forgetAll: () => [...ready.keys()].forEach(drop),
    async answer(request, response, asked) {
      if (request.method === 'OPTIONS') return preflight(response);
      if (request.method !== 'GET' && request.method !== 'HEAD')
        return refuse(
          response,
          refusal('unknownPath', { method: request.method ?? '', path: DELIVERY }),
          404,
        );
      const [, siteKey, path, query] = PATH.exec(asked) ?? [];
      if (siteKey === undefined || path === undefined)
        return refuse(response, refusal('unknownPath', { method: 'GET', path: `${DELIVERY}${asked}` }), 404);
      const site = await siteAt(siteKey).catch(() => null);
      if (site === null) return refuse(response, refusal('serverAway'), 503);
      if ('refusal' in site) return refuse(response, site.refusal, 404);
      const asks = new URLSearchParams(query ?? '');
      if (path === 'frame' || path.startsWith('frame/')) {
        if (site.frames === null) return refuse(response, refusal('noFrame', { key: siteKey }), 404);
        const found = site.frames.answer(path.slice('frame'.length), asks);
        return found.ok
          ? send(request, response, found.value)
          : refuse(response, found.refusal, catalogue[found.refusal.code].status);
      }
      if (path === 'static.zip') return send(request, response, site.archive());
      const file = path.startsWith('.') ? undefined : site.files.get(path);
      if (file === undefined) return refuse(response, unknownFile(site, path), 404);
      const page = asks.get('page');
      if (page === null || !path.endsWith('.html')) return send(request, response, file);
      const key = pathKey(page);
      return send(request, response, marked(file, key, site.pages.above(key)));
    },
  };
}

function readySite(key: string, edition: LoadedEdition, make: MakeFile, year: () => number): Answer {
  if (edition.kind === 'refused') return { refusal: edition.refusal };
  const files = new Map(edition.files.map((file) => [file.path, readyFile(file)]));
  const pages = pagePaths(edition.pages);
  const index = edition.frame === null ? null : (JSON.parse(edition.frame) as FrameIndex);
  const frames = index === null ? null : framesOf(key, index, files, pages, make, year);
  // It is packed as it is, so it is sent in one way.
  const archive = (): ReadyFile =>
    make(hashOf(['static.zip', year(), ...[...files.values()].map(({ hash }) => hash)]), ZIP, () =>
      staticFiles(key, index, files, frames),
    );
  return { files, pages, frames, archive };
}

function unknownFile({ files }: ReadySite, path: string): Refusal {
  const [, menu] = /^menus\/([^/]+?)(?:\.html)?$/.exec(path) ?? [];
  if (menu === undefined) return refusal('unknownPath', { method: 'GET', path });
  const known = [...files.keys()]
    .filter((one) => one.startsWith('menus/') && !one.endsWith('.html'))
    .map((one) => one.slice('menus/'.length));
  return refusal('unknownMenu', { key: menu, known: known.join(', ') || 'none' });
}
