import { asc, eq, sql } from 'drizzle-orm';
import { forestNames, Table, type ForestName, type Site, type StoredDocument } from '@zorvik/core';
import { rowsOf, type Database } from '../db/database.ts';
import {
  items,
  leftFindings,
  menus,
  ownCss,
  ownFields,
  pages,
  parts,
  placements,
  presets,
  sharedLinks,
  sites,
  styles,
  tokens,
} from '../db/schema.ts';
import { othersTurn } from '../othersTurn.ts';

/** The table of each forest; one that is missing fails the type check. */
export const nodeTables = {
  pages,
  menus,
  items,
  placements,
  sharedLinks,
  ownFields,
  leftFindings,
  parts,
  presets,
  styles,
  tokens,
  ownCss,
} as const satisfies Record<ForestName, unknown>;

/** A node as it is kept: `rank` orders it among its siblings. */
export interface NodeRow {
  readonly id: string;
  readonly parent: string;
  readonly rank: string;
  readonly fields: Record<string, unknown>;
}

export interface StoredSite {
  readonly stored: StoredDocument;
  readonly ranks: Table<string>;
}

/** A site's whole document from its rows. O(rows). */
export async function loadDocument(database: Database, siteId: string): Promise<StoredSite> {
  const [site] = await database.select().from(sites).where(eq(sites.id, siteId));
  if (site === undefined) throw new Error(`The site ${siteId} has no row.`);
  const lists: Partial<Record<ForestName, unknown[]>> = {};
  const ranks: (readonly [string, string])[] = [];
  for (const name of forestNames) {
    const { id, parent, rank, fields } = nodeTables[name];
    const rows = await database
      .select({ id, parent, rank, fields })
      .from(nodeTables[name])
      .where(eq(nodeTables[name].siteId, siteId))
      .orderBy(asc(rank), asc(id));
    lists[name] = rows.map((row) => ({ id: row.id, parent: row.parent, ...row.fields }));
    for (const row of rows) ranks.push([row.id, row.rank]);
  }
  const facts = { id: site.id, key: site.key, ...site.facts } as Site;
  return {
    stored: { format: site.format, site: facts, ...lists } as StoredDocument,
    ranks: Table.from(ranks),
  };
}

/** How many of how many rows are written. */
export type Progress = (done: number, of: number) => void;

/**
 * A statement for this many rows: large ones cost less each, and between them it is told how far it is and
 * whether to stop.
 */
const PIECE = 2500;

/**
 * Rows to write: those that are there already are changed. The database need not look for the others, which
 * is most of an import's work.
 */
export interface RowsToWrite {
  readonly added: readonly NodeRow[];
  readonly changed: readonly NodeRow[];
}

/** Writes rows; `onWritten` is told after each piece how many are done. */
export async function writeNodes(
  tx: Database,
  siteId: string,
  forest: ForestName,
  { added, changed }: RowsToWrite,
  onWritten?: Progress,
): Promise<void> {
  const table = nodeTables[forest];
  const of = added.length + changed.length;
  let done = 0;
  for (const [rows, onConflict] of [
    [added, sql``],
    [
      changed,
      sql`on conflict (site_id, id) do update set parent = excluded.parent, rank = excluded.rank, fields = excluded.fields`,
    ],
  ] as const) {
    for (let at = 0; at < rows.length; at += PIECE) {
      const piece = rows.slice(at, at + PIECE);
      await rowsOf(
        tx,
        sql`insert into ${table} (site_id, id, parent, rank, fields)
            select ${siteId}, r.id, r.parent, r.rank, r.fields from json_to_recordset(${JSON.stringify(piece)}::json) as r(id text, parent text, rank text, fields jsonb)
            ${onConflict}`,
      );
      done += piece.length;
      onWritten?.(done, of);
      if (done < of) await othersTurn();
    }
  }
}

export async function deleteNodes(
  tx: Database,
  siteId: string,
  forest: ForestName,
  ids: readonly string[],
): Promise<void> {
  if (ids.length === 0) return;
  await rowsOf(
    tx,
    sql`delete from ${nodeTables[forest]} where site_id = ${siteId} and id in (select json_array_elements_text(${JSON.stringify(ids)}::json))`,
  );
}
