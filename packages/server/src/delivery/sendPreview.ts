import type { IncomingMessage, ServerResponse } from 'node:http';
import { refusal } from '@zorvik/core';
import type { AnswerPreview } from '../editing/answerPreview.ts';
import { refuse } from './sendFile.ts';

/** Nobody keeps a draft: no cache, no index, no page that is linked from it and no page around it. */
const PRIVATE = {
  'Cache-Control': 'no-store',
  'X-Robots-Tag': 'noindex, nofollow',
  'Referrer-Policy': 'no-referrer',
  'X-Content-Type-Options': 'nosniff',
  'Content-Security-Policy':
    "default-src 'none'; style-src 'unsafe-inline'; script-src 'self'; img-src 'self' data:; form-action 'self'; base-uri 'none'; frame-ancestors 'none'",
};

/** Sends a page of a draft. `path`: what stands behind the address of previews. */
export async function sendPreview(
  request: IncomingMessage,
  response: ServerResponse,
  answer: AnswerPreview,
  path: string,
): Promise<void> {
  if (request.method !== 'GET' && request.method !== 'HEAD')
    return refuse(response, refusal('unknownPath', { method: request.method ?? '', path: 'preview' }), 404);
  const reply = await answer(path).catch(() => null);
  if (reply === null) return refuse(response, refusal('serverAway'), 503);
  const { status, type, body } = reply;
  response
    .writeHead(status, { ...PRIVATE, 'Content-Type': type, 'Content-Length': Buffer.byteLength(body) })
    .end(request.method === 'HEAD' ? undefined : body);
}
