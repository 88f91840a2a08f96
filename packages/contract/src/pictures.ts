import Type from 'typebox';
import { PictureShape } from '@zorvik/core';
import { API, type Route } from './route.ts';

/** Where the editor finds the pictures that were uploaded to a site, by the names of their files. */
export const PICTURES = `${API}/sites/:siteKey/pictures/`;

/** The largest picture that is taken, in bytes. */
export const LARGEST_PICTURE_FILE = 5 * 1_048_576;

export const pictureRoutes = {
  addPicture: {
    method: 'POST',
    path: `${API}/sites/:siteKey/pictures`,
    summary: 'Keeps a picture (PNG, JPEG, WebP, AVIF, GIF or SVG, told by its content) with a site, in several widths; the same one again is kept once.',
    body: 'application/octet-stream',
    status: 201,
    reply: PictureShape,
  },
  readPicture: {
    method: 'GET',
    path: `${API}/sites/:siteKey/pictures/:name`,
    summary: 'A file of a picture, by its name.',
    status: 200,
    reply: Type.String(),
    replyType: 'image/webp',
  },
} as const satisfies Record<string, Route>;
