import type { IRouter, Request, Response } from 'express';
import type { Result } from '@zorvik/core';
import type { BodyOf, QueryOf, ReplyOf, Route } from '@zorvik/contract';
import { checkOf, checkStoredOf, problemIn } from '../shapeCheck.ts';
import { findBadText } from './findBadText.ts';
import { sendRefusal } from './sendRefusal.ts';

export interface Asked<R extends Route> {
  readonly params: Readonly<Record<string, string>>;
  readonly query: QueryOf<R>;
  readonly body: BodyOf<R>;
}

/** The same before anything is known of it. */
type Unchecked = Readonly<Record<'params' | 'query' | 'body', unknown>>;

/**
 * Answers a route of the contract: checks query and body against its schemas, calls, checks the reply, sends
 * it. A reply that does not fit is our own bug and becomes a 500 that names the place in the log.
 */
export function serve<R extends Route>(
  router: IRouter,
  route: R,
  answer: (asked: Asked<R>) => Promise<Result<ReplyOf<R>>>,
): void {
  // Checked against the route's schemas; deriving their types in general takes the compiler seconds.
  const call = answer as unknown as (asked: Unchecked) => Promise<Result<unknown>>;
  const checkQuery = route.query === undefined ? null : checkOf(route.query);
  const checkBody = typeof route.body === 'object' ? checkOf(route.body) : null;
  const checkReply = checkStoredOf(route.reply);
  const listen = async (request: Request, response: Response): Promise<void> => {
    const query = numbered(request.query as Record<string, unknown>, route.query);
    const wrong =
      problemIn(checkQuery, query, 'the query') ??
      problemIn(checkBody, request.body, 'the body') ??
      findBadText(request.query) ??
      findBadText(request.params) ??
      findBadText(request.body);
    if (wrong !== null) return sendRefusal(response, wrong);
    const result = await call({
      params: request.params as Record<string, string>,
      query,
      body: request.body as unknown,
    });
    if (!result.ok) return sendRefusal(response, result.refusal);
    const bad = problemIn(checkReply, result.value, 'the reply');
    if (bad !== null) throw new Error(bad.message);
    sendJson(response, route.status, result.value);
  };
  if (route.method === 'GET') router.get(route.path, listen);
  else router.post(route.path, listen);
}

/**
 * Like `response.json`, without what that finds out anew each time: our answers are JSON in UTF-8 and have no
 * tags.
 */
function sendJson(response: Response, status: number, value: unknown): void {
  const bytes = Buffer.from(JSON.stringify(value), 'utf8');
  response
    .writeHead(status, {
      'Content-Type': 'application/json; charset=utf-8',
      'Content-Length': bytes.length,
      'Cache-Control': 'no-store',
    })
    .end(bytes);
}

/** Queries arrive as text; what the schema calls a whole number becomes one. */
function numbered(query: Record<string, unknown>, schema: unknown): Record<string, unknown> {
  const properties =
    (schema as { properties?: Record<string, { type?: string }> } | undefined)?.properties ?? {};
  return Object.fromEntries(
    Object.entries(query).map(([name, value]) => [
      name,
      properties[name]?.type === 'integer' && typeof value === 'string' && /^\d+$/.test(value)
        ? Number(value)
        : value,
    ]),
  );
}
