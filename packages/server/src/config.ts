import { isIP } from 'node:net';

/** Everything that the outside decides about a server. Sizes in bytes. */
export interface Config {
  readonly host: string;
  readonly port: number;
  /**
   * Where editions are delivered. That is read by anybody, so it may be open to other machines, unlike the
   * editor.
   */
  readonly deliveryHost: string;
  readonly deliveryPort: number;
  /**
   * How others reach what is delivered, where that is not the host and port above: pictures are named by it.
   */
  readonly deliveryUrl: string | null;
  readonly sitePort: number;
  readonly dataFolder: string;
  readonly databaseUrl: string | null;
  readonly importLimit: number;
  readonly bodyLimit: number;
  /** How many pages, items and other nodes of all sites are kept in memory at most; 1,000 take about 1 MB. */
  readonly cacheNodes: number;
  /** For how many days edits can be taken back at least; 0: for ever. */
  readonly logDays: number;
  readonly logLevel: string;
  /** Origins that may be read although their addresses are on this machine or in a private network. */
  readonly readOrigins: readonly string[];
}

const MEGABYTE = 1_048_576;

/**
 * Reads the environment; the only reader of it. Throws a sentence that names the variable, its value and what
 * it may be.
 */
export function readConfig(environment: Readonly<Record<string, string | undefined>>): Config {
  const text = (name: string, otherwise: string): string => environment[name]?.trim() || otherwise;
  const whole = (name: string, otherwise: number, most: number): number => {
    const value = text(name, String(otherwise));
    const number = Number(value);
    if (!/^\d+$/.test(value) || number > most)
      throw new Error(`${name} is “${value}”; use a whole number from 0 to ${most}.`);
    return number;
  };
  return {
    host: loopback(text('HOST', '127.0.0.1')),
    port: whole('PORT', 4780, 65_535),
    deliveryHost: text('DELIVERY_HOST', '127.0.0.1'),
    deliveryPort: whole('DELIVERY_PORT', 4782, 65_535),
    deliveryUrl: address('ZORVIK_DELIVERY_URL', text('ZORVIK_DELIVERY_URL', '')),
    sitePort: whole('SITE_PORT', 4781, 65_535),
    dataFolder: text('ZORVIK_DATA', 'data'),
    databaseUrl: environment.DATABASE_URL?.trim() || null,
    importLimit: whole('ZORVIK_IMPORT_MB', 50, 500) * MEGABYTE,
    bodyLimit: whole('ZORVIK_BODY_MB', 8, 100) * MEGABYTE,
    cacheNodes: whole('ZORVIK_CACHE_NODES', 200_000, 10_000_000),
    logDays: whole('ZORVIK_LOG_DAYS', 90, 36_500),
    logLevel: text('ZORVIK_LOG', 'warn'),
    readOrigins: origins(text('ZORVIK_READ_ORIGINS', '')),
  };
}

/** Where something answers, without a slash at its end; null: nothing was said. */
function address(name: string, given: string): string | null {
  if (given === '') return null;
  const url = URL.canParse(given) ? new URL(given) : null;
  if (url !== null && /^https?:$/.test(url.protocol)) return url.href.replace(/\/+$/, '');
  throw new Error(`${name} is “${given}”; use an address such as https://menus.example.org.`);
}

/** Schemes and hosts, parted by commas. */
function origins(list: string): string[] {
  return list
    .split(',')
    .map((one) => one.trim())
    .filter((one) => one !== '')
    .map((one) => {
      const url = URL.canParse(one) ? new URL(one) : null;
      if (url !== null && /^https?:$/.test(url.protocol)) return url.origin;
      throw new Error(
        `ZORVIK_READ_ORIGINS names “${one}”; use addresses such as http://localhost:8080, separated by commas.`,
      );
    });
}

/** Without sign-in, anybody who reaches the port may edit: so it is reached from this machine only. */
function loopback(host: string): string {
  const isLoopback = host === 'localhost' || host === '::1' || (isIP(host) === 4 && host.startsWith('127.'));
  if (isLoopback) return host;
  throw new Error(
    `HOST is “${host}”, but until Zorvik has sign-in it listens on this machine only. Leave HOST out, or set it to 127.0.0.1.`,
  );
}
