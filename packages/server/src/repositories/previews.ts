import { and, asc, eq, gt, lte } from 'drizzle-orm';
import type { PreviewSummary } from '@zorvik/contract';
import type { Database } from '../db/database.ts';
import { previews, sites } from '../db/schema.ts';
import { isThere } from './sites.ts';

export async function insertPreview(
  tx: Database,
  siteId: string,
  { token, endsAt, actor }: PreviewSummary,
): Promise<void> {
  await tx.insert(previews).values({ token, siteId, actor, endsAt });
}

/** The previews of a site that can be seen at a time, those that end first at the start. */
export async function listPreviews(
  database: Database,
  siteId: string,
  at: string,
): Promise<PreviewSummary[]> {
  const rows = await database
    .select({ token: previews.token, endsAt: previews.endsAt, actor: previews.actor })
    .from(previews)
    .where(and(eq(previews.siteId, siteId), gt(previews.endsAt, at)))
    .orderBy(asc(previews.endsAt), asc(previews.token));
  return rows.map((row) => ({ ...row, endsAt: new Date(row.endsAt).toISOString() }));
}

/** Whether there was one of that site. */
export async function removePreview(database: Database, siteId: string, token: string): Promise<boolean> {
  const removed = await database
    .delete(previews)
    .where(and(eq(previews.siteId, siteId), eq(previews.token, token)))
    .returning({ token: previews.token });
  return removed.length > 0;
}

/** Of which site there is a preview with that token at a time, and until when; null: there is none. */
export async function previewAt(
  database: Database,
  token: string,
  at: string,
): Promise<{ siteId: string; siteKey: string; endsAt: string } | null> {
  const [row] = await database
    .select({ siteId: sites.id, siteKey: sites.key, endsAt: previews.endsAt })
    .from(previews)
    .innerJoin(sites, eq(sites.id, previews.siteId))
    .where(and(eq(previews.token, token), gt(previews.endsAt, at), isThere));
  return row === undefined ? null : { ...row, endsAt: new Date(row.endsAt).toISOString() };
}

export async function removeEndedPreviews(database: Database, at: string): Promise<void> {
  await database.delete(previews).where(lte(previews.endsAt, at));
}
