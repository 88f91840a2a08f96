import { looks, rule, type Rule } from '../style/rule.ts';
import { opening } from './html.ts';
import { shown, slot, type PartHandler } from './partHandler.ts';

const rules: readonly Rule[] = [
  rule('.zv-anchors ul', 'list-style:none;margin:0;padding:0'),
  looks('anchors', 'anchorsTitle', 'anchorsEntry'),
];

/** The anchors are put in where the page is known. */
export const anchors: PartHandler<'anchors'> = {
  resolve: (_, { base }) => shown(base),
  html: (part, within, classes) => [
    `<${opening('div', part, within, ` zv-anchors${classes}`)}>${slot('anchors', part.text ?? within.words['on-this-page'])}</div>`,
  ],
  css: () => rules,
};
