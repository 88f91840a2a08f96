import { faceClasses, faceOfPart, faceRules } from './face.ts';
import { glyphs } from './glyphs.ts';
import { element, linkTo } from './html.ts';
import { linked, type PartHandler } from './partHandler.ts';

export const account: PartHandler<'account'> = {
  resolve: linked,
  html: (part, within, classes) =>
    element(
      part,
      within,
      ` zv-account${faceClasses(part)}${classes}`,
      linkTo(part, faceOfPart(part, glyphs.account), ' class="zv-face"'),
    ),
  css: () => faceRules,
};
