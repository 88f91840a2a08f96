import {
  forestNames,
  kindOf,
  type Accepted,
  type Edit,
  type ForestName,
  type LoggedEdit,
  type SiteDocument,
} from '@zorvik/core';
import type { Database } from '../db/database.ts';
import { othersTurn } from '../othersTurn.ts';
import { appendEdit, bodyOf } from '../repositories/log.ts';
import { deleteNodes, writeNodes, type NodeRow, type Progress } from '../repositories/nodes.ts';
import { setFacts, setFormat, setRevision } from '../repositories/sites.ts';
import { ranksFor } from './ranksFor.ts';
import { withEdit, type KnownSite } from './siteCache.ts';

/** Who made an edit and when (ISO 8601 in UTC), and who is told how far its rows are written. */
export interface Writing {
  readonly actor: string;
  readonly at: string;
  readonly onWritten?: Progress | undefined;
}

/**
 * Writes an edit behind the last one of a site whose row is held: the rows that it touched, what is known of
 * the site itself, the log, and the revision. Gives the site after it.
 */
export async function writeEdit(
  tx: Database,
  present: KnownSite,
  { document, edit }: Accepted,
  { actor, at, onWritten }: Writing,
): Promise<KnownSite> {
  const isLarge = hasGrown(present.document, document);
  if (isLarge) await othersTurn();
  const logged: LoggedEdit = { ...edit, revision: present.revision + 1, at, actor };
  const body = bodyOf(logged);
  // What fails first is told; the body must not go unhandled then.
  body.catch(() => undefined);
  if (isLarge) await othersTurn();
  const ranks = await writeTouched(tx, present, document, logged, onWritten);
  if (document.site !== present.document.site) await setFacts(tx, document.site);
  if (document.format !== present.document.format) await setFormat(tx, present.id, document.format);
  await appendEdit(tx, present.id, logged, await body);
  await setRevision(tx, present, logged.revision);
  return withEdit(present, logged, document, ranks);
}

/** Edits that write more nodes than this take a while, and are not sent along: to load the whole site is less. */
export const MOST_NODES = 5000;

/** Whether a site has many more nodes, or many fewer, after an edit. */
function hasGrown(before: SiteDocument, after: SiteDocument): boolean {
  return forestNames.some((name) => Math.abs(after[name].nodes.size - before[name].nodes.size) > MOST_NODES);
}

/** Writes the rows of every node that the edit touched, and gives the ranks after it. */
async function writeTouched(
  tx: Database,
  { id: siteId, ranks }: KnownSite,
  document: SiteDocument,
  edit: Edit,
  onWritten?: Progress,
): Promise<KnownSite['ranks']> {
  let current = ranks;
  for (const [forest, ids] of touchedBy(edit)) {
    const given = ranksFor(document, forest, ids, current);
    current = current.withAll(given);
    const gone: string[] = [];
    const added: NodeRow[] = [];
    const changed: NodeRow[] = [];
    for (const id of ids) {
      const node = document[forest].nodes.get(id);
      if (node === undefined) {
        gone.push(id);
        current = current.without(id);
        continue;
      }
      // Of fifty thousand, taking fields out of copies took a second; what is undefined is not written.
      const fields = { ...node, id: undefined, parent: undefined };
      const isThere = ranks.get(id) !== undefined;
      (isThere ? changed : added).push({ id, parent: node.parent, rank: given.get(id) ?? '', fields });
    }
    await writeNodes(tx, siteId, forest, { added, changed }, onWritten);
    await deleteNodes(tx, siteId, forest, gone);
  }
  return current;
}

/** What an edit touched, by forest. */
export function touchedBy({ operations }: Edit): Map<ForestName, Set<string>> {
  const touched = new Map<ForestName, Set<string>>();
  for (const operation of operations) {
    for (const { forest, id } of kindOf(operation).touches(operation)) {
      const ids = touched.get(forest);
      if (ids === undefined) touched.set(forest, new Set([id]));
      else ids.add(id);
    }
  }
  return touched;
}
