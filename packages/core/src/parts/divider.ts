import { opening } from './html.ts';
import type { PartHandler } from './partHandler.ts';
import { rule, type Rule } from '../style/rule.ts';

const rules: readonly Rule[] = [
  rule(
    '.zv .zv-divider',
    'inline-size:100%;margin:.25rem 0;border:0;border-block-start:1px solid var(--_edge)',
  ),
];

export const divider: PartHandler<'divider'> = {
  html: (part, within, classes) => [`<${opening('hr', part, within, ` zv-divider${classes}`)}>`],
  css: () => rules,
};
