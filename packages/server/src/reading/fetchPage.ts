import { lookup as resolve, type LookupAddress, type LookupOptions } from 'node:dns';
import { request as httpRequest, type IncomingMessage } from 'node:http';
import { request as httpsRequest } from 'node:https';
import { isIP } from 'node:net';
import { promisify } from 'node:util';
import { brotliDecompress, gunzip, inflate } from 'node:zlib';
import { isPublicAddress } from './publicAddress.ts';

/**
 * What came of asking for an address. `url`: where the answer was found in the end; `from`: addresses that
 * led there.
 */
export type Fetched =
  | {
      readonly kind: 'answer';
      readonly url: string;
      readonly status: number;
      readonly type: string;
      readonly bytes: Buffer;
      readonly from: readonly string[];
    }
  | { readonly kind: 'failed'; readonly url: string; readonly reason: string };

export interface FetchLimits {
  /** Bytes of an answer, as it is sent and unpacked. */
  readonly most: number;
  /** ms until the whole answer must be there. */
  readonly patience: number;
  /** Origins that may be reached although their addresses are private. */
  readonly allowed: ReadonlySet<string>;
  /** Answers may be led on within this origin alone; null: anywhere. */
  readonly origin: string | null;
  /** Only whether it answers is of interest: what it says is not taken. */
  readonly isHeadEnough?: boolean;
  readonly signal?: AbortSignal;
}

const MOST_REDIRECTS = 5;
const AGENT = 'Zorvik';

/**
 * Asks for an address, within limits, and says in words why there is no answer. Never throws for what the
 * other side does.
 */
export async function fetchPage(url: string, limits: FetchLimits): Promise<Fetched> {
  const from: string[] = [];
  let at = url;
  for (let hop = 0; hop <= MOST_REDIRECTS; hop += 1) {
    if (limits.origin !== null && new URL(at).origin !== limits.origin)
      return { kind: 'failed', url, reason: `it redirects to another site (${new URL(at).origin})` };
    const answer = await once(at, limits).catch((error: Error) => error.message);
    if (typeof answer === 'string') return { kind: 'failed', url, reason: answer };
    const { status, location, type, bytes } = answer;
    if (status < 300 || status >= 400 || location === null)
      return { kind: 'answer', url: at, status, type, bytes, from };
    if (!URL.canParse(location, at))
      return { kind: 'failed', url, reason: 'it redirects to an invalid address' };
    from.push(at);
    at = new URL(location, at).href;
    if (from.includes(at)) return { kind: 'failed', url, reason: 'it redirects to itself' };
  }
  return { kind: 'failed', url, reason: `it redirects more than ${MOST_REDIRECTS} times` };
}

interface Answer {
  readonly status: number;
  readonly location: string | null;
  readonly type: string;
  readonly bytes: Buffer;
}

function once(
  url: string,
  { most, patience, allowed, signal, isHeadEnough = false }: FetchLimits,
): Promise<Answer> {
  const { protocol, hostname, origin } = new URL(url);
  const isAllowed = allowed.has(origin);
  const literal = hostname.replace(/^\[|\]$/g, '');
  if (isIP(literal) !== 0 && !isAllowed && !isPublicAddress(literal))
    return Promise.reject(new Error(PRIVATE));
  return new Promise((done, fail) => {
    const timer = setTimeout(
      () => asked.destroy(new Error(`it took longer than ${patience / 1000} s`)),
      patience,
    );
    const ask = protocol === 'https:' ? httpsRequest : httpRequest;
    const asked = ask(
      url,
      {
        headers: {
          'User-Agent': AGENT,
          Accept: 'text/html,application/xhtml+xml,application/xml;q=0.9,*/*;q=0.5',
          'Accept-Encoding': 'gzip, br, deflate',
        },
        // The check is on the address that is connected to, not on the name: a name may be answered otherwise
        // the second time.
        lookup: isAllowed ? (resolve as never) : (publicLookup as never),
        ...(signal === undefined ? {} : { signal }),
      },
      (response) => {
        (isHeadEnough ? leave(response) : take(response, most))
          .then((bytes) =>
            done({
              status: response.statusCode ?? 0,
              location: response.headers.location ?? null,
              type: response.headers['content-type'] ?? '',
              bytes,
            }),
          )
          .catch((error: Error) => {
            asked.destroy();
            fail(new Error(inWords(error)));
          })
          .finally(() => clearTimeout(timer));
      },
    );
    asked.on('error', (error: NodeJS.ErrnoException) => {
      clearTimeout(timer);
      fail(new Error(inWords(error)));
    });
    asked.end();
  });
}

const PRIVATE = 'it is on this machine or in a private network; set ZORVIK_READ_ORIGINS to allow it';

function publicLookup(
  hostname: string,
  options: LookupOptions,
  done: (error: Error | null, addresses: LookupAddress[] | string, family?: number) => void,
): void {
  resolve(hostname, { all: true, verbatim: true }, (error, addresses) => {
    if (error !== null) return done(error, []);
    const open = addresses.filter(({ address }) => isPublicAddress(address));
    const [first] = open;
    if (first === undefined) return done(new Error(PRIVATE), []);
    if (options.all === true) done(null, open);
    else done(null, first.address, first.family);
  });
}

/** Who answers at all is not kept talking. */
function leave(response: IncomingMessage): Promise<Buffer> {
  response.destroy();
  return Promise.resolve(Buffer.alloc(0));
}

async function take(response: IncomingMessage, most: number): Promise<Buffer> {
  const parts: Buffer[] = [];
  let size = 0;
  for await (const part of response) {
    const bytes = part as Buffer;
    size += bytes.length;
    if (size > most) throw new Error(TOO_LARGE);
    parts.push(bytes);
  }
  if (!response.complete) throw new Error('the connection was lost');
  return unpacked(Buffer.concat(parts), response.headers['content-encoding'] ?? '', most);
}

const TOO_LARGE = 'the response is too large';
const unpack = {
  gzip: promisify(gunzip),
  'x-gzip': promisify(gunzip),
  br: promisify(brotliDecompress),
  deflate: promisify(inflate),
} as const;

/** What is small when packed may be endless when unpacked: it stops at the limit. */
export async function unpacked(bytes: Buffer, encoding: string, most: number): Promise<Buffer> {
  const how = unpack[encoding.trim().toLowerCase() as keyof typeof unpack] as
    ((bytes: Buffer, options: { maxOutputLength: number }) => Promise<Buffer>) | undefined;
  if (how === undefined) return bytes;
  return how(bytes, { maxOutputLength: most }).catch((error: NodeJS.ErrnoException) => {
    throw new Error(
      error.code === 'ERR_BUFFER_TOO_LARGE' ? TOO_LARGE : 'the response cannot be decompressed',
    );
  });
}

function inWords({ code, message }: NodeJS.ErrnoException): string {
  if (code === 'ENOTFOUND' || code === 'EAI_AGAIN') return 'the host name is unknown';
  if (code === 'ECONNREFUSED') return 'the connection was refused';
  if (
    code === 'ECONNRESET' ||
    message === 'aborted' ||
    code === 'HPE_INVALID_CONSTANT' ||
    code?.startsWith('HPE_') === true
  )
    return 'the connection was lost';
  if (code?.startsWith('CERT_') === true || code?.includes('SELF_SIGNED') === true)
    return 'its certificate is not valid';
  return message;
}
