import { faceClasses, faceOfPart, faceRules } from './face.ts';
import { classAttribute, variantClasses } from './attributes.ts';
import { variantRules } from './buttonRules.ts';
import { element, linkTo, textOf } from './html.ts';
import { linked, type PartHandler } from './partHandler.ts';
import { looks, rule, type Rule } from '../style/rule.ts';

const rules: readonly Rule[] = [
  rule('.zv .zv-action-link', 'display:inline-flex;align-items:center'),
  rule('.zv .zv-action-link', 'border:1px solid ButtonText', { medium: 'forcedColors', isLate: true }),
  looks('button', 'bandButton'),
];

export const button: PartHandler<'button'> = {
  resolve: linked,
  html(part, within, classes) {
    const [inner, shown] =
      part.glyph === undefined ? [textOf(part), ''] : [faceOfPart(part, ''), faceClasses(part)];
    return element(
      part,
      within,
      ` zv-action${shown}${classes}`,
      linkTo(part, inner, classAttribute(`zv-action-link${variantClasses(part.variant)}`)),
    );
  },
  css: (parts) => [
    ...rules,
    ...(parts.some(({ glyph }) => glyph !== undefined) ? faceRules : []),
    ...variantRules(parts.map(({ variant }) => variant)),
  ],
};
