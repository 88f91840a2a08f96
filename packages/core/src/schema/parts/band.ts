import * as Type from 'typebox';
import type { Static } from 'typebox';
import { definePart, field } from './definePart.ts';
import { only } from './fields.ts';
import { inFrame } from './frameFields.ts';

/** The least height of a band that can be set, in px. */
export const LEAST_BAND = 24;
/** The greatest height of a band that can be set, in px. */
export const HIGHEST_BAND = 400;
/** The least width of the content of a band, in px. */
export const LEAST_CONTENT = 320;
/** The greatest width of the content of a band, in px. */
export const MOST_CONTENT = 2400;

const YesShape = Type.Literal(true);
const BandHeightShape = Type.Integer({ minimum: LEAST_BAND, maximum: HIGHEST_BAND });
const ContentShape = Type.Integer({ minimum: LEAST_CONTENT, maximum: MOST_CONTENT });

/** What is in it reaches as far as the page, apart from the margins. */
const isFull = field<Static<typeof YesShape>>(YesShape, {
  control: { kind: 'flag', label: 'Content', off: 'content width', on: 'page width', value: true },
});
/** Its content is so wide, in px; not there: as wide as the site says. */
const contentWidth = field<Static<typeof ContentShape>>(ContentShape, {
  control: {
    kind: 'number',
    label: 'Content width (px)',
    unit: 'px',
    least: LEAST_CONTENT,
    most: MOST_CONTENT,
    placeholder: 'as the site',
    unless: 'isFull',
  },
});
/** At least so high, in px. */
const bandHeight = field<Static<typeof BandHeightShape>>(BandHeightShape, {
  control: {
    kind: 'number',
    label: 'Min. height (px)',
    unit: 'px',
    least: LEAST_BAND,
    most: HIGHEST_BAND,
    placeholder: 'auto',
  },
});

/** A row of an area: its start, centre and end, or, where it has cells, a grid. */
export const band = definePart({
  kind: 'band',
  name: 'band',
  standsIn: ['area'],
  root: 'frame',
  always: {},
  maybe: { isFull, contentWidth, bandHeight, only, ...inFrame },
});
