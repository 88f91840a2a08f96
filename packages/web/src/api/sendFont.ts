import { no, ok, refusal, type FontClass, type FontFile, type Result } from '@zorvik/core';
import { routes } from '@zorvik/contract';
import { addressOf, refusalIn } from './client.ts';

/** A font file as the server has read it. */
export interface SentFont {
  readonly font: FontFile;
  readonly looksLike: FontClass;
}

/** A file that comes with the editor itself. */
export async function ownFile(url: string): Promise<Blob> {
  return (await fetch(url)).blob();
}

/** Sends a font file to be kept with a site, or says why it is refused. */
export async function sendFont(siteKey: string, file: Blob): Promise<Result<SentFont>> {
  const init: RequestInit = {
    method: 'POST',
    headers: { 'Content-Type': 'application/octet-stream' },
    body: file,
  };
  const reply = await fetch(addressOf(routes.addFont, { siteKey }, undefined), init).catch(() => null);
  if (reply === null) return no(refusal('serverAway'));
  const parsed = (await reply.json().catch(() => null)) as unknown;
  return reply.ok ? ok(parsed as SentFont) : no(refusalIn(parsed));
}
