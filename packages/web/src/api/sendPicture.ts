import { no, ok, refusal, type MadePicture, type Result } from '@zorvik/core';
import { routes } from '@zorvik/contract';
import { addressOf, refusalIn } from './client.ts';

/** Sends a picture to be kept with a site; gives it as parts and looks name it, or why it is refused. */
export async function sendPicture(siteKey: string, file: Blob): Promise<Result<MadePicture>> {
  const init: RequestInit = {
    method: 'POST',
    headers: { 'Content-Type': 'application/octet-stream' },
    body: file,
  };
  const reply = await fetch(addressOf(routes.addPicture, { siteKey }, undefined), init).catch(() => null);
  if (reply === null) return no(refusal('serverAway'));
  const parsed = (await reply.json().catch(() => null)) as unknown;
  return reply.ok ? ok(parsed as MadePicture) : no(refusalIn(parsed));
}
