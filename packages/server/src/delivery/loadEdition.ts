import { refusal, type Refusal } from '@zorvik/core';
import type { Database } from '../db/database.ts';
import { currentEdition, filesOf } from '../repositories/editions.ts';
import { packed, type PackedFile } from './packed.ts';

/** The current edition of a site; plain data, so that it can go from one thread to another. */
export type LoadedEdition =
  | {
      readonly kind: 'files';
      readonly files: readonly (PackedFile & { readonly path: string })[];
      /** Its table of pages as JSON; without one for editions from before there was any. */
      readonly pages: string;
      /** Its frame (`FrameIndex`) as JSON; null: it has none. */
      readonly frame: string | null;
    }
  | { readonly kind: 'refused'; readonly refusal: Refusal };
export type LoadEdition = (siteKey: string) => Promise<LoadedEdition>;

/** Where an edition keeps its pages. No path of a file that is delivered begins with a dot. */
export const PAGES = '.pages';
/** Where an edition keeps what is to be known of its frame. */
export const FRAME = '.frame';
/** Where an edition keeps what its frame was made of; for comparing, and not delivered. */
export const SOURCE = '.source';

const THOROUGH = { gzip: 9, brotli: 9 };

/** Loads editions from the database. */
export function editionsIn(database: Database): LoadEdition {
  return async (key) => {
    const current = await currentEdition(database, key);
    if (current === null) return { kind: 'refused', refusal: refusal('unknownSite', { key }) };
    if (current.number === null) return { kind: 'refused', refusal: refusal('nothingPublished', { key }) };
    const kept = await filesOf(database, current.siteId, current.number);
    const tables = new Map(
      kept
        .filter(({ path }) => path === PAGES || path === FRAME || path === SOURCE)
        .map(({ path, bytes }) => [path, bytes.toString('utf8')]),
    );
    const files: (PackedFile & { readonly path: string })[] = [];
    // One after the other: packing all of them at once takes every processor from who is served meanwhile.
    for (const { path, ...file } of kept.filter((one) => !tables.has(one.path)))
      files.push(
        file.type === 'image/webp'
          ? { path, ...file, gzip: null, brotli: null }
          : { path, ...(await packed(file, THOROUGH)) },
      );
    return {
      kind: 'files',
      files,
      pages: tables.get(PAGES) ?? '[]',
      frame: tables.get(FRAME) ?? null,
    };
  };
}
