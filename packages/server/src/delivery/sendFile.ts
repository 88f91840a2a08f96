import type { IncomingMessage, ServerResponse } from 'node:http';
import type { Refusal } from '@zorvik/core';
import type { PackedFile } from './packed.ts';

/** One way to send a file: its bytes and their strong tag. */
interface Variant {
  readonly bytes: Uint8Array;
  readonly etag: string;
  readonly headers: Readonly<Record<string, string>>;
}
/** A file in all forms in which it is sent. */
export interface ReadyFile {
  readonly type: string;
  readonly hash: string;
  readonly plain: Variant;
  readonly gzip: Variant;
  readonly brotli: Variant;
  /** The headers of “not modified” by tag: made once, since most requests end there. */
  readonly unchanged: ReadonlyMap<string, Readonly<Record<string, string>>>;
}
/**
 * For browsers and caches between: ask again each time, which costs a 304. A published change is seen at
 * once.
 */
const CACHE = 'public, no-cache';

/** Makes a file ready to be sent. */
export function readyFile({ bytes, gzip, brotli, hash, type }: PackedFile): ReadyFile {
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
  const tags = Object.values(variants).map(({ etag }) => etag);
  return { type, hash, ...variants, unchanged: new Map(tags.map((etag) => [etag, cacheHeaders(etag)])) };
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

/** Sends a file in the form that was asked for, or says that it is the same as before. */
export function send(request: IncomingMessage, response: ServerResponse, file: ReadyFile): void {
  const asked = request.headers['if-none-match'];
  const chosen = variantFor(request.headers['accept-encoding'], file);
  const unchanged = asked === undefined ? undefined : headersFor(asked, chosen, file);
  if (unchanged !== undefined) {
    response.writeHead(304, unchanged).end();
    return;
  }
  response.writeHead(200, chosen.headers).end(request.method === 'HEAD' ? undefined : chosen.bytes);
}

function variantFor(accepted: string | undefined, { plain, gzip, brotli }: ReadyFile): Variant {
  if (accepted === undefined) return plain;
  if (/\bbr\b(?!\s*;\s*q=0(?:\.0*)?(?:,|\s|$))/.test(accepted)) return brotli;
  return /\bgzip\b(?!\s*;\s*q=0(?:\.0*)?(?:,|\s|$))/.test(accepted) ? gzip : plain;
}

/** The headers of “not modified” where one of the tags asked about is this file's. */
function headersFor(
  asked: string,
  { etag }: Variant,
  { unchanged }: ReadyFile,
): Readonly<Record<string, string>> | undefined {
  const alone = unchanged.get(asked);
  if (alone !== undefined) return alone;
  if (asked.trim() === '*') return unchanged.get(etag);
  const known = tagsIn(asked).find((tag) => unchanged.has(tag));
  return known === undefined ? undefined : unchanged.get(known);
}

/** The tags of an If-None-Match header; a weak one compares like a strong one here (RFC 9110, 13.1.2). */
function tagsIn(header: string): string[] {
  return header.split(',').map((tag) => tag.trim().replace(/^W\//, ''));
}

/** Answers a browser that asks whether it may ask. */
export function preflight(response: ServerResponse): void {
  response
    .writeHead(204, {
      'Access-Control-Allow-Origin': '*',
      'Access-Control-Allow-Methods': 'GET, HEAD',
      'Access-Control-Allow-Headers': 'If-None-Match',
      'Access-Control-Max-Age': '86400',
    })
    .end();
}

/** How much memory a file takes, in bytes. */
export function sizeOf({ plain, gzip, brotli }: ReadyFile): number {
  return plain.bytes.length + gzip.bytes.length + brotli.bytes.length;
}

/** Answers with a refusal. */
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
