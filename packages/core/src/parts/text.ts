import { element } from './html.ts';
import { shown, type PartHandler } from './partHandler.ts';
import { proseOf, resolveBody } from './prose.ts';

const CSS = `.zv-prose{padding:.25rem .5rem;font-weight:400}
.zv-prose p{margin:0}
.zv-prose>p+*,.zv-prose>*+p{margin-block-start:.5em}
.zv .zv-prose :is(ul,ol){display:block;padding-inline-start:1.25em;list-style:disc}
.zv .zv-prose ol{list-style:decimal}
.zv .zv-prose li{display:list-item}
.zv-prose a{color:var(--_accent)}`;

export const text: PartHandler<'text'> = {
  resolve: ({ body }, { base, document }) => shown({ ...base, body: resolveBody(document, body) }),
  html: (part, within, classes) => element(part, within, ` zv-prose${classes}`, proseOf(part.body ?? [])),
  css: () => [CSS],
};
