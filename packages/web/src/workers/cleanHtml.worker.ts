import { sanitiseHtml } from '@zorvik/formats';
import type { CleanedHtml, HtmlToClean } from './cleanHtmlClient.ts';

/** Cleans own HTML beside the page's own thread, which need not load the parser then. */
onmessage = ({ data: { ticket, html } }: MessageEvent<HtmlToClean>) => {
  const answer: CleanedHtml = { ticket, clean: sanitiseHtml(html) };
  postMessage(answer);
};
