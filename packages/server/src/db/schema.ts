import { sql } from 'drizzle-orm';
import {
  bigint,
  customType,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
} from 'drizzle-orm/pg-core';
import type { ReadingPlan, ReadingRhythm } from '@zorvik/contract';
import type { Refusal, Sentence } from '@zorvik/core';

const bytes = customType<{ data: Uint8Array; driverData: Uint8Array }>({ dataType: () => 'bytea' });

/** Compared byte by byte wherever it runs: a server's locale must not decide the order of siblings. */
const bytewise = customType<{ data: string; driverData: string }>({ dataType: () => 'text COLLATE "C"' });

/** One row a site. Its revision counts the edits in its log; whoever saves holds this row `FOR UPDATE`. */
export const sites = pgTable(
  'sites',
  {
    id: text('id').primaryKey(),
    key: text('key').notNull(),
    /** The format of its nodes; an edit that upgrades the site raises it. */
    format: integer('format').notNull(),
    /** The format before the first upgrade, from which the log replays; null: there was none. */
    firstFormat: integer('first_format'),
    facts: jsonb('facts').$type<Record<string, unknown>>().notNull(),
    /** The facts before the first edit that changed them, from which the log replays; null: none did. */
    firstFacts: jsonb('first_facts').$type<Record<string, unknown>>(),
    revision: bigint('revision', { mode: 'number' }).notNull(),
    /** Changes when the site is restored from an archive: revisions of another epoch mean nothing. */
    epoch: text('epoch')
      .notNull()
      .default(sql`md5(random()::text)`),
    edition: integer('edition'),
    /** When it was deleted: it is hidden then, and goes for good a day later; null: it is there. */
    deletedAt: timestamp('deleted_at', { withTimezone: true, mode: 'string' }),
    createdAt: timestamp('created_at', { withTimezone: true, mode: 'string' })
      .notNull()
      .default(sql`now()`),
  },
  (table) => [uniqueIndex('sites_key').on(table.key)],
);

/**
 * The nodes of one forest. `rank` orders siblings: a string between its neighbours' (bytewise), so that a
 * move writes one row. The other fields are the model's own, under its format version; nothing is asked of
 * the database about them.
 */
function nodeTable<N extends string>(name: N) {
  return pgTable(
    name,
    {
      siteId: text('site_id')
        .notNull()
        .references(() => sites.id, { onDelete: 'cascade' }),
      id: text('id').notNull(),
      parent: text('parent').notNull(),
      rank: bytewise('rank').notNull(),
      fields: jsonb('fields').$type<Record<string, unknown>>().notNull(),
    },
    (table) => [primaryKey({ columns: [table.siteId, table.id] })],
  );
}

export const pages = nodeTable('pages');
export const menus = nodeTable('menus');
export const items = nodeTable('items');
export const placements = nodeTable('placements');
export const sharedLinks = nodeTable('shared_links');
export const ownFields = nodeTable('own_fields');
export const leftFindings = nodeTable('left_findings');
export const parts = nodeTable('parts');
export const presets = nodeTable('presets');
export const styles = nodeTable('styles');
export const tokens = nodeTable('tokens');
export const ownCss = nodeTable('own_css');

/**
 * The log. Every change to the rows above stands here; replaying it gives the rows (a test compares them).
 */
export const edits = pgTable(
  'edits',
  {
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    revision: bigint('revision', { mode: 'number' }).notNull(),
    id: text('id').notNull(),
    version: integer('version').notNull(),
    base: bigint('base', { mode: 'number' }).notNull(),
    session: text('session').notNull(),
    group: text('group_name'),
    undoes: text('undoes'),
    sentence: jsonb('sentence').$type<Sentence>().notNull(),
    /** Null when the body is large: then it stands compressed in edit_bodies. */
    operations: jsonb('operations').$type<unknown[]>(),
    at: timestamp('at', { withTimezone: true, mode: 'string' }).notNull(),
    actor: text('actor').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.siteId, table.revision] }),
    uniqueIndex('edits_id').on(table.siteId, table.id),
  ],
);

