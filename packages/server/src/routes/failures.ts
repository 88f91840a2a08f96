import type { NextFunction, Request, Response } from 'express';
import { mintId, refusal, type Refusal } from '@zorvik/core';
import type { Deps } from '../deps.ts';
import { sendRefusal } from './sendRefusal.ts';

export function unknownPath(request: Request, response: Response): void {
  sendRefusal(response, refusal('unknownPath', { method: request.method, path: request.path }));
}

/** What was thrown on the way: bodies that cannot be read become refusals; all else is a bug, which the log gets whole. */
export function failures({ log, random, bodyLimit, importLimit }: Deps) {
  // Express knows an error handler by its four parameters.
  return (error: unknown, request: Request, response: Response, _next: NextFunction): void => {
    if (response.headersSent) {
      log.error({ error }, 'A reply failed midway');
      response.destroy();
      return;
    }
    const known = bodyProblem(error, request.path.endsWith('/edits') ? bodyLimit : importLimit);
    if (known !== null) return sendRefusal(response, known);
    const id = mintId('session', random);
    log.error({ id, error, stack: error instanceof Error ? error.stack : undefined }, 'A request failed');
    sendRefusal(response, isAway(error) ? refusal('databaseAway') : refusal('bug', { id }));
  };
}

interface BodyError {
  readonly type?: string;
  readonly limit?: number;
  readonly message?: string;
}

/** The errors that body parsers throw, by their `type`. */
function bodyProblem(error: unknown, limit: number): Refusal | null {
  const { type, message = '', limit: own } = error as BodyError;
  if (type === 'entity.too.large') {
    const most = own ?? limit;
    return refusal('tooLarge', { most: `${Math.round(most / 1_048_576)} MB`, setting: most === limit ? 'ZORVIK_IMPORT_MB' : 'ZORVIK_BODY_MB' });
  }
  if (type === 'entity.parse.failed' || type === 'encoding.unsupported' || type === 'charset.unsupported') return refusal('badJson', { reason: message });
  return error instanceof URIError ? refusal('badJson', { reason: 'the address holds a broken percent-encoding' }) : null;
}

/** Connection trouble, by the codes of Node and of PostgreSQL (class 08, 55000 for a database that takes no connections, 57P01 to 57P03). */
function isAway(error: unknown): boolean {
  const { code = '', message = '' } = ((error as { cause?: unknown }).cause ?? error) as { code?: string; message?: string };
  return (
    /^(?:ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT|08\d{3}|55000|57P0[123])$/.test(code) || /connection terminated|timeout exceeded when trying/i.test(message)
  );
}
