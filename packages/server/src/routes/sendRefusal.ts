import type { Response } from 'express';
import { catalogue, paramInWords, type Refusal } from '@zorvik/core';
import type { ErrorEnvelope } from '@zorvik/contract';

export function envelope({ code, message, params }: Refusal): ErrorEnvelope {
  return {
    error: {
      code,
      message,
      params: Object.fromEntries(Object.entries(params).map(([name, value]) => [name, paramInWords(value)])),
    },
  };
}

export function sendRefusal(response: Response, refusal: Refusal): void {
  response.status(catalogue[refusal.code].status).set('Cache-Control', 'no-store').json(envelope(refusal));
}
