import * as Type from 'typebox';
import type { Static } from 'typebox';
import { definePart, field } from './definePart.ts';
import { picture, text } from './fields.ts';
import { faces, isIconAbove, inFrame } from './frameFields.ts';

/** The icons of a menu button that ship. */
export const menuSigns = ['bars', 'two-bars', 'aligned', 'grid', 'dots', 'compass'] as const;
/** See `menuSigns`. */
export type MenuSign = (typeof menuSigns)[number];
const SignShape = Type.Enum(menuSigns);

/** Its icon; not there: the first. A picture of the site's own wins over it. */
const sign = field<Static<typeof SignShape>>(SignShape, { control: { kind: 'sign', label: 'Icon' } });

/** Opens the drawer, where it takes over. */
export const menuButton = definePart({
  kind: 'menuButton',
  name: 'menu button',
  about: 'opens the drawer',
  standsIn: ['zone', 'cell'],
  root: 'frame',
  always: {},
  maybe: { sign, picture: picture('Own icon'), text: text('Word'), faces, isIconAbove, ...inFrame },
  begin: () => [{ kind: 'menuButton', faces: { wide: 'icon', medium: 'icon', narrow: 'icon' } }],
});
