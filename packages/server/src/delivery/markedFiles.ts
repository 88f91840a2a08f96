import { createHash } from 'node:crypto';
import { LRUCache } from 'lru-cache';
import { currentMarks, markPlaces, splice, type Insert, type MarkPlaces } from '@zorvik/core';
import { packed } from './packed.ts';
import { readyFile, sizeOf, type ReadyFile } from './sendFile.ts';

/** Gives a file as it is on a page: with marks on the links to the page and to what is above it. */
export type MarkFile = (file: ReadyFile, page: string, above: ReadonlySet<string>) => Promise<ReadyFile>;

/**
 * Keeps at most `most` bytes of marked files, those asked for last. A page on which nothing is marked has the
 * file itself, so pages that somebody makes up take no memory; pages with the same marks share one file.
 */
export function markedFiles(most: number): MarkFile {
  const made = new LRUCache<string, ReadyFile>({ maxSize: most, sizeCalculation: sizeOf });
  const places = new WeakMap<ReadyFile, MarkPlaces>();
  const placesIn = (file: ReadyFile): MarkPlaces => {
    const found = places.get(file) ?? markPlaces(Buffer.from(file.plain.bytes).toString('utf8'));
    places.set(file, found);
    return found;
  };
  return async (file, page, above) => {
    const inserts = currentMarks(placesIn(file), page, above);
    if (inserts.length === 0) return file;
    const hash = hashOf(file, inserts);
    const present = made.get(hash);
    if (present !== undefined) return present;
    const bytes = splice(file.plain.bytes, inserts);
    // Made while somebody waits, so packed a little less well than what is packed once.
    const ready = readyFile(await packed({ hash, bytes, type: file.type }, QUICK));
    made.set(hash, ready);
    return ready;
  };
}

const QUICK = { gzip: 6, brotli: 4 };

/** Of the file and of what is put into it: the same wherever and whenever it is made. */
function hashOf(file: ReadyFile, inserts: readonly Insert[]): string {
  return createHash('sha256').update(file.hash).update(JSON.stringify(inserts)).digest('hex');
}
