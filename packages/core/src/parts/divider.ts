import { opening } from './html.ts';
import type { PartHandler } from './partHandler.ts';
import { looks, rule, type Rule } from '../style/rule.ts';

const rules: readonly Rule[] = [rule('.zv .zv-divider', 'inline-size:100%'), looks('divider')];

export const divider: PartHandler<'divider'> = {
  html: (part, within, classes) => [`<${opening('hr', part, within, ` zv-divider${classes}`)}>`],
  css: () => rules,
};
