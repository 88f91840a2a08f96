import type { PoolClient, QueryConfig } from 'pg';

/** How many statements a connection keeps prepared at most; ours are some dozens. */
const MOST = 200;
const names = new Map<string, string>();

/**
 * Lets a connection prepare the statements that take parameters, once each, by giving them names: parsing and
 * planning them anew takes PostgreSQL longer than running them.
 */
export function preparesStatements(client: PoolClient): void {
  const query = client.query.bind(client) as (...asked: unknown[]) => unknown;
  client.query = ((asked: unknown, ...more: unknown[]) =>
    query(isPlain(asked) ? { ...asked, name: nameOf(asked.text) } : asked, ...more)) as typeof client.query;
}

function isPlain(asked: unknown): asked is QueryConfig {
  return (
    typeof asked === 'object' &&
    asked !== null &&
    'text' in asked &&
    (asked as QueryConfig).name === undefined &&
    String(asked.text).includes('$1')
  );
}

function nameOf(text: string): string | undefined {
  const known = names.get(text);
  if (known !== undefined || names.size >= MOST) return known;
  const name = `zorvik_${names.size}`;
  names.set(text, name);
  return name;
}
