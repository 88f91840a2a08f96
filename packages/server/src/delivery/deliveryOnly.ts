import type { RequestListener } from 'node:http';
import { refusal } from '@zorvik/core';
import { DELIVERY, PREVIEW } from '@zorvik/contract';
import type { AnswerPreview } from '../editing/answerPreview.ts';
import type { Delivery } from './delivery.ts';
import { refuse } from './sendFile.ts';
import { sendPreview } from './sendPreview.ts';

/** What stands at the delivery address: editions, drafts for who has their address, a sign of life, nothing else. */
export function deliveryOnly({ answer }: Pick<Delivery, 'answer'>, preview: AnswerPreview): RequestListener {
  return (request, response) => {
    const { method = '', url = '' } = request;
    if (url.startsWith(`${DELIVERY}/`))
      return void answer(request, response, url.slice(DELIVERY.length)).catch(() => response.destroy());
    if (url.startsWith(`${PREVIEW}/`))
      return void sendPreview(request, response, preview, url.slice(PREVIEW.length)).catch(() =>
        response.destroy(),
      );
    if (url !== '/healthz') return refuse(response, refusal('unknownPath', { method, path: url }), 404);
    response
      .writeHead(200, { 'Content-Type': 'application/json; charset=utf-8', 'Cache-Control': 'no-store' })
      .end('{"status":"ok","version":1}');
  };
}
