import type { BarFits, FitMode, FitProblem, FitSuggestion, Id, Lane, ModeProblem } from '@zorvik/core';
import type { Lacking } from '@zorvik/formats/fonts';
import { askedWorker, type AskedWorker } from './askedWorker.ts';
import type { DocumentPiece } from './documentFeed.ts';

/** What is asked of a page. */
export interface AskedOfFit {
  readonly page: Id | null;
  /** With what fails in other modes, and with suggestions: what the workspace Fit shows. */
  readonly isWhole: boolean;
  /** What suggestions are wanted for; `all`: the best one for each problem; null: for nothing. */
  readonly about: { readonly part: Id; readonly item?: Id | undefined } | 'all' | null;
  /** What a visitor has set, for the lanes and the suggestions; null: nothing. */
  readonly mode: FitMode | null;
  /** What the names of uploaded files are put behind. */
  readonly files: string;
}

/** A piece of the document. The last one is answered. */
export interface ToFit extends DocumentPiece, AskedOfFit {
  readonly ticket: number;
}

/** How a page is at every width. */
export interface FoundByFit {
  readonly lanes: readonly Lane[];
  /** What does not fit where a visitor has set nothing. */
  readonly problems: readonly FitProblem[];
  /** What bars do where they do not fit, for the style sheet of the page. */
  readonly fits: BarFits;
  readonly inModes: readonly ModeProblem[];
  readonly suggestions: readonly FitSuggestion[];
  /** For each of them, what bars would do where they do not fit. */
  readonly previews: readonly BarFits[];
}

export interface FromFit extends FoundByFit {
  readonly ticket: number;
  /** Some text is in a font of the visitors’ systems: its widths are estimates. */
  readonly isEstimate: boolean;
  /** Signs of some texts that their font does not have. */
  readonly lacking: readonly Lacking[];
}

/** Asks how a page is at every width. */
export type FitClient = AskedWorker<AskedOfFit, FromFit>;

export function fitClient(): FitClient {
  return askedWorker(new Worker(new URL('./fit.worker.ts', import.meta.url), { type: 'module' }));
}
