import { isSafeAddress } from '../base/address.ts';
import { escapeHtml } from '../base/escape.ts';
import { hrefOf } from '../model/hrefOf.ts';
import type { ResolvedBlock, ResolvedRun } from '../resolve/resolved.ts';
import { element } from './html.ts';
import { shown, type PartHandler } from './partHandler.ts';

const CSS = `.zv-prose{padding:.25rem .5rem;font-weight:400}
.zv-prose p{margin:0}
.zv-prose>p+*,.zv-prose>*+p{margin-block-start:.5em}
.zv .zv-prose :is(ul,ol){display:block;padding-inline-start:1.25em;list-style:disc}
.zv .zv-prose ol{list-style:decimal}
.zv .zv-prose li{display:list-item}
.zv-prose a{color:var(--_accent)}`;

export const text: PartHandler<'text'> = {
  resolve({ body }, { base, document }) {
    const resolved = body.map((block): ResolvedBlock => ({
      ...block,
      runs: block.runs.map(({ to, ...run }): ResolvedRun => {
        const href = to === undefined ? null : hrefOf(document, to);
        return href === null ? run : { ...run, href };
      }),
    }));
    return shown({ ...base, body: resolved });
  },
  html: (part, within, classes) => element(part, within, ` zv-prose${classes}`, proseOf(part.body ?? [])),
  css: () => [CSS],
};

/** Blocks as HTML: what is listed one after the other is one list. */
function proseOf(blocks: readonly ResolvedBlock[]): string {
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

function runOf({ text: words, bold, italic, href }: ResolvedRun): string {
  const escaped = escapeHtml(words);
  const leaned = italic === true ? `<em>${escaped}</em>` : escaped;
  const heavy = bold === true ? `<strong>${leaned}</strong>` : leaned;
  return href === undefined || !isSafeAddress(href) ? heavy : `<a href="${escapeHtml(href)}">${heavy}</a>`;
}
