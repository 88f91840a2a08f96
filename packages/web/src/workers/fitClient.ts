import type { BarFits, BarLane, Id, SiteDocument } from '@zorvik/core';
import type { Lacking } from '@zorvik/formats/fonts';
import { documentFeed, type DocumentPiece } from './documentFeed.ts';

/** A piece of the document. The last one is answered, for the header of a page. */
export interface ToFit extends DocumentPiece {
  readonly ticket: number;
  readonly page: Id | null;
  /** What the names of uploaded files are put behind. */
  readonly files: string;
}
export interface FromFit {
  readonly ticket: number;
  readonly lanes: readonly BarLane[];
  /** What bars do where they do not fit, for the style sheet of the page. */
  readonly fits: BarFits;
  /** Some text is in a font of the visitors’ systems: its widths are estimates. */
  readonly isEstimate: boolean;
  /** Signs of some texts that their font does not have. */
  readonly lacking: readonly Lacking[];
}

export interface FitClient {
  /** Asks in which rows the bars of a header are; null: something newer was asked meanwhile. */
  readonly look: (document: SiteDocument, page: Id | null, files: string) => Promise<FromFit | null>;
  readonly close: () => void;
}

export function fitClient(): FitClient {
  const worker = new Worker(new URL('./fit.worker.ts', import.meta.url), { type: 'module' });
  const feed = documentFeed();
  let ticket = 0;
  let waiting: ((found: FromFit | null) => void) | null = null;
  worker.onmessage = ({ data }: MessageEvent<FromFit>) => {
    if (data.ticket !== ticket) return;
    waiting?.(data);
    waiting = null;
  };

  return {
    look(document, page, files) {
      waiting?.(null);
      ticket += 1;
      const own = ticket;
      void feed(document, (piece) =>
        worker.postMessage({ ...piece, ticket: own, page, files } satisfies ToFit),
      );
      return new Promise((done) => (waiting = done));
    },
    close: () => worker.terminate(),
  };
}
