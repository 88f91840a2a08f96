import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import type { SQL } from 'drizzle-orm';

/**
 * A database or a transaction in it, be it PGlite or PostgreSQL. Inside of a transaction, ask the transaction
 * alone.
 */
export type Database = PgDatabase<PgQueryResultHKT, Record<string, never>>;

/**
 * The rows of a query in SQL. Both drivers answer alike; the caller names the row's type, since SQL has none
 * for us.
 */
export async function rowsOf<Row>(database: Database, query: SQL): Promise<Row[]> {
  const result = (await database.execute(query)) as unknown as { readonly rows: Row[] };
  return result.rows;
}
