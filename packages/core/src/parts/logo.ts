import { escapeHtml } from '../base/escape.ts';
import type { ResolvedPart } from '../resolve/resolved.ts';
import { pictureName, widthsOf, type Picture } from '../schema/picture.ts';
import { rule, type Rule } from '../style/rule.ts';
import { compileStyles } from '../style/compileStyles.ts';
import { element } from './html.ts';
import { shown, type PartHandler, type WritesIn } from './partHandler.ts';

const rules: readonly Rule[] = [
  rule('.zv-logo', 'flex:none'),
  rule('.zv-logo a', 'display:inline-flex;align-items:center'),
  rule('.zv-logo picture', 'display:contents'),
  rule('.zv-logo img', 'display:block;inline-size:auto;max-inline-size:100%'),
  ...compileStyles(['logo', 'logoPicture']),
];

export const logo: PartHandler<'logo'> = {
  resolve(part, { base, document: { site } }) {
    const picture = part.picture ?? site.logo;
    const usual = picture === undefined ? 'text' : 'picture';
    const logoFace = picture === undefined ? 'text' : (part.logoFace ?? usual);
    const { picture: _, ...rest } = base;
    return shown({
      ...rest,
      text: part.text ?? site.name,
      logoFace,
      ...(picture === undefined || logoFace === 'text' ? {} : { picture }),
    });
  },
  html(part, within, classes) {
    const { text = '', picture, logoFace = 'text', logoWidth } = part;
    const width = logoWidth === undefined ? '' : ` zv-logo-width-${logoWidth}`;
    const words = logoFace === 'picture' ? '' : `<span>${escapeHtml(text)}</span>`;
    const image = picture === undefined ? '' : imageIn(part, picture, words === '' ? text : '', within);
    return element(part, within, ` zv-logo${width}${classes}`, `<a href="/">${image}${words}</a>`);
  },
  css(parts) {
    const widths = [...new Set(parts.flatMap(({ logoWidth }) => logoWidth ?? []))].sort((a, b) => a - b);
    return [
      ...rules,
      ...widths.map((width) =>
        rule(`.zv-logo-width-${width} img`, `inline-size:${width}px;block-size:auto`, { weight: 1 }),
      ),
    ];
  },
};

/** It is seen at once, so it is fetched at once, and its size is said so that nothing moves. */
function imageIn(
  { narrowPicture, logoWidth }: ResolvedPart,
  picture: Picture,
  alt: string,
  { pictures, narrow }: WritesIn,
): string {
  const source = (one: Picture): string => escapeHtml(pictures + pictureName(one, nearest(one, logoWidth)));
  const image = `<img src="${source(picture)}" width="${picture.width}" height="${picture.height}" alt="${escapeHtml(alt)}" decoding="async">`;
  return narrowPicture === undefined
    ? image
    : `<picture><source media="${escapeHtml(narrow)}" srcset="${source(narrowPicture)}" width="${narrowPicture.width}" height="${narrowPicture.height}">${image}</picture>`;
}

/** The least of its widths that is sharp on a screen with two dots a px. */
function nearest(picture: Picture, width = 300): number {
  const widths = widthsOf(picture);
  return widths.find((one) => one >= 2 * width) ?? widths.at(-1) ?? picture.width;
}
