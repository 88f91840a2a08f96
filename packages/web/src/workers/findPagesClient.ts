import type { Findable } from './findPages.ts';

/** What the search is told: all pages anew, some of them at a time, and what to look for. */
export type ToSearch =
  | { readonly kind: 'begin' }
  | { readonly kind: 'pages'; readonly pages: readonly Findable[] }
  | { readonly kind: 'find'; readonly ticket: number; readonly typed: string };
/** What it answers. */
export interface FromSearch {
  readonly ticket: number;
  /** Indices into the pages, best first. */
  readonly found: Uint32Array;
}

export interface SearchClient {
  /** Gives it the pages; a later call takes the place of an earlier one. */
  readonly know: (pages: Iterable<Findable>) => Promise<void>;
  /** What is found as indices into the pages, best first; null when something newer was asked meanwhile. */
  readonly find: (typed: string) => Promise<Uint32Array | null>;
  readonly close: () => void;
}

/** So many pages are handed over between two frames. */
const PIECE = 2000;

export function searchClient(): SearchClient {
  const worker = new Worker(new URL('./findPages.worker.ts', import.meta.url), { type: 'module' });
  const tell = (message: ToSearch): void => worker.postMessage(message);
  let ticket = 0;
  let round = 0;
  let waiting: ((found: Uint32Array | null) => void) | null = null;
  worker.onmessage = ({ data }: MessageEvent<FromSearch>) => {
    if (data.ticket !== ticket) return;
    waiting?.(data.found);
    waiting = null;
  };
  return {
    async know(pages) {
      const own = (round += 1);
      tell({ kind: 'begin' });
      let piece: Findable[] = [];
      for (const page of pages) {
        piece.push(page);
        if (piece.length < PIECE) continue;
        tell({ kind: 'pages', pages: piece });
        piece = [];
        await new Promise((done) => setTimeout(done));
        if (own !== round) return;
      }
      tell({ kind: 'pages', pages: piece });
    },
    find(typed) {
      waiting?.(null);
      ticket += 1;
      tell({ kind: 'find', ticket, typed });
      return new Promise((done) => (waiting = done));
    },
    close: () => worker.terminate(),
  };
}
