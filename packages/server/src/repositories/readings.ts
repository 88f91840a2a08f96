import { eq, sql } from 'drizzle-orm';
import type { ReadingPlan, ReadingRhythm } from '@zorvik/contract';
import { rowsOf, type Database } from '../db/database.ts';
import { CHANNEL, type Notice } from '../db/notices.ts';
import { readings } from '../db/schema.ts';

export async function planOf(database: Database, siteId: string): Promise<ReadingPlan | null> {
  const { address, pages, every, found, reason } = readings;
  const [row] = await database
    .select({ address, pages, every, found, reason })
    .from(readings)
    .where(eq(readings.siteId, siteId));
  return row ?? null;
}

/** Keeps from where, how far and, unless that stays as it is, how often a site is read. */
export async function keepPlan(
  database: Database,
  siteId: string,
  {
    address,
    pages,
    every,
  }: { readonly address: string; readonly pages: number; readonly every?: ReadingRhythm },
): Promise<void> {
  const set = { address, pages, ...(every === undefined ? {} : { every }) };
  await database
    .insert(readings)
    .values({ siteId, address, pages, every: every ?? 'never' })
    .onConflictDoUpdate({ target: readings.siteId, set });
}

/**
 * Notes that a reading begins now, or that it ended with what it found or with the reason why it found
 * nothing.
 */
export async function noteReading(
  database: Database,
  siteId: string,
  noted:
    { readonly begunAt: string } | { readonly found: ReadingPlan['found'] } | { readonly reason: string },
): Promise<void> {
  const set =
    'begunAt' in noted
      ? noted
      : 'found' in noted
        ? { found: noted.found, reason: null }
        : { reason: noted.reason };
  await database.update(readings).set(set).where(eq(readings.siteId, siteId));
}

/** What was found is taken in. */
export async function noteTaken(database: Database, siteId: string): Promise<void> {
  await rowsOf(
    database,
    sql`update readings set found = found || '{"isTaken": true}'::jsonb where site_id = ${siteId} and found is not null`,
  );
}

export interface DueReading {
  readonly siteId: string;
  readonly key: string;
  readonly address: string;
  readonly pages: number;
}

const HOURS: Readonly<Record<Exclude<ReadingRhythm, 'never'>, number>> = { hourly: 1, daily: 24 };

/**
 * Takes the readings whose time has come. Of several processes that share a database, one gets each: the row
 * says when it was begun.
 */
export async function takeDue(database: Database, now: Date): Promise<DueReading[]> {
  const hoursAgo = (hours: number): string => new Date(now.getTime() - hours * 3_600_000).toISOString();
  return rowsOf<DueReading>(
    database,
    sql`update readings r set begun_at = ${now.toISOString()} from sites s
        where s.id = r.site_id and r.every <> 'never'
          and (r.begun_at is null or r.begun_at <= case r.every when 'hourly' then ${hoursAgo(HOURS.hourly)}::timestamptz else ${hoursAgo(HOURS.daily)}::timestamptz end)
        returning r.site_id as "siteId", s.key, r.address, r.pages`,
  );
}

/** All processes hear that something about the reading of a site is otherwise. */
export async function tellReading(database: Database, site: string): Promise<void> {
  const notice: Notice = { kind: 'reading', site };
  await rowsOf(database, sql`select pg_notify(${CHANNEL}, ${JSON.stringify(notice)})`);
}
