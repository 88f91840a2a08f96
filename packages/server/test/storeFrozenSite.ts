import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { forestNames, readStored, Table, type LoggedEdit, type StoredDocument } from '@zorvik/core';
import type { Database } from '../src/db/database.ts';
import { sites } from '../src/db/schema.ts';
import { ranksFor } from '../src/editing/ranksFor.ts';
import { putCheckpoint } from '../src/repositories/checkpoints.ts';
import { appendEdit, bodyOf } from '../src/repositories/log.ts';
import { writeNodes } from '../src/repositories/nodes.ts';

/** A site as a Zorvik of that time left it: what its log began with, the log, and the rows at its end. */
export interface FrozenSite {
  readonly start: StoredDocument;
  readonly edits: readonly LoggedEdit[];
  readonly end: StoredDocument;
}

/** The frozen site of format 4. */
export const frozenSite = JSON.parse(
  readFileSync(new URL('../../core/laws/samples/log-4.json', import.meta.url), 'utf8'),
) as FrozenSite;

/** Puts a frozen site into a database, row by row, as it was left there. */
export function storeFrozenSite(database: Database, { start, edits, end }: FrozenSite): Promise<void> {
  const { id, key, ...facts } = end.site;
  const { id: _, key: __, ...firstFacts } = start.site;
  const document = readStored(end);
  return database.transaction(async (tx) => {
    await tx.insert(sites).values({ id, key, facts, firstFacts, format: end.format, revision: edits.length });
    await putCheckpoint(tx, id, 0, gzipSync(JSON.stringify(start)));
    for (const forest of forestNames) {
      // Older formats have fewer lists.
      const nodes = end[forest] ?? [];
      const ids = new Set(nodes.map((node) => node.id));
      const ranks = ranksFor(document, forest, ids, Table.from<string>([]));
      const added = nodes.map((node) => {
        const { id: own, parent, ...fields } = node;
        return { id: own, parent, rank: ranks.get(own) ?? '', fields };
      });
      await writeNodes(tx, id, forest, { added, changed: [] });
    }
    for (const edit of edits) await appendEdit(tx, id, edit, await bodyOf(edit));
  });
}
