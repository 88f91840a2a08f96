import { looks, rule, type Rule } from '../style/rule.ts';
import { opening } from './html.ts';
import { shown, slot, type PartHandler } from './partHandler.ts';

const rules: readonly Rule[] = [
  rule('.zv-breadcrumb ol', 'list-style:none;margin:0;padding:0;display:flex;flex-wrap:wrap'),
  rule('.zv-breadcrumb li', 'display:flex;align-items:center'),
  rule('.zv-breadcrumb li+li::before', 'content:"";flex:none;rotate:-45deg'),
  rule('[dir=rtl] .zv-breadcrumb li+li::before', 'rotate:135deg'),
  looks('breadcrumb', 'breadcrumbEntry', 'breadcrumbSign'),
];

/** The way to the page is put in where the page is known; without one, there is none. */
export const breadcrumb: PartHandler<'breadcrumb'> = {
  resolve: (_, { base }) => shown(base),
  html: (part, within, classes) => [
    `<${opening('div', part, within, ` zv-breadcrumb${classes}`)}>${slot('breadcrumb', within.words.breadcrumb, part.text ?? within.words.start)}</div>`,
  ],
  css: () => rules,
};
