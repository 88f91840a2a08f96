import { refusal, type Refusal } from '@zorvik/core';
import type { BodyOf, ErrorEnvelope, QueryOf, ReplyOf, Route } from '@zorvik/contract';

/**
 * What came back: the reply, a refusal with its sentence, or nothing, since nobody answered, or who did
 * cannot just now (`reason`).
 */
export type Answer<T> =
  | { readonly kind: 'reply'; readonly value: T }
  | { readonly kind: 'refused'; readonly refusal: Refusal }
  | { readonly kind: 'away'; readonly reason?: string };

export interface Asking<R extends Route> {
  readonly params?: Readonly<Record<string, string | number>>;
  readonly query?: QueryOf<R>;
  readonly body?: BodyOf<R>;
  readonly signal?: AbortSignal;
}

/** Asks the server along a route of the contract. The only fetch of JSON in the editor. */
export async function ask<R extends Route>(
  route: R,
  { params = {}, query, body, signal }: Asking<R> = {},
): Promise<Answer<ReplyOf<R>>> {
  const init: RequestInit = { method: route.method, ...(signal === undefined ? {} : { signal }) };
  if (body !== undefined) {
    init.body = JSON.stringify(body);
    init.headers = { 'Content-Type': 'application/json' };
  }
  const response = await fetch(addressOf(route, params, query), init).catch(() => null);
  if (response === null || isAway(response)) return awayFor(await response?.json().catch(() => null));
  const value = (await response.json().catch(() => null)) as unknown;
  if (response.ok && value !== null) return { kind: 'reply', value: value as ReplyOf<R> };
  return { kind: 'refused', refusal: refusalIn(value) };
}

/**
 * What a person reads when an answer is no reply. `consequence` goes on from “No connection”: “nothing was
 * changed”.
 */
export function problemOf(
  answer: Exclude<Answer<unknown>, { readonly kind: 'reply' }>,
  consequence?: string,
): string {
  if (answer.kind === 'refused') return answer.refusal.message;
  return `No connection${consequence === undefined ? '' : `, so ${consequence}`}. Try again in a moment.`;
}

/** Whether who answers stands between, or cannot just now: what was asked is to be asked again. */
export function isAway({ status }: Response): boolean {
  return status >= 502 && status <= 504;
}

function awayFor(value: unknown): Answer<never> {
  const error = (value as Partial<ErrorEnvelope> | null)?.error;
  return error === undefined ? { kind: 'away' } : { kind: 'away', reason: error.message };
}

export function addressOf(
  route: Route,
  params: Readonly<Record<string, string | number>>,
  query: unknown,
): string {
  const path = route.path.replaceAll(/:(\w+)/g, (_, name: string) =>
    encodeURIComponent(String(params[name])),
  );
  const search = new URLSearchParams(
    Object.entries(query ?? {})
      .filter(([, value]) => value !== undefined)
      .map(([name, value]) => [name, String(value)]),
  ).toString();
  return search === '' ? path : `${path}?${search}`;
}

/** The refusal in an error envelope; anything else that is no reply is a failure of the server's. */
export function refusalIn(value: unknown): Refusal {
  const error = (value as Partial<ErrorEnvelope> | null)?.error;
  return error === undefined ? refusal('bug', { id: 'no number' }) : (error as Refusal);
}
