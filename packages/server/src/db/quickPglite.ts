import { PGlite, types, type QueryOptions, type Transaction } from '@electric-sql/pglite';

/** Dates and times stay text, as Drizzle wants them: it parses what it is asked to itself. */
const asText = (value: string): string => value;
const parsers = Object.fromEntries(
  [types.TIMESTAMP, types.TIMESTAMPTZ, types.INTERVAL, types.DATE, 1231, 1115, 1185, 1187, 1182].map(
    (type) => [type, asText],
  ),
);

/**
 * PGlite as Drizzle uses it, without a cost that Drizzle has it pay: with each query Drizzle names these
 * parsers, and PGlite then copies its table of some hundred of them, which takes longer than most queries.
 * Here they are given once, and not with each query.
 */
export async function quickPglite(folder: string): Promise<PGlite> {
  const client = await PGlite.create(folder, { parsers });
  withoutParsers(client);
  const begin = client.transaction.bind(client);
  client.transaction = (act) =>
    begin((tx) => {
      withoutParsers(tx);
      return act(tx);
    });
  return client;
}

function withoutParsers(asked: PGlite | Transaction): void {
  const query = asked.query.bind(asked);
  asked.query = <T>(text: string, params?: unknown[], options?: QueryOptions) =>
    query<T>(text, params, options?.rowMode === undefined ? undefined : { rowMode: options.rowMode });
}
