import type { IncomingMessage, ServerResponse } from 'node:http';
import { refusal, type Refusal } from '@zorvik/core';
import { DELIVERY } from '@zorvik/contract';
import type { LoadEdition, PackedFile } from './loadEdition.ts';

/** One way to send a file: its bytes and their strong tag. */
interface Variant {
  readonly bytes: Uint8Array;
  readonly etag: string;
  readonly headers: Readonly<Record<string, string>>;
}
interface ReadyFile {
  readonly plain: Variant;
  readonly gzip: Variant;
  readonly brotli: Variant;
  readonly tags: ReadonlySet<string>;
}
type ReadySite = ReadonlyMap<string, ReadyFile>;

/** What the public reads: the current edition of each site and nothing else, from memory. */
export interface Delivery {
  /**
   * Answers a request; `path` is what stands behind the delivery address, with its query. Any origin and host
   * may ask.
   */
  readonly answer: (request: IncomingMessage, response: ServerResponse, path: string) => Promise<void>;
  /** Lets the next request read the site's current edition anew. */
  readonly forget: (siteKey: string) => void;
  readonly forgetAll: () => void;
}

/** A site's key (with any other text nothing need be looked up), and the file. */
const PATH = /^\/sites\/([a-z][a-z0-9-]{0,39})\/([^?]+)(?:\?.*)?$/;

/**
 * For browsers and caches between: ask again each time, which costs a 304. A published change is seen at
 * once.
 */
const CACHE = 'public, no-cache';

/** How much of editions is kept in memory, in bytes; those asked for least lately go first. */
const MOST_BYTES = 64 * 1_048_576;

/** `load` gives the current edition of a site; it is asked when nothing of that site is in memory. */
export function delivery(load: LoadEdition, most = MOST_BYTES): Delivery {
  const ready = new Map<string, Promise<ReadySite | Refusal>>();
  const sizes = new Map<string, number>();
  const drop = (key: string): void => {
    ready.delete(key);
    sizes.delete(key);
  };
  const siteAt = (key: string): Promise<ReadySite | Refusal> => {
    const present = ready.get(key);
    if (present !== undefined) {
      ready.delete(key);
      ready.set(key, present);
      return present;
    }
    const loading = loadSite(load, key);
    ready.set(key, loading);
    // What is not there may come to be, and what failed may work next time: only good answers are kept.
    loading
      .then((site) => {
        if (ready.get(key) !== loading) return;
        if (!(site instanceof Map)) return drop(key);
        sizes.set(key, sizeOf(site));
        shrink();
      })
      .catch(() => drop(key));
    return loading;
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
      const [, siteKey, path] = PATH.exec(asked) ?? [];
      if (siteKey === undefined || path === undefined)
        return refuse(response, refusal('unknownPath', { method: 'GET', path: `${DELIVERY}${asked}` }), 404);
      const site = await siteAt(siteKey).catch(() => null);
      if (site === null) return refuse(response, refusal('serverAway'), 503);
      if (!(site instanceof Map)) return refuse(response, site as Refusal, 404);
      const file = site.get(path) as ReadyFile | undefined;
      if (file === undefined) return refuse(response, unknownFile(site, path), 404);
      send(request, response, file);
    },
  };
}

async function loadSite(load: LoadEdition, key: string): Promise<ReadySite | Refusal> {
  const edition = await load(key);
  return edition.kind === 'refused'
    ? edition.refusal
    : new Map(edition.files.map((file) => [file.path, readyFile(file)]));
}

function sizeOf(site: ReadySite): number {
  return [...site.values()].reduce(
    (sum, { plain, gzip, brotli }) => sum + plain.bytes.length + gzip.bytes.length + brotli.bytes.length,
    0,
  );
}

function readyFile({ bytes, gzip, brotli, hash, type }: PackedFile): ReadyFile {
  const variant = (body: Uint8Array, encoding: string): Variant => {
    const etag = `"${hash.slice(0, 20)}${encoding === '' ? '' : `-${encoding}`}"`;
    const headers = {
      'Content-Type': type,
      'Content-Length': String(body.length),
      ...(encoding === '' ? {} : { 'Content-Encoding': encoding }),
      ...cacheHeaders(etag),
    };
    return { bytes: body, etag, headers };
  };
  const plain = variant(bytes, '');
  const variants = {
    plain,
    gzip: gzip === null ? plain : variant(gzip, 'gzip'),
    brotli: brotli === null ? plain : variant(brotli, 'br'),
  };
  return { ...variants, tags: new Set(Object.values(variants).map(({ etag }) => etag)) };
}

function cacheHeaders(etag: string): Record<string, string> {
  return {
    ETag: etag,
    'Cache-Control': CACHE,
    Vary: 'Accept-Encoding',
    'Access-Control-Allow-Origin': '*',
    'Cross-Origin-Resource-Policy': 'cross-origin',
    'X-Content-Type-Options': 'nosniff',
  };
}

function send(request: IncomingMessage, response: ServerResponse, file: ReadyFile): void {
  const asked = request.headers['if-none-match'];
  const chosen = variantFor(request.headers['accept-encoding'], file);
  const known =
    asked === undefined
      ? undefined
      : asked.trim() === '*'
        ? chosen.etag
        : tagsIn(asked).find((tag) => file.tags.has(tag));
  if (known !== undefined) {
    response.writeHead(304, cacheHeaders(known)).end();
    return;
  }
  response.writeHead(200, chosen.headers).end(request.method === 'HEAD' ? undefined : chosen.bytes);
}

function variantFor(accepted: string | undefined, { plain, gzip, brotli }: ReadyFile): Variant {
  if (accepted === undefined) return plain;
  if (/\bbr\b(?!\s*;\s*q=0(?:\.0*)?(?:,|\s|$))/.test(accepted)) return brotli;
  return /\bgzip\b(?!\s*;\s*q=0(?:\.0*)?(?:,|\s|$))/.test(accepted) ? gzip : plain;
}

/** The tags of an If-None-Match header; a weak one compares like a strong one here (RFC 9110, 13.1.2). */
function tagsIn(header: string): string[] {
  return header.split(',').map((tag) => tag.trim().replace(/^W\//, ''));
}

function preflight(response: ServerResponse): void {
  response
    .writeHead(204, {
      'Access-Control-Allow-Origin': '*',
      'Access-Control-Allow-Methods': 'GET, HEAD',
      'Access-Control-Allow-Headers': 'If-None-Match',
      'Access-Control-Max-Age': '86400',
    })
    .end();
}

function unknownFile(site: ReadySite, path: string): Refusal {
  const [, menu] = /^menus\/([^/]+?)(?:\.html)?$/.exec(path) ?? [];
  if (menu === undefined) return refusal('unknownPath', { method: 'GET', path });
  const known = [...site.keys()]
    .filter((one) => one.startsWith('menus/') && !one.endsWith('.html'))
    .map((one) => one.slice('menus/'.length));
  return refusal('unknownMenu', { key: menu, known: known.join(', ') || 'none' });
}

export function refuse(response: ServerResponse, { code, message, params }: Refusal, status: number): void {
  response
    .writeHead(status, {
      'Content-Type': 'application/json; charset=utf-8',
      'Cache-Control': 'no-store',
      'Access-Control-Allow-Origin': '*',
      'X-Content-Type-Options': 'nosniff',
    })
    .end(JSON.stringify({ error: { code, message, params } }));
}
