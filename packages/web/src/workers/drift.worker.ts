import {
  createDrift,
  createFilling,
  openFindings,
  withChanges,
  type FillFollowed,
  type SiteDocument,
} from '@zorvik/core';
import type { FromDrift, ToDrift } from './driftClient.ts';

/**
 * Tells the drift of all menus beside the page's own thread. It keeps a copy of the document, fed by what
 * changes.
 */
let document: SiteDocument | null = null;
let fill: FillFollowed | null = null;
let dead: ReadonlyMap<string, string> = new Map();
const drift = createDrift();

onmessage = ({ data }: MessageEvent<ToDrift>) => {
  if (data.isAnew) document = null;
  document = withChanges(document, data.changes);
  if (fill === null || data.isAnew)
    fill = createFilling(new Intl.Collator(document.site.language, { numeric: true }).compare);
  if (!data.isLast) return;
  if (data.dead !== null) dead = new Map(data.dead);
  const findings = drift({ stored: document, filled: fill(document), dead });
  const answer: FromDrift = { ticket: data.ticket, ...openFindings(document, findings) };
  postMessage(answer);
};
