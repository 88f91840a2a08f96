import {
  barFits,
  createFilling,
  fitHeader,
  headerOn,
  situationOn,
  withChanges,
  type FillFollowed,
  type SiteDocument,
} from '@zorvik/core';
import type { FromFit, ToFit } from './fitClient.ts';

/** The widths of the window that are asked about, in px. */
const WIDTHS = { from: 320, to: 1920 };

/**
 * Says in which rows the bars of a header are, at every width, beside the page's own thread. It keeps a copy of the
 * document, fed by what changes.
 */
let document: SiteDocument | null = null;
let fill: FillFollowed | null = null;
let compare: (a: string, b: string) => number = () => 0;

onmessage = ({ data }: MessageEvent<ToFit>) => {
  if (data.isAnew) document = null;
  document = withChanges(document, data.changes);
  if (fill === null || data.isAnew) {
    ({ compare } = new Intl.Collator(document.site.language, { numeric: true }));
    fill = createFilling(compare);
  }
  if (data.isLast) void answer(fill(document), data);
};

async function answer(filled: SiteDocument, { ticket, page, files }: ToFit): Promise<void> {
  const situation = situationOn(filled, page);
  const header = headerOn(filled, situation, compare);
  // Loaded when it is needed: a worker that waited for it at its beginning would miss what it is told meanwhile.
  const { measured } = await import('./textMeasure.ts');
  const facts = { header, template: situation.template ?? null };
  const { found, text } = await measured(filled, files, ({ measure }) => ({
    lanes: fitHeader(filled, facts, WIDTHS, measure),
    fits: barFits(filled, header, measure),
  }));
  postMessage({ ticket, ...found, isEstimate: text.isEstimate(), lacking: text.lacking() } satisfies FromFit);
}
