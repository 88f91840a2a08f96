import { emptyOf, withPiece, type DocumentPiece, type Served, type SiteDocument } from '@zorvik/core';
import { routes, type EditionSummary, type SiteLine } from '@zorvik/contract';
import { addressOf, isAway, refusalIn, type Answer } from './client.ts';
import { linesOf } from './lines.ts';

export interface LoadedSite {
  readonly served: Served;
  readonly edition: EditionSummary | null;
}

/** How long work may hold up typing, in ms: less than a frame. */
const SLICE = 8;

/** Loads a whole site, piece by piece as it arrives, and lets the person go on in between. */
export async function loadSite(siteKey: string): Promise<Answer<LoadedSite>> {
  const response = await fetch(addressOf(routes.readSiteInPieces, { siteKey }, undefined)).catch(() => null);
  if (response === null || isAway(response)) return { kind: 'away' };
  if (!response.ok || response.body === null)
    return { kind: 'refused', refusal: refusalIn(await response.json().catch(() => null)) };
  let document: SiteDocument | null = null;
  let head: Extract<SiteLine, { head: unknown }>['head'] | null = null;
  let isWhole = false;
  let begun = performance.now();
  try {
    for await (const line of linesOf(response.body)) {
      const parsed = JSON.parse(line) as SiteLine;
      if ('head' in parsed) {
        ({ head } = parsed);
        document = emptyOf(head.site, head.format);
      } else if ('isWhole' in parsed) isWhole = true;
      else if (document !== null) document = withPiece(document, parsed as DocumentPiece);
      if (performance.now() - begun < SLICE) continue;
      await new Promise((done) => setTimeout(done));
      begun = performance.now();
    }
  } catch {
    // The connection broke midway.
    return { kind: 'away' };
  }
  if (!isWhole || head === null || document === null) return { kind: 'away' };
  return {
    kind: 'reply',
    value: { served: { epoch: head.epoch, revision: head.revision, document }, edition: head.edition },
  };
}
