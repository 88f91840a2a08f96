import { element } from './html.ts';
import { shown, type PartHandler } from './partHandler.ts';
import { proseOf, resolveBody } from './prose.ts';
import { looks, rule, type Rule } from '../style/rule.ts';

const rules: readonly Rule[] = [
  rule('.zv-prose p', 'margin:0'),
  rule('.zv .zv-prose :is(ul,ol)', 'display:block;list-style:disc'),
  rule('.zv .zv-prose ol', 'list-style:decimal'),
  rule('.zv .zv-prose li', 'display:list-item'),
  looks('text', 'textBlock', 'textList', 'textLink'),
];

export const text: PartHandler<'text'> = {
  resolve: ({ body }, { base, document }) => shown({ ...base, body: resolveBody(document, body) }),
  html: (part, within, classes) => element(part, within, ` zv-prose${classes}`, proseOf(part.body ?? [])),
  css: () => rules,
};
