import { escapeHtml } from '../base/escape.ts';
import type { ResolvedPart } from '../resolve/resolved.ts';
import { pictureName, widthsOf, type Picture } from '../schema/picture.ts';
import { looks, rule, type Rule } from '../style/rule.ts';
import { element } from './html.ts';
import { shown, type PartHandler, type WritesIn } from './partHandler.ts';

const rules: readonly Rule[] = [
  rule('.zv-logo', 'flex:none'),
  rule('.zv-logo a', 'display:inline-flex;align-items:center'),
  rule('.zv-logo picture', 'display:contents'),
  rule('.zv-logo img', 'display:block;inline-size:auto;max-inline-size:100%'),
  looks('logo', 'logoPicture'),
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
    const alt = words === '' ? text : '';
    const image = picture === undefined ? '' : imageIn(part, picture, alt, within);
    const others = situations.flatMap((one) => {
      const other = picture === undefined ? undefined : part[pictureFor[one]];
      return other === undefined ? [] : [{ one, other }];
    });
    const images = others.map(({ one, other }) =>
      plainImage(other, alt, part, within, ` class="zv-logo-${one}" loading="lazy"`),
    );
    const has = others.map(({ one }) => ` zv-has-${one}`).join('');
    return element(
      part,
      within,
      ` zv-logo${width}${has}${classes}`,
      `<a href="/">${image}${images.join('')}${words}</a>`,
    );
  },
  css(parts) {
    const others = situations.filter((one) => parts.some((part) => part[pictureFor[one]] !== undefined));
    const widths = [...new Set(parts.flatMap(({ logoWidth }) => logoWidth ?? []))].sort((a, b) => a - b);
    return [
      ...rules,
      // Only the picture for the situation that the header is in is seen; of several, the later one wins.
      ...others.flatMap((one, at) => [
        rule(`.zv-logo-${one}`, 'display:none', { weight: 1 }),
        rule(`.zv-${one} .zv-has-${one} img`, 'display:none', {
          weight: 2 + 2 * at,
        }),
        rule(`.zv-${one} .zv-has-${one} .zv-logo-${one}`, 'display:block', { weight: 3 + 2 * at }),
      ]),
      ...widths.map((width) =>
        rule(`.zv-logo-width-${width} img`, `inline-size:${width}px;block-size:auto`, {
          weight: 1,
          isLate: true,
        }),
      ),
    ];
  },
};

/** Situations of a header in which a logo can have another picture, and the field that has it. */
const situations = ['on-dark', 'over-content', 'scrolled'] as const;
const pictureFor = {
  'on-dark': 'darkPicture',
  'over-content': 'overPicture',
  scrolled: 'scrolledPicture',
} as const;

/** It is seen at once, so it is fetched at once, and its size is said so that nothing moves. */
function imageIn(part: ResolvedPart, picture: Picture, alt: string, within: WritesIn): string {
  const { narrowPicture } = part;
  const image = plainImage(picture, alt, part, within, ' decoding="async"');
  return narrowPicture === undefined
    ? image
    : `<picture><source media="${escapeHtml(within.narrow)}" srcset="${sourceOf(narrowPicture, part, within)}" width="${narrowPicture.width}" height="${narrowPicture.height}">${image}</picture>`;
}

function plainImage(
  picture: Picture,
  alt: string,
  part: ResolvedPart,
  within: WritesIn,
  attributes: string,
): string {
  return `<img src="${sourceOf(picture, part, within)}" width="${picture.width}" height="${picture.height}" alt="${escapeHtml(alt)}"${attributes}>`;
}

function sourceOf(picture: Picture, { logoWidth }: ResolvedPart, { pictures }: WritesIn): string {
  return escapeHtml(pictures + pictureName(picture, nearest(picture, logoWidth)));
}

/** The least of its widths that is sharp on a screen with two dots a px. */
function nearest(picture: Picture, width = 300): number {
  const widths = widthsOf(picture);
  return widths.find((one) => one >= 2 * width) ?? widths.at(-1) ?? picture.width;
}
