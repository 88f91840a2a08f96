import { opening } from './html.ts';
import type { PartHandler } from './partHandler.ts';
import { rule, type Rule } from '../style/rule.ts';
import { compileStyles } from '../style/compileStyles.ts';

const rules: readonly Rule[] = [rule('.zv .zv-divider', 'inline-size:100%'), ...compileStyles(['divider'])];

export const divider: PartHandler<'divider'> = {
  html: (part, within, classes) => [`<${opening('hr', part, within, ` zv-divider${classes}`)}>`],
  css: () => rules,
};
