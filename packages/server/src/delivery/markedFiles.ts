import { createHash } from 'node:crypto';
import { LRUCache } from 'lru-cache';
import { currentMarks, markPlaces, splice, type MarkPlaces } from '@zorvik/core';
import { unpackedFile, type ReadyFile } from './sendFile.ts';

/** Gives the file that was made under a hash, or makes it now. */
export type MakeFile = (hash: string, type: string, make: () => Uint8Array) => ReadyFile;

/** Keeps at most `most` bytes of files that are made when they are asked for: those asked for last. */
export function madeFiles(most: number): MakeFile {
  const made = new LRUCache<string, ReadyFile>({ maxSize: most, sizeCalculation: (file) => file.size() });
  return (hash, type, make) => {
    const present = made.get(hash);
    if (present !== undefined) return present;
    const file = unpackedFile({ hash, bytes: make(), type }, QUICK, () => {
      if (made.peek(hash) === file) made.set(hash, file);
    });
    made.set(hash, file);
    return file;
  };
}

/** Somebody waits for it, so it is packed a little less well than what is packed once. */
const QUICK = { gzip: 3, brotli: 3 };

/** Gives a file as it is on a page: with marks on the links to the page and to what is above it. */
export type MarkFile = (file: ReadyFile, page: string, above: ReadonlySet<string>) => ReadyFile;

/**
 * A page on which nothing is marked has the file itself, so pages that somebody makes up take no memory; pages
 * with the same marks share one file.
 */
export function markedFiles(make: MakeFile): MarkFile {
  const places = new WeakMap<ReadyFile, MarkPlaces>();
  const placesIn = (file: ReadyFile): MarkPlaces => {
    const found = places.get(file) ?? markPlaces(textOf(file));
    places.set(file, found);
    return found;
  };
  return (file, page, above) => {
    const inserts = currentMarks(placesIn(file), page, above);
    if (inserts.length === 0) return file;
    return make(hashOf([file.hash, inserts]), file.type, () => splice(file.bytes, inserts));
  };
}

/** A file as text. */
export function textOf({ bytes }: ReadyFile): string {
  return Buffer.from(bytes).toString('utf8');
}

/** Of what something is made of: the same wherever and whenever it is made. */
export function hashOf(made: readonly unknown[]): string {
  return createHash('sha256').update(JSON.stringify(made)).digest('hex');
}
