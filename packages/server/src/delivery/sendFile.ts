import type { IncomingMessage, ServerResponse } from 'node:http';
import type { Refusal } from '@zorvik/core';
import { packedAs, type Encoding, type PackedFile, type PackingLevels } from './packed.ts';

/** One way to send a file: its bytes, and the headers that go with them. */
interface Variant {
  readonly bytes: Uint8Array;
  readonly headers: Readonly<Record<string, string>>;
}
/** A file that can be sent in any form. */
export interface ReadyFile {
  readonly type: string;
  readonly hash: string;
  readonly bytes: Uint8Array;
  /** How it is sent to who takes that encoding; what was not packed yet is packed now. */
  readonly variant: (encoding: Encoding) => Variant | Promise<Variant>;
  /** How much memory it takes now, in bytes. */
  readonly size: () => number;
  /** The headers of “not modified” by tag: made once, since most requests end there. */
  readonly unchanged: ReadonlyMap<string, Readonly<Record<string, string>>>;
}
/**
 * For browsers and caches between: ask again each time, which costs a 304. A published change is seen at
 * once.
 */
const CACHE = 'public, no-cache';
/** Pictures and fonts have their content's hash in their name, and never change. */
const CACHE_FOREVER = 'public, max-age=31536000, immutable';

const encodings: readonly Encoding[] = ['', 'gzip', 'br'];

/** Makes a file ready that is packed already, in every way in which it ever will be. */
export function readyFile({ bytes, gzip, brotli, hash, type }: PackedFile): ReadyFile {
  const plain = variantOf(hash, type, bytes, '');
  const variants = {
    '': plain,
    gzip: gzip === null ? plain : variantOf(hash, type, gzip, 'gzip'),
    br: brotli === null ? plain : variantOf(hash, type, brotli, 'br'),
  };
  const size = Object.values(variants).reduce((sum, one) => sum + one.bytes.length, 0);
  return {
    type,
    hash,
    bytes,
    variant: (encoding) => variants[encoding],
    size: () => size,
    unchanged: unchangedOf(hash, type),
  };
}

/**
 * Makes a file ready that is packed when it is first asked for in that way: most are asked for in one way alone,
 * and who waits for it waits for that one. `onGrown`: it takes more memory now.
 */
export function unpackedFile(
  { bytes, hash, type }: Pick<PackedFile, 'bytes' | 'hash' | 'type'>,
  levels: PackingLevels,
  onGrown: () => void,
): ReadyFile {
  const plain = variantOf(hash, type, bytes, '');
  const variants = new Map<Encoding, Variant | Promise<Variant>>(
    // What is packed by itself is sent as it is, whatever is taken.
    (type === 'application/zip' ? encodings : ([''] as const)).map((one) => [one, plain]),
  );
  let size = bytes.length;
  return {
    type,
    hash,
    bytes,
    size: () => size,
    unchanged: unchangedOf(hash, type),
    variant(encoding) {
      const present = variants.get(encoding);
      if (present !== undefined) return present;
      const packing = packedAs(encoding, bytes, levels).then((packed) => {
        const made = variantOf(hash, type, packed, encoding);
        variants.set(encoding, made);
        size += packed.length;
        onGrown();
        return made;
      });
      variants.set(encoding, packing);
      packing.catch(() => variants.delete(encoding));
      return packing;
    },
  };
}

function variantOf(hash: string, type: string, bytes: Uint8Array, encoding: Encoding): Variant {
  const headers = {
    'Content-Type': type,
    'Content-Length': String(bytes.length),
    ...(encoding === '' ? {} : { 'Content-Encoding': encoding }),
    ...cacheHeaders(tagOf(hash, encoding), type),
  };
  return { bytes, headers };
}

function tagOf(hash: string, encoding: Encoding): string {
  return `"${hash.slice(0, 20)}${encoding === '' ? '' : `-${encoding}`}"`;
}

function unchangedOf(hash: string, type: string): ReadyFile['unchanged'] {
  return new Map(encodings.map((one) => [tagOf(hash, one), cacheHeaders(tagOf(hash, one), type)]));
}

function cacheHeaders(etag: string, type: string): Record<string, string> {
  return {
    ETag: etag,
    'Cache-Control': /^(?:image|font)\//.test(type) ? CACHE_FOREVER : CACHE,
    Vary: 'Accept-Encoding',
    'Access-Control-Allow-Origin': '*',
    'Cross-Origin-Resource-Policy': 'cross-origin',
    'X-Content-Type-Options': 'nosniff',
  };
}

/** Sends a file in the form that was asked for, or says that it is the same as before. */
export function send(
  request: IncomingMessage,
  response: ServerResponse,
  file: ReadyFile,
): void | Promise<void> {
  const asked = request.headers['if-none-match'];
  const encoding = encodingFor(request.headers['accept-encoding']);
  const unchanged = asked === undefined ? undefined : headersFor(asked, encoding, file);
  if (unchanged !== undefined) {
    response.writeHead(304, unchanged).end();
    return;
  }
  const variant = file.variant(encoding);
  const sent = ({ headers, bytes }: Variant): void =>
    void response.writeHead(200, headers).end(request.method === 'HEAD' ? undefined : bytes);
  return variant instanceof Promise ? variant.then(sent) : sent(variant);
}

function encodingFor(accepted: string | undefined): Encoding {
  if (accepted === undefined) return '';
  if (/\bbr\b(?!\s*;\s*q=0(?:\.0*)?(?:,|\s|$))/.test(accepted)) return 'br';
  return /\bgzip\b(?!\s*;\s*q=0(?:\.0*)?(?:,|\s|$))/.test(accepted) ? 'gzip' : '';
}

/** The headers of “not modified” where one of the tags asked about is this file's. */
function headersFor(
  asked: string,
  encoding: Encoding,
  { hash, unchanged }: ReadyFile,
): Readonly<Record<string, string>> | undefined {
  const alone = unchanged.get(asked);
  if (alone !== undefined) return alone;
  if (asked.trim() === '*') return unchanged.get(tagOf(hash, encoding));
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
