import * as Type from 'typebox';
import type { Static } from 'typebox';
import { definePart, field } from './definePart.ts';
import { picture, text } from './fields.ts';
import { inFrame } from './frameFields.ts';
import { PictureShape } from '../picture.ts';

/** The least width of a logo, in px. */
export const LEAST_LOGO = 16;
/** The greatest width of a logo, in px. */
export const MOST_LOGO = 600;

const LogoFaceShape = Type.Enum(['picture', 'text', 'both'] as const);
const LogoWidthShape = Type.Integer({ minimum: LEAST_LOGO, maximum: MOST_LOGO });

/** What of it is shown; not there: the picture where there is one, else the text. */
const logoFace = field<Static<typeof LogoFaceShape>>(LogoFaceShape, {
  control: {
    kind: 'choice',
    label: 'Shows',
    usual: 'picture, else text',
    choices: [
      { value: 'picture', label: 'picture' },
      { value: 'text', label: 'text' },
      { value: 'both', label: 'both' },
    ],
  },
});
const logoWidth = field<Static<typeof LogoWidthShape>>(LogoWidthShape, {
  control: {
    kind: 'number',
    label: 'Width (px)',
    unit: 'px',
    least: LEAST_LOGO,
    most: MOST_LOGO,
    placeholder: 'auto',
  },
});
/** Another picture for where the header is marked so; see docs/delivery.md. */
const otherPicture = (label: string) =>
  field<Static<typeof PictureShape>>(PictureShape, {
    control: { kind: 'picture', label },
    refs: { role: 'source', find: ({ file }, visit, path) => visit('file', file, [...path, 'file']) },
  });

/** The logo, which links to the start page. What is not said of it, the site's facts say. */
export const logo = definePart({
  kind: 'logo',
  name: 'logo',
  about: 'links to the start page',
  standsIn: ['zone', 'cell'],
  root: 'frame',
  always: {},
  maybe: {
    text: text('Text'),
    picture: picture(),
    narrowPicture: otherPicture('Picture on narrow screens'),
    darkPicture: otherPicture('Picture on a dark ground'),
    overPicture: otherPicture('Picture over content'),
    scrolledPicture: otherPicture('Picture once scrolled'),
    logoFace,
    logoWidth,
    ...inFrame,
  },
  begin: () => [{ kind: 'logo' }],
});
