import { element } from './html.ts';
import { shown, type PartHandler } from './partHandler.ts';
import { proseOf, resolveBody } from './prose.ts';
import { rule, type Rule } from '../style/rule.ts';

const rules: readonly Rule[] = [
  rule('.zv-prose', 'padding:.25rem .5rem;font-weight:400'),
  rule('.zv-prose p', 'margin:0'),
  rule('.zv-prose>p+*,.zv-prose>*+p', 'margin-block-start:.5em'),
  rule('.zv .zv-prose :is(ul,ol)', 'display:block;padding-inline-start:1.25em;list-style:disc'),
  rule('.zv .zv-prose ol', 'list-style:decimal'),
  rule('.zv .zv-prose li', 'display:list-item'),
  rule('.zv-prose a', 'color:var(--_accent)'),
];

export const text: PartHandler<'text'> = {
  resolve: ({ body }, { base, document }) => shown({ ...base, body: resolveBody(document, body) }),
  html: (part, within, classes) => element(part, within, ` zv-prose${classes}`, proseOf(part.body ?? [])),
  css: () => rules,
};
