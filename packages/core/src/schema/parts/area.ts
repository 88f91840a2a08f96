import * as Type from 'typebox';
import type { Static } from 'typebox';
import { definePart, field } from './definePart.ts';

/**
 * The areas of a page that a frame has, in the order in which they are read. Menus in the drawer are delivered one
 * by one until drawers are composed.
 */
export const areas = ['header', 'side', 'footer', 'drawer'] as const;
/** See `areas`. */
export type AreaName = (typeof areas)[number];
const AreaNameShape = Type.Enum(areas);

const area = field<Static<typeof AreaNameShape>>(AreaNameShape, { control: { kind: 'none', label: 'Area' } });

/** The header, the side or the footer of every page. A site has each once: its id follows from its name. */
export const areaPart = definePart({
  kind: 'area',
  name: 'area',
  oneOf: 'an area',
  standsIn: ['frame'],
  root: 'frame',
  always: { area },
  maybe: {},
});
