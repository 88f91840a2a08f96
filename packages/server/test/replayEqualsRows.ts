import { applyEdit, isEqual, readStored, toStored, type LoggedEdit } from '@zorvik/core';
import type { Database } from '../src/db/database.ts';
import { logStart } from '../src/editing/compactLog.ts';
import { editsSince } from '../src/repositories/log.ts';
import { loadDocument } from '../src/repositories/nodes.ts';

/**
 * The law of saving, on a database: the log has no gaps and nothing twice, holds all that was acknowledged,
 * and replays to the rows. Throws a sentence where it does not; gives the log.
 */
export async function replayEqualsRows(
  database: Database,
  siteId: string,
  revision: number,
  acknowledged: readonly string[] = [],
): Promise<LoggedEdit[]> {
  const log = await editsSince(database, siteId, 0);
  const ids = new Set(log.map(({ id }) => id));
  const lost = acknowledged.filter((id) => !ids.has(id));
  if (lost.length > 0) throw new Error(`Acknowledged, but not in the log: ${lost.join(', ')}`);
  if (ids.size !== log.length) throw new Error('An edit is in the log twice.');
  const start = await logStart({ database }, siteId);
  if (
    start.revision + log.length !== revision ||
    log.some((edit, at) => edit.revision !== start.revision + at + 1)
  )
    throw new Error(`The log has gaps, or does not end at ${revision}.`);
  const { stored } = await loadDocument(database, siteId);
  let replay = start.document;
  for (const edit of log) {
    const applied = applyEdit(replay, edit);
    if (!applied.ok) throw new Error(`Revision ${edit.revision} does not replay: ${applied.refusal.message}`);
    replay = applied.value.document;
  }
  if (!isEqual(toStored(replay), toStored(readStored(stored))))
    throw new Error('The rows are not what the log replays to.');
  return log;
}
