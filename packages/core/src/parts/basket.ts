import { looks, rule, type Rule } from '../style/rule.ts';
import { faceClasses, faceOfPart, faceRules } from './face.ts';
import { glyphs } from './glyphs.ts';
import { element, linkTo } from './html.ts';
import { linked, type PartHandler } from './partHandler.ts';

const rules: readonly Rule[] = [
  ...faceRules,
  rule('.zv-count:empty', 'display:none', { weight: 1 }),
  looks('count'),
];

/** The script fills in the count that the site sets (docs/delivery.md). */
export const basket: PartHandler<'basket'> = {
  resolve: linked,
  html: (part, within, classes) =>
    element(
      part,
      within,
      ` zv-basket${faceClasses(part)}${classes}`,
      linkTo(part, `${faceOfPart(part, glyphs.basket)}<b class="zv-count"></b>`, ' class="zv-face"'),
    ),
  css: () => rules,
};
