import type { CleanHtml } from '@zorvik/core';

export interface HtmlToClean {
  readonly ticket: number;
  readonly html: string;
}
export interface CleanedHtml {
  readonly ticket: number;
  readonly clean: CleanHtml;
}

export interface HtmlCleaner {
  /** HTML without what may not stand in a page; null when something newer was given meanwhile. */
  readonly clean: (html: string) => Promise<CleanHtml | null>;
  readonly close: () => void;
}

export function htmlCleaner(): HtmlCleaner {
  const worker = new Worker(new URL('./cleanHtml.worker.ts', import.meta.url), { type: 'module' });
  let ticket = 0;
  let waiting: ((clean: CleanHtml | null) => void) | null = null;
  worker.onmessage = ({ data }: MessageEvent<CleanedHtml>) => {
    if (data.ticket !== ticket) return;
    waiting?.(data.clean);
    waiting = null;
  };
  return {
    clean(html) {
      waiting?.(null);
      ticket += 1;
      const asked: HtmlToClean = { ticket, html };
      worker.postMessage(asked);
      return new Promise((done) => (waiting = done));
    },
    close: () => worker.terminate(),
  };
}
