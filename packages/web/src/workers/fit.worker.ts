import {
  barFits,
  createFilling,
  factsOn,
  fitSuggestions,
  lanesIn,
  problemsInModes,
  problemsOf,
  situationOn,
  withChanges,
  withFitFix,
  type CommandContext,
  type FillFollowed,
  type FitFacts,
  type Lane,
  type Measure,
  type SiteDocument,
} from '@zorvik/core';
import type { FoundByFit, FromFit, ToFit } from './fitClient.ts';

/** The widths of the window that are asked about, in px. */
const WIDTHS = { from: 320, to: 1920 };

/** Of so many problems the best suggestion is worked out where those of all are asked for. */
const MOST_PROBLEMS = 12;

/**
 * Says how a page is at every width, what does not fit, and what would mend it, beside the page's own thread. It keeps a
 * copy of the document, fed by what changes.
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

async function answer(filled: SiteDocument, { ticket, files, ...wanted }: ToFit): Promise<void> {
  // Loaded when it is needed: a worker that waited for it at its beginning would miss what it is told meanwhile.
  const { measured } = await import('./textMeasure.ts');
  const { found, text } = await measured(filled, files, ({ measure }) => work(filled, wanted, measure));
  postMessage({ ticket, ...found, isEstimate: text.isEstimate(), lacking: text.lacking() } satisfies FromFit);
}

function work(
  filled: SiteDocument,
  { page, isWhole, about, mode }: Omit<ToFit, 'ticket' | 'files'>,
  measure: Measure,
): FoundByFit {
  const factsOf = (shown: SiteDocument): FitFacts => factsOn(shown, situationOn(shown, page), compare);
  const asked = { document: filled, factsOf, span: WIDTHS, measure };
  const usual = lanesIn(null, asked);
  const fits = barFits(filled, factsOf(filled).header, measure);
  const problems = problemsOf(usual);
  if (!isWhole) return { lanes: usual, problems, fits, inModes: [], suggestions: [], previews: [] };
  const lanes = mode === null ? usual : lanesIn(mode, asked);
  // Suggestions are tried here, and never become edits: it does not matter by whom.
  const context: CommandContext = {
    document: filled,
    base: 0,
    session: 'fit',
    random: () => Math.floor(Math.random() * 2 ** 32),
  };
  const lanesOf = (shown: SiteDocument): readonly Lane[] => lanesIn(mode, { ...asked, document: shown });
  const suggestions =
    about === 'all'
      ? problemsOf(lanes)
          .slice(0, MOST_PROBLEMS)
          .flatMap((one) => fitSuggestions(context, one, lanesOf).slice(0, 1))
      : about === null
        ? []
        : fitSuggestions(context, about, lanesOf);
  const previews = suggestions.map(({ part, fix }) => {
    const mended = withFitFix(context, part, fix);
    return mended === null ? fits : barFits(mended, factsOf(mended).header, measure);
  });
  return { lanes, problems, fits, inModes: problemsInModes(asked, problems), suggestions, previews };
}
