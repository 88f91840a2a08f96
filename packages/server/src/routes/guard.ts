import type { NextFunction, Request, Response } from 'express';
import { refusal } from '@zorvik/core';
import { sendRefusal } from './sendRefusal.ts';

const PICTURE = /^\/api\/v1\/sites\/[^/]+\/pictures\/[^/]+$/;
const LOCAL = new Set(['127.0.0.1', 'localhost', '[::1]']);

/**
 * Lets only this machine's own pages use the editor's API. The Host check stops a foreign name that was made to point here (DNS
 * rebinding), the Origin check a foreign page that sends requests here on a visitor's behalf.
 */
export function guard(request: Request, response: Response, next: NextFunction): void {
  const { host = '', origin } = request.headers;
  if (!isLocal(`http://${host}`)) return sendRefusal(response, refusal('foreignHost', { host, allowed: [...LOCAL].join(', ') }));
  // The live header's frame is a sandbox without an origin, and shows the pictures: any page could, but none can read them.
  const isShown = origin === 'null' && request.method === 'GET' && PICTURE.test(request.originalUrl);
  const isForeign = origin !== undefined && !isShown && (!isLocal(origin) || new URL(origin).host !== host.toLowerCase());
  if (isForeign) return sendRefusal(response, refusal('foreignOrigin', { origin }));
  next();
}

function isLocal(address: string): boolean {
  if (!URL.canParse(address)) return false;
  const { hostname, protocol } = new URL(address);
  return protocol === 'http:' && LOCAL.has(hostname);
}
