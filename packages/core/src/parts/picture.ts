import type { ResolvedPart } from '../resolve/resolved.ts';
import { element, imageOf, linkTo, ratioClass, roundedClass } from './html.ts';
import { shownIf, type PartHandler } from './partHandler.ts';
import { pictureRules } from './pictureRules.ts';

export const picture: PartHandler<'picture'> = {
  resolve: (part, { base }) => shownIf(part.picture !== undefined, base),
  html(part, within, classes) {
    const { isOrnament, alt = '', isBled, cropping } = part;
    const looks = `${roundedClass(part)}${isBled === true ? ' zv-full-bleed' : ''}${cropping === undefined ? '' : ' zv-contained'}${ratioClass(part)}`;
    const image =
      part.picture === undefined ? '' : imageOf(part.picture, isOrnament === true ? '' : alt, within);
    return element(part, within, ` zv-picture${looks}${classes}`, pictureLink(part, image));
  },
  css: () => pictureRules,
};

/**
 * A picture that says nothing is no link for those who do not see it: what it leads to stands beside it in
 * words.
 */
function pictureLink(part: ResolvedPart, image: string): string {
  const isSaid = part.isOrnament !== true && part.alt !== undefined;
  return isSaid || image === ''
    ? linkTo(part, image)
    : linkTo(part, image, part.href === undefined ? '' : ' tabindex="-1" aria-hidden="true"');
}