/** Operations of large edits: JSON, gzip. */
export const editBodies = pgTable(
  'edit_bodies',
  {
    siteId: text('site_id').notNull(),
    revision: bigint('revision', { mode: 'number' }).notNull(),
    body: bytes('body').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.siteId, table.revision] }),
    foreignKey({
      columns: [table.siteId, table.revision],
      foreignColumns: [edits.siteId, edits.revision],
    }).onDelete('cascade'),
  ],
);

/**
 * Edits that were refused, so that the same edit, should it arrive again, is refused again: its sender was
 * told once and for all.
 */
export const refusals = pgTable(
  'refusals',
  {
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    id: text('id').notNull(),
    refusal: jsonb('refusal').$type<Refusal>().notNull(),
    at: timestamp('at', { withTimezone: true, mode: 'string' }).notNull(),
  },
  (table) => [primaryKey({ columns: [table.siteId, table.id] })],
);

/**
 * What a log that no longer goes back to the beginning begins with: the document at that revision, JSON,
 * gzip. One a site.
 */
export const checkpoints = pgTable('checkpoints', {
  siteId: text('site_id')
    .primaryKey()
    .references(() => sites.id, { onDelete: 'cascade' }),
  revision: bigint('revision', { mode: 'number' }).notNull(),
  body: bytes('body').notNull(),
});

export const editions = pgTable(
  'editions',
  {
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    number: integer('number').notNull(),
    revision: bigint('revision', { mode: 'number' }).notNull(),
    at: timestamp('at', { withTimezone: true, mode: 'string' }).notNull(),
    actor: text('actor').notNull(),
    note: text('note').notNull(),
    items: integer('items').notNull(),
  },
  (table) => [primaryKey({ columns: [table.siteId, table.number] })],
);

/** What is delivered, once for each content: the key is the SHA-256 of the bytes, in hex. */
export const blobs = pgTable('blobs', { hash: text('hash').primaryKey(), body: bytes('body').notNull() });

/** The files of an edition, by the path at which they are delivered below the site. */
export const editionFiles = pgTable(
  'edition_files',
  {
    siteId: text('site_id').notNull(),
    number: integer('number').notNull(),
    path: text('path').notNull(),
    type: text('type').notNull(),
    hash: text('hash')
      .notNull()
      .references(() => blobs.hash),
  },
  (table) => [
    primaryKey({ columns: [table.siteId, table.number, table.path] }),
    foreignKey({
      columns: [table.siteId, table.number],
      foreignColumns: [editions.siteId, editions.number],
    }).onDelete('cascade'),
    index('edition_files_hash').on(table.hash),
  ],
);

/**
 * Pictures that were uploaded to a site: `file` is the hash of what was uploaded, `name` that of one of its
 * files, whose bytes are among the blobs. They stay as long as the working copy, an edition or the log names
 * them.
 */
export const pictures = pgTable(
  'pictures',
  {
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    name: text('name').notNull(),
    file: text('file').notNull(),
    type: text('type').notNull(),
    hash: text('hash')
      .notNull()
      .references(() => blobs.hash),
    at: timestamp('at', { withTimezone: true, mode: 'string' }).notNull(),
  },
  (table) => [primaryKey({ columns: [table.siteId, table.name] }), index('pictures_hash').on(table.hash)],
);

/** How each site is read over HTTP, and what came of it the last time. */
export const readings = pgTable('readings', {
  siteId: text('site_id')
    .primaryKey()
    .references(() => sites.id, { onDelete: 'cascade' }),
  address: text('address').notNull(),
  pages: integer('pages').notNull(),
  every: text('every').$type<ReadingRhythm>().notNull(),
  /** When a reading was begun last: whoever sets it anew does the next one, and no other process does. */
  begunAt: timestamp('begun_at', { withTimezone: true, mode: 'string' }),
  found: jsonb('found').$type<ReadingPlan['found']>(),
  reason: text('reason'),
});

/** Private addresses at which the working copy of a site can be seen for a while. No archive has them. */
export const previews = pgTable(
  'previews',
  {
    /** What the address has in it, and who has it may look. */
    token: text('token').primaryKey(),
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    actor: text('actor').notNull(),
    endsAt: timestamp('ends_at', { withTimezone: true, mode: 'string' }).notNull(),
  },
  (table) => [index('previews_site').on(table.siteId)],
);
