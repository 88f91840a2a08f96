import * as Type from 'typebox';
import type { Static } from 'typebox';
import { closed } from './shapes.ts';

/**
 * A picture that was uploaded: its content's hash (SHA-256, in hex, its first 32 digits), and its size in px.
 * The bytes are kept beside the document.
 */
export const PictureShape = Type.Object(
  {
    file: Type.String({ pattern: '^[0-9a-f]{32}$' }),
    width: Type.Integer({ minimum: 1, maximum: 20_000 }),
    height: Type.Integer({ minimum: 1, maximum: 20_000 }),
    /** It is drawn and not made of dots, and so kept in one size. */
    isDrawn: Type.Optional(Type.Literal(true)),
  },
  closed,
);
/** A stored picture: its content hash and its own size in px. */
export type Picture = Static<typeof PictureShape>;

/** Widths, in px, in which a picture made of dots is kept besides its own, where it is wider. */
export const pictureWidths = [320, 640, 960, 1440] as const;

/** The widths that there are of a picture, from the least. */
export function widthsOf({ width, isDrawn }: Picture): number[] {
  const own = Math.min(width, LARGEST_PICTURE);
  return isDrawn === true ? [own] : [...pictureWidths.filter((one) => one < own), own];
}

/** Wider ones are kept at this width, in px. */
export const LARGEST_PICTURE = 2400;

/** The name of the file that has a picture in a width. */
export function pictureName({ file, isDrawn }: Pick<Picture, 'file' | 'isDrawn'>, width: number): string {
  return isDrawn === true ? `${file}.svg` : `${file}-${width}.webp`;
}
