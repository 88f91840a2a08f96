import type { ImportLine, Route } from '@zorvik/contract';
import { linesOf } from './lines.ts';
import { addressOf, refusalIn, type Answer, type Asking } from './client.ts';

export type ImportDone = Extract<ImportLine, { done: unknown }>['done'];

/**
 * Sends a sitemap's bytes and follows the reply line by line: `onProgress` gets how many of how many pages
 * are stored.
 */
export async function sendSitemap<R extends Route>(
  route: R,
  { params = {}, query, signal }: Asking<R>,
  bytes: Blob,
  onProgress: (stored: number, of: number) => void,
): Promise<Answer<ImportDone>> {
  const init: RequestInit = {
    method: 'POST',
    body: bytes,
    headers: { 'Content-Type': 'application/xml' },
    ...(signal === undefined ? {} : { signal }),
  };
  const response = await fetch(addressOf(route, params, query), init).catch(() => null);
  if (response === null) return { kind: 'away' };
  if (!response.ok || response.body === null)
    return { kind: 'refused', refusal: refusalIn(await response.json().catch(() => null)) };
  let answer: Answer<ImportDone> = { kind: 'away' };
  try {
    for await (const line of linesOf(response.body)) {
      const parsed = JSON.parse(line) as ImportLine;
      if ('stored' in parsed) onProgress(parsed.stored, parsed.of);
      else
        answer =
          'done' in parsed
            ? { kind: 'reply', value: parsed.done }
            : { kind: 'refused', refusal: refusalIn(parsed) };
    }
  } catch {
    // It was stopped, or the connection broke: what it came to, nobody said.
    return { kind: 'away' };
  }
  return answer;
}
