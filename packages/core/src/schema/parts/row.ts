import * as Type from 'typebox';
import type { Static } from 'typebox';
import { definePart, field } from './definePart.ts';
import { hiddenOn, only } from './fields.ts';

/** The smallest minimum height of a row, in px. */
export const LEAST_ROW = 40;
/** The greatest minimum height of a row, in px. */
export const HIGHEST_ROW = 800;

const HeightShape = Type.Integer({ minimum: LEAST_ROW, maximum: HIGHEST_ROW });

/** At least so high, in px. */
const height = field<Static<typeof HeightShape>>(HeightShape, {
  control: {
    kind: 'number',
    label: 'Min. height (px)',
    placeholder: 'auto',
    unit: 'px',
    least: LEAST_ROW,
    most: HIGHEST_ROW,
  },
});
/** A row of a panel: a grid of twelve columns. */
export const row = definePart({
  kind: 'row',
  name: 'row',
  standsIn: ['panel'],
  root: 'panel',
  always: {},
  maybe: { height, only, hiddenOn },
});
