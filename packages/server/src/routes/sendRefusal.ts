import type { Response } from 'express';
import { catalogue, type Refusal } from '@zorvik/core';
import type { ErrorEnvelope } from '@zorvik/contract';

export function envelope({ code, message, params }: Refusal): ErrorEnvelope {
  return { error: { code, message, params: { ...params } } };
}

export function sendRefusal(response: Response, refusal: Refusal): void {
  response.status(catalogue[refusal.code].status).set('Cache-Control', 'no-store').json(envelope(refusal));
}
