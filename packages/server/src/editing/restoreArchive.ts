import type { Readable } from 'node:stream';
import { readStored, StoredDocumentShape, toStored, upgraded, type Result } from '@zorvik/core';
import type { Database } from '../db/database.ts';
import { readArchive, type Manifest } from '../repositories/archive.ts';
import { gapInLog } from '../repositories/log.ts';
import { loadDocument } from '../repositories/nodes.ts';
import { checkStoredOf, problemIn } from '../shapeCheck.ts';

const checkDocument = checkStoredOf(StoredDocumentShape);

/**
 * Fills the database from an archive, wholly or not at all. Every site is read and checked as a whole before
 * the new data is switched to.
 */
export function restoreArchive(
  database: Database,
  from: Readable,
  { isReplacing }: { readonly isReplacing: boolean },
): Promise<Result<Manifest>> {
  return readArchive(database, from, { isReplacing, problemOf });
}

async function problemOf(tx: Database, siteId: string): Promise<string | null> {
  const gap = await gapInLog(tx, siteId);
  if (gap !== null) return gap;
  const { stored } = await loadDocument(tx, siteId);
  try {
    const { document } = upgraded(readStored(stored));
    return problemIn(checkDocument, toStored(document), 'its document')?.message ?? null;
  } catch (error) {
    // What cannot be read at all is thrown, since stored data is ours and never bad; here it comes from
    // outside.
    return error instanceof Error ? error.message : String(error);
  }
}
