import * as Type from 'typebox';
import { FontFileShape, PictureShape } from '@zorvik/core';
import { API, type Route } from './route.ts';

/** Where the editor finds the pictures that were uploaded to a site, by the names of their files. */
export const PICTURES = `${API}/sites/:siteKey/pictures/`;

/** The largest picture that is taken, in bytes. */
export const LARGEST_PICTURE_FILE = 5 * 1_048_576;

export const pictureRoutes = {
  addPicture: {
    method: 'POST',
    path: `${API}/sites/:siteKey/pictures`,
    summary:
      'Stores a picture (PNG, JPEG, WebP, AVIF, GIF or SVG, recognised by its content) for a site, in several widths; the same picture is stored once. `tones`: the colours that text over it can have behind it.',
    body: 'application/octet-stream',
    status: 201,
    reply: Type.Object(
      { picture: PictureShape, tones: Type.Array(Type.String(), { minItems: 1, maxItems: 16 }) },
      { additionalProperties: false },
    ),
  },
  addFont: {
    method: 'POST',
    path: `${API}/sites/:siteKey/fonts`,
    summary:
      'Stores a font file (WOFF2) for a site; the same file is stored once. It is read like a picture.',
    body: 'application/octet-stream',
    status: 201,
    reply: Type.Object(
      {
        font: FontFileShape,
        looksLike: Type.Union([Type.Literal('sans'), Type.Literal('serif'), Type.Literal('mono')]),
      },
      { additionalProperties: false },
    ),
  },
  readPicture: {
    method: 'GET',
    path: `${API}/sites/:siteKey/pictures/:name`,
    summary: 'A file of a picture or a font, by its name.',
    status: 200,
    reply: Type.String(),
    replyType: 'image/webp',
  },
} as const satisfies Record<string, Route>;
