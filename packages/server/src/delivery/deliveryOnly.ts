import type { RequestListener } from 'node:http';
import { refusal } from '@zorvik/core';
import { DELIVERY } from '@zorvik/contract';
import type { Delivery } from './delivery.ts';
import { refuse } from './sendFile.ts';

/** What stands at the delivery address: editions, a sign of life, and nothing else. */
export function deliveryOnly({ answer }: Pick<Delivery, 'answer'>): RequestListener {
  return (request, response) => {
    const { method = '', url = '' } = request;
    if (url.startsWith(`${DELIVERY}/`))
      return void answer(request, response, url.slice(DELIVERY.length)).catch(() => response.destroy());
    if (url !== '/healthz') return refuse(response, refusal('unknownPath', { method, path: url }), 404);
    response
      .writeHead(200, { 'Content-Type': 'application/json; charset=utf-8', 'Cache-Control': 'no-store' })
      .end('{"status":"ok","version":1}');
  };
}
