import type { NextFunction, Request, Response } from 'express';
import { refusal } from '@zorvik/core';
import { sendRefusal } from './sendRefusal.ts';

const PICTURE = /^\/api\/v1\/sites\/[^/]+\/pictures\/[^/?]+$/;
/**
 * Compared as text: what a parser of addresses would make of `127.1` or `a@127.0.0.1` does not matter then.
 */
const LOCAL_HOST = /^(?:127\.\d{1,3}\.\d{1,3}\.\d{1,3}|localhost|\[::1\])(?::\d{1,5})?$/;
const ALLOWED = '127.0.0.1, localhost, [::1]';

/**
 * Answers only to this machine's own names. This stops a foreign name that was made to point here (DNS
 * rebinding).
 */
export function guardHost(request: Request, response: Response, next: NextFunction): void {
  const { host = '' } = request.headers;
  if (!LOCAL_HOST.test(host.toLowerCase()))
    return sendRefusal(response, refusal('foreignHost', { host, allowed: ALLOWED }));
  next();
}

/**
 * Lets only the editor's own pages use its API. The Origin check stops a foreign page that sends requests
 * here on a visitor's behalf; pictures, scripts and frames of such a page name no origin, but say where they
 * come from by Sec-Fetch-Site (W3C, Fetch Metadata Request Headers).
 */
export function guardOrigin(request: Request, response: Response, next: NextFunction): void {
  const { host = '', origin } = request.headers;
  // The live header's iframe is a sandbox without an origin, and shows uploaded pictures: any page could, but
  // none can read them or guess their names.
  const isShown =
    (origin === undefined || origin === 'null') &&
    request.method === 'GET' &&
    PICTURE.test(request.originalUrl);
  if (isShown) return next();
  const from = request.headers['sec-fetch-site'];
  const isForeign = origin !== undefined && origin.toLowerCase() !== `http://${host.toLowerCase()}`;
  if (isForeign) return sendRefusal(response, refusal('foreignOrigin', { origin }));
  if (from === 'cross-site' || from === 'same-site')
    return sendRefusal(response, refusal('foreignOrigin', { origin: 'another site' }));
  next();
}
