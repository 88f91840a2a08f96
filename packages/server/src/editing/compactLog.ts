import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import {
  applyEdit,
  newDocument,
  readStored,
  toStored,
  type SiteDocument,
  type StoredDocument,
} from '@zorvik/core';
import { othersTurn } from '../othersTurn.ts';
import { maybeCheckpoint, oldestToKeep, putCheckpoint } from '../repositories/checkpoints.ts';
import { editsBetween } from '../repositories/log.ts';
import { siteAtFirst } from '../repositories/sites.ts';
import type { EditingDeps } from './editingDeps.ts';

const pack = promisify(gzip);

/** How the log is kept. */
export interface Retention {
  /** Edits younger than this, in days, counted from the site's latest edit. */
  readonly days: number;
  /** And at least this many, however old they are. */
  readonly edits: number;
}
export const retention: Retention = { days: 90, edits: 1000 };

/** How many edits are replayed before others get their turn. */
const PIECE = 200;

/**
 * Takes the oldest part of a site's log away and puts in its place the document that it leads to, so that the
 * rest replays from there. Age is counted from the site's latest edit and not from now: a clock that jumps,
 * and a site that nobody touched for long, lose nothing. Editions are no part of the log; they stay for ever.
 * Gives how many edits went.
 */
export async function compactLog(
  { database }: Pick<EditingDeps, 'database'>,
  siteId: string,
  { days, edits }: Retention,
): Promise<number> {
  if (days === 0) return 0;
  const start = await logStart({ database }, siteId);
  const keepFrom = await oldestToKeep(database, siteId, days, edits);
  if (keepFrom === null || keepFrom - 1 <= start.revision) return 0;
  // What is replayed here is past and cannot change, so nobody has to wait for it.
  let { document } = start;
  for (let at = start.revision; at < keepFrom - 1; at += PIECE) {
    for (const edit of await editsBetween(database, siteId, at, Math.min(at + PIECE, keepFrom - 1))) {
      const applied = applyEdit(document, edit);
      if (!applied.ok)
        throw new Error(
          `The log of ${siteId} does not replay at revision ${edit.revision}: ${applied.refusal.message}`,
        );
      ({ document } = applied.value);
    }
    await othersTurn();
  }
  const body = await pack(JSON.stringify(toStored(document)));
  await putCheckpoint(database, siteId, keepFrom - 1, body);
  return keepFrom - 1 - start.revision;
}

/** What the log of a site replays from: an empty site, or the document that stands for its oldest part. */
export async function logStart(
  { database }: Pick<EditingDeps, 'database'>,
  siteId: string,
): Promise<{ revision: number; document: SiteDocument }> {
  const checkpoint = await maybeCheckpoint(database, siteId);
  if (checkpoint === null) {
    const { site, format } = await siteAtFirst(database, siteId);
    return { revision: 0, document: newDocument(site, format) };
  }
  return {
    revision: checkpoint.revision,
    document: readStored(JSON.parse(checkpoint.text) as StoredDocument),
  };
}
