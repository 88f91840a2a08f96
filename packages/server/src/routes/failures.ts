import type { NextFunction, Request, Response } from 'express';
import { mintId, refusal, type Refusal } from '@zorvik/core';
import type { Deps } from '../deps.ts';
import { sendRefusal } from './sendRefusal.ts';

export function unknownPath(request: Request, response: Response): void {
  sendRefusal(response, refusal('unknownPath', { method: request.method, path: request.path }));
}

/**
 * What was thrown on the way: bodies that cannot be read become refusals; all else is a bug, which the log
 * gets whole.
 */
export function failures({ log, random, bodyLimit, importLimit }: Deps) {
  // Express knows an error handler by its four parameters.
  return (error: unknown, request: Request, response: Response, _next: NextFunction): void => {
    // Who asked has gone: there is nobody to answer, and nothing to repair.
    if (hasLeft(error as BodyError, response)) return void response.destroy();
    if (response.headersSent || response.destroyed) {
      log.error({ stack: stackOf(error) }, 'A reply failed midway');
      response.destroy();
      return;
    }
    const known = bodyProblem(
      error,
      isImport(request.path)
        ? { limit: importLimit, setting: 'ZORVIK_IMPORT_MB' }
        : { limit: bodyLimit, setting: 'ZORVIK_BODY_MB' },
    );
    if (known !== null) return sendRefusal(response, known);
    const trouble = troubleIn(error);
    const id = mintId('session', random);
    if (trouble === null) log.error({ id, stack: stackOf(error) }, 'A request failed');
    else log.warn({ code: trouble.code }, 'A request could not be served just now');
    sendRefusal(response, trouble ?? refusal('bug', { id }));
  };
}

/**
 * Whether an error only says that the client went away. What fails by itself also closes its reply, and must
 * be told from that.
 */
function hasLeft({ type, code = '' }: BodyError, { destroyed }: Response): boolean {
  return (
    type === 'request.aborted' ||
    (destroyed && /^(?:ERR_STREAM_PREMATURE_CLOSE|ERR_STREAM_DESTROYED|ECONNRESET|EPIPE)$/.test(code))
  );
}

/** Where it came from; without the values of a query, which may be a whole import and somebody's words. */
function stackOf(error: unknown): string {
  const { cause } = error as { cause?: unknown };
  const inner = cause instanceof Error ? `${cause.stack}\nasked by ` : '';
  return (
    inner +
    (error instanceof Error
      ? (error.stack ?? '').slice(error.message.length + error.name.length + 2)
      : String(error))
  );
}

interface BodyError {
  readonly type?: string;
  readonly code?: string;
  readonly message?: string;
}

/** How large a body may be, and what sets that. */
interface BodyLimit {
  readonly limit: number;
  readonly setting: string;
}

/** Whether a path takes a sitemap: those may be larger than other bodies. */
function isImport(path: string): boolean {
  return path.endsWith('/imports') || path.endsWith('/from-sitemap');
}

/**
 * The errors that body parsers throw, by their `type`; a body that cannot be unpacked has only the code of
 * zlib.
 */
function bodyProblem(error: unknown, { limit, setting }: BodyLimit): Refusal | null {
  const { type, code = '', message = '' } = error as BodyError;
  if (type === 'entity.too.large')
    return refusal('tooLarge', { most: `${Math.round(limit / 1_048_576)} MB`, setting });
  if (type === 'entity.parse.failed' || type === 'encoding.unsupported' || type === 'charset.unsupported')
    return refusal('badJson', { reason: message });
  if (type === 'request.size.invalid')
    return refusal('badJson', { reason: 'it is shorter than its Content-Length says' });
  if (/^Z_|^ERR_(?:_ERROR|BROTLI|PADDING)|^ERR__/.test(code))
    return refusal('badPacking', { reason: message });
  return error instanceof URIError
    ? refusal('badJson', { reason: 'the address has an invalid percent-encoding' })
    : null;
}

/**
 * What an error of the database means that is nobody's mistake and goes by: its connection (class 08, 55000
 * for a database that takes none, 57P01 to 57P03), its disk (53100), its rights (25006, and what the file
 * system says). Null for anything else.
 */
function troubleIn(error: unknown): Refusal | null {
  const { code = '', message = '' } = ((error as { cause?: unknown }).cause ?? error) as {
    code?: string;
    message?: string;
  };
  if (/^(?:53100|ENOSPC|EDQUOT)$/.test(code) || /no space left on device/i.test(message))
    return refusal('diskFull');
  if (/^(?:25006|EROFS|EACCES)$/.test(code) || /read-only (?:file system|transaction)/i.test(message))
    return refusal('notWritable', { reason: message });
  const isAway = /^(?:ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT|08\d{3}|55000|57P0[123])$/.test(code);
  return isAway || /connection terminated|timeout exceeded when trying/i.test(message)
    ? refusal('databaseAway')
    : null;
}
