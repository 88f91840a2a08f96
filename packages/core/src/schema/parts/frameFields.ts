import * as Type from 'typebox';
import type { Static } from 'typebox';
import { deviceClasses } from '../deviceClass.ts';
import { IconShape } from '../settings.ts';
import { closed, someOf } from '../shapes.ts';
import { field } from './definePart.ts';
import { hiddenOn } from './fields.ts';

/** Fields that several kinds of part of a frame have. */

const YesShape = Type.Literal(true);
const FaceShape = Type.Enum(['icon', 'text', 'both'] as const);
const FacesShape = Type.Object(
  someOf(Object.fromEntries(deviceClasses.map((device) => [device, FaceShape]))).properties,
  { ...closed, minProperties: 1 },
);
/** What a part shows on each device class; what is not there is as its kind usually is. */
export type Faces = { readonly [D in (typeof deviceClasses)[number]]?: Static<typeof FaceShape> };
const GlyphShape = Type.Object({ name: IconShape.properties.name, path: IconShape.properties.path }, closed);

/** What a bar does where its entries do not fit into one row; where nothing is said, they wrap. */
export const policies = ['scroll', 'shrink', 'fold'] as const;
/** See `policies`. */
export type Policy = (typeof policies)[number];
const PolicyShape = Type.Enum(policies);
const FitsShape = Type.Object(
  someOf(Object.fromEntries(deviceClasses.map((device) => [device, PolicyShape]))).properties,
  { ...closed, minProperties: 1 },
);
/** What a bar does on each device class where it does not fit. */
export type Fits = { readonly [D in (typeof deviceClasses)[number]]?: Policy };
/** What it does where it does not fit, by device class. */
export const fits = field<Fits>(FitsShape, {
  control: { kind: 'fits', label: 'When it does not fit', inAreas: ['header'], unless: 'entries' },
});

/** It is shown only on pages for which an exception says so. */
export const isHidden = field<Static<typeof YesShape>>(YesShape, {
  control: { kind: 'none', label: 'Shown on' },
});
/** Icon, text or both, by device class. */
export const faces = field<Faces>(FacesShape, { control: { kind: 'faces', label: 'Shows' } });
/** Its icon, as a path in a square of 24 by 24; not there: the one of its kind. */
export const glyph = field<Static<typeof GlyphShape>>(GlyphShape, {
  control: { kind: 'icon', label: 'Icon' },
});
export const isIconAbove = field<Static<typeof YesShape>>(YesShape, {
  control: { kind: 'flag', label: 'Icon', off: 'beside the text', on: 'above the text', value: true },
});

/** It is hidden in the header, or at the side, where the drawer takes over; what it shows is in the drawer then. */
const yields = field<Static<typeof YesShape>>(YesShape, {
  control: {
    kind: 'flag',
    label: 'Where the drawer takes over',
    off: 'stays',
    on: 'hidden',
    value: true,
    inAreas: ['header', 'vertical', 'side'],
  },
});

/** What may be said of everything that stands in a frame. */
export const inFrame = { isHidden, hiddenOn, yields };
/** The same of what has an icon and a text. */
export const faced = { faces, glyph, isIconAbove, ...inFrame };
