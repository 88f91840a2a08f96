import type { Static } from 'typebox';
import { IdShape } from '../shapes.ts';
import { definePart, field } from './definePart.ts';
import { folding } from './folding.ts';

/**
 * The part that is shown here, too. It may be gone: then nothing is shown, until the part comes back. Only parts
 * that stand in a zone or a cell can be used, so nothing can be inside itself.
 */
const of = field<Static<typeof IdShape>>(IdShape, {
  control: { kind: 'none', label: 'Part' },
  refs: { role: 'memory', find: (value, visit, path) => visit('part', value, path) },
});

/**
 * A part of the frame once more, in the drawer or in the arrangement of a device class: one set of facts, shown in
 * two places. Of a menu, what its entries do when they are opened is said for each place.
 */
export const use = definePart({
  kind: 'use',
  name: 'part again',
  standsIn: ['zone', 'cell'],
  root: 'frame',
  always: { of },
  maybe: { ...folding },
});
