import * as Type from 'typebox';
import type { Static } from 'typebox';
import { definePart, field } from './definePart.ts';
import { hiddenOn } from './fields.ts';

/** Columns of the grid that a row is parted into. */
export const GRID_COLUMNS = 12;

const SpanShape = Type.Integer({ minimum: 1, maximum: GRID_COLUMNS });
const DirectionShape = Type.Literal('across');

/** How many of the grid's columns it takes. */
const span = field<Static<typeof SpanShape>>(SpanShape, {
  control: { kind: 'span', label: `Width (of ${GRID_COLUMNS} columns, Alt ← →)` },
});
/** Its parts stand side by side; not there: one below the other. */
const direction = field<Static<typeof DirectionShape>>(DirectionShape, {
  control: { kind: 'flag', label: 'Direction', off: 'top to bottom', on: 'side by side', value: 'across' },
});

/** A part of a row, or of a band that is a grid; it holds all other kinds. */
export const cell = definePart({
  kind: 'cell',
  name: 'cell',
  standsIn: ['row', 'band'],
  always: { span },
  maybe: { direction, hiddenOn },
});
