import * as Type from 'typebox';
import type { Static } from 'typebox';
import { definePart, field } from './definePart.ts';

/** The zones of a band, in the order in which they are read. */
export const zoneNames = ['start', 'centre', 'end'] as const;
/** See `zoneNames`. */
export type ZoneName = (typeof zoneNames)[number];
const ZoneNameShape = Type.Enum(zoneNames);

const at = field<Static<typeof ZoneNameShape>>(ZoneNameShape, { control: { kind: 'none', label: 'Zone' } });

/** The start, the centre or the end of a band, which has each at most once. */
export const zone = definePart({
  kind: 'zone',
  name: 'zone',
  standsIn: ['band'],
  root: 'frame',
  always: { at },
  maybe: {},
});
