import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import { refusal, type Refusal } from '@zorvik/core';
import type { Database } from '../db/database.ts';
import { currentEdition, filesOf } from '../repositories/editions.ts';

/** A file of an edition in all forms in which it is sent. */
export interface PackedFile {
  readonly path: string;
  readonly type: string;
  /** The SHA-256 of its plain bytes, in hex. */
  readonly hash: string;
  readonly bytes: Uint8Array;
  /** Null: it is packed by itself, as pictures are. */
  readonly gzip: Uint8Array | null;
  readonly brotli: Uint8Array | null;
}

/** The current edition of a site; plain data, so that it can go from one thread to another. */
export type LoadedEdition =
  | { readonly kind: 'files'; readonly files: readonly PackedFile[] }
  | { readonly kind: 'refused'; readonly refusal: Refusal };
export type LoadEdition = (siteKey: string) => Promise<LoadedEdition>;

const packGzip = promisify(gzip);
const packBrotli = promisify(brotliCompress);

/** Loads editions from the database. */
export function editionsIn(database: Database): LoadEdition {
  return async (key) => {
    const current = await currentEdition(database, key);
    if (current === null) return { kind: 'refused', refusal: refusal('unknownSite', { key }) };
    if (current.number === null) return { kind: 'refused', refusal: refusal('nothingPublished', { key }) };
    const files = await filesOf(database, current.siteId, current.number);
    const packed = files.map(async ({ bytes, ...rest }): Promise<PackedFile> => {
      if (rest.type === 'image/webp') return { ...rest, bytes, gzip: null, brotli: null };
      const [gz, br] = await Promise.all([
        packGzip(bytes, { level: 9 }),
        packBrotli(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }),
      ]);
      return { ...rest, bytes, gzip: gz, brotli: br };
    });
    return { kind: 'files', files: await Promise.all(packed) };
  };
}
