import * as Type from 'typebox';
import type { Static } from 'typebox';
import { definePart, field, IN_ZONES } from './definePart.ts';
import { inFrame } from './frameFields.ts';

const LEAST = 4;
const MOST = 400;
const SpaceShape = Type.Integer({ minimum: LEAST, maximum: MOST });

/** How much is left free, in px. */
const space = field<Static<typeof SpaceShape>>(SpaceShape, {
  control: { kind: 'number', label: 'Height (px)', unit: 'px', least: LEAST, most: MOST, placeholder: '' },
});

/** Room between parts. */
export const spacer = definePart({
  kind: 'spacer',
  name: 'spacer',
  about: 'room between parts',
  standsIn: IN_ZONES,
  always: { space },
  maybe: { ...inFrame },
  begin: () => [{ kind: 'spacer', space: 24 }],
});
