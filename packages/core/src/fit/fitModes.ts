import type { SiteDocument } from '../model/document.ts';
import { withNodeChanged } from '../model/forest.ts';
import { labelOf } from '../model/labelOf.ts';
import type { WidthRange } from '../panel/sweepPanel.ts';
import { problemsOf, type FitProblem } from './fitProblems.ts';
import { fitPage, type FitFacts } from './fitPage.ts';
import type { Lane } from './lane.ts';
import { ROOT } from './lengths.ts';
import type { Measure } from './measure.ts';

/** What visitors may have set, and what a site may become: all of it is checked without anybody choosing it. */
export const fitModes = ['text150', 'text200', 'zoom400', 'rtl', 'longLabels', 'scrollbar'] as const;
/** See `fitModes`. */
export type FitMode = (typeof fitModes)[number];

/** What does not fit in a mode, and does where nothing is set. */
export interface ModeProblem extends FitProblem {
  readonly mode: FitMode;
}

/** Translations are up to so much longer than the English they are made of. */
const LONGER = 1.35;
/** How wide most scrollbars are, in px. */
const SCROLLBAR = 15;
/** A window of 1280 px at 400 % (WCAG 2.2, 1.4.10). */
const ZOOMED = 320;

/** A page that can be asked again for another document: its direction changes what is resolved. */
export interface AskedPage {
  readonly document: SiteDocument;
  readonly factsOf: (document: SiteDocument) => FitFacts;
  readonly span: WidthRange;
  readonly measure: Measure;
}

/** Everything of a page at every width in a mode; null: as it usually is. */
export function lanesIn(mode: FitMode | null, { document, factsOf, span, measure }: AskedPage): Lane[] {
  switch (mode) {
    case 'text150':
    case 'text200':
      return fitPage(document, { ...factsOf(document), root: (ROOT * textIn(mode)) / 100 }, span, measure);
    case 'longLabels':
      return fitPage(document, factsOf(document), span, (text, font) =>
        Math.ceil(measure(text, font) * LONGER),
      );
    case 'scrollbar':
      return fitPage(document, { ...factsOf(document), scrollbar: SCROLLBAR }, span, measure);
    case 'rtl': {
      const turned = inMode(document, mode);
      return fitPage(turned, factsOf(turned), span, measure);
    }
    case 'zoom400':
    case null:
      return fitPage(document, factsOf(document), span, measure);
  }
}

/** Runs all modes over a page: what fails in them at widths at which it does not usually. O(modes) pages. */
export function problemsInModes(page: AskedPage, usual: readonly FitProblem[]): ModeProblem[] {
  const isNew = (one: FitProblem): boolean =>
    !usual.some(
      ({ part, item, from, to, of }) =>
        of === one.of &&
        part === one.part &&
        item === one.item &&
        from <= one.from + SLACK &&
        to >= one.to - SLACK,
    );
  return fitModes.flatMap((mode) => {
    const found =
      mode === 'zoom400'
        ? usual.filter(({ from, to }) => from <= ZOOMED && to >= ZOOMED)
        : problemsOf(lanesIn(mode, page)).filter(isNew);
    return found.map((one) => ({ ...one, mode }));
  });
}

/**
 * A document as a mode shows it in a picture: in the other direction, or with labels that are longer by a third of
 * themselves. Modes that the document has no part in leave it as it is.
 */
export function inMode(document: SiteDocument, mode: FitMode | null): SiteDocument {
  const { site } = document;
  if (mode === 'rtl')
    return { ...document, site: { ...site, direction: site.direction === 'rtl' ? 'ltr' : 'rtl' } };
  if (mode !== 'longLabels') return document;
  const stretched = [...document.items.nodes.values()].map((item) => {
    const label = labelOf(document, item);
    return { ...item, label: label + label.slice(0, Math.ceil(label.length * (LONGER - 1))) };
  });
  return { ...document, items: stretched.reduce(withNodeChanged, document.items) };
}

/** The size of text that visitors have set in a mode, in percent. */
export function textIn(mode: FitMode | null): number {
  return mode === 'text150' ? 150 : mode === 'text200' ? 200 : 100;
}

/** A few px more or less are no other problem. */
const SLACK = 24;
