import * as Type from 'typebox';
import type { Static } from 'typebox';
import { closed } from './shapes.ts';

const perMille = (least: number, most: number) => Type.Integer({ minimum: least, maximum: most });

/**
 * A font file (WOFF2) that was uploaded, as `makeFont` read it: the hash that names the file (as of a picture), what
 * it is for, and its metrics in thousandths of an em, by which what stands in for it gets its size.
 */
export const FontFileShape = Type.Object(
  {
    file: Type.String({ pattern: '^[0-9a-f]{32}$' }),
    /** The name that it has inside. */
    family: Type.String({ minLength: 1, maxLength: 100 }),
    /** A weight, or the least and the most of a variable font. */
    weight: Type.String({ pattern: '^\\d{1,4}(?: \\d{1,4})?$' }),
    isItalic: Type.Optional(Type.Literal(true)),
    /** The characters that it is for (CSS `unicode-range`); not there: all. */
    range: Type.Optional(
      Type.String({
        pattern: '^U\\+[0-9A-F]{1,6}(?:-[0-9A-F]{1,6})?(?:,U\\+[0-9A-F]{1,6}(?:-[0-9A-F]{1,6})?){0,60}$',
      }),
    ),
    bytes: Type.Integer({ minimum: 1, maximum: 5_242_880 }),
    ascent: perMille(0, 4000),
    descent: perMille(0, 4000),
    gap: perMille(0, 4000),
    /** Of a character of running text, on average. */
    width: perMille(50, 4000),
  },
  closed,
);
/** See `FontFileShape`. */
export type FontFile = Static<typeof FontFileShape>;

/** The file of a font as it is served. */
export function fontFileName({ file }: Pick<FontFile, 'file'>): string {
  return `${file}.woff2`;
}

/** The most files that one font can have: weights, italics, parts of the alphabet. */
export const MOST_FONT_FILES = 24;
/** Letters, as they are on menus: by them the average width of a character is measured. */
export const FONT_SAMPLE =
  'the quick brown fox jumps over the lazy dog Visit Opening times The garden Seed house Plant finder Learn Members Contact';
