import { isSafeAddress } from '../base/address.ts';
import { escapeHtml } from '../base/escape.ts';
import { hrefOf } from '../model/hrefOf.ts';
import type { SiteDocument } from '../model/document.ts';
import type { ResolvedBlock, ResolvedRun } from '../resolve/resolved.ts';
import type { RichText } from '../schema/richText.ts';

/** A text with the addresses of its links; what links to nothing just now is plain. */
export function resolveBody(document: SiteDocument, body: RichText): ResolvedBlock[] {
  return body.map((block) => ({
    ...block,
    runs: block.runs.map(({ to, ...run }): ResolvedRun => {
      const href = to === undefined ? null : hrefOf(document, to);
      return href === null ? run : { ...run, href };
    }),
  }));
}

/** Blocks as HTML: what is listed one after the other is one list. */
export function proseOf(blocks: readonly ResolvedBlock[]): string {
  let html = '';
  let list = '';
  for (const { kind, runs } of blocks) {
    const wanted = kind === 'listed' ? 'ul' : kind === 'numbered' ? 'ol' : '';
    if (list !== wanted) html += `${list === '' ? '' : `</${list}>`}${wanted === '' ? '' : `<${wanted}>`}`;
    list = wanted;
    const paragraph = `<p>${runs.map(runOf).join('')}</p>`;
    html += wanted === '' ? paragraph : `<li>${paragraph}</li>`;
  }
  return list === '' ? html : `${html}</${list}>`;
}

/** The same without blocks, for what may hold no more than a line: blocks follow each other. */
export function lineOf(blocks: readonly ResolvedBlock[]): string {
  return blocks.map(({ runs }) => runs.map(runOf).join('')).join(' ');
}

function runOf({ text: words, bold, italic, href }: ResolvedRun): string {
  const escaped = escapeHtml(words);
  const leaned = italic === true ? `<em>${escaped}</em>` : escaped;
  const heavy = bold === true ? `<strong>${leaned}</strong>` : leaned;
  return href === undefined || !isSafeAddress(href) ? heavy : `<a href="${escapeHtml(href)}">${heavy}</a>`;
}
