import * as Type from 'typebox';
import type { Static } from 'typebox';
import { definePart, field } from './definePart.ts';
import { isHidden } from './frameFields.ts';

/**
 * What an area can do while the page scrolls: stay in sight, come back when the page scrolls up, be lower once it has
 * been scrolled, or lie over the content.
 */
export const behaviours = ['sticky', 'returns', 'lower', 'overlaid'] as const;
/** See `behaviours`. */
export type Behaviour = (typeof behaviours)[number];
const DoesShape = Type.Enum(behaviours);

const does = field<Static<typeof DoesShape>>(DoesShape, { control: { kind: 'none', label: 'Does' } });

/**
 * That an area does something: on all pages where it is shown, or by exceptions on some. An area has each at most
 * once: its id follows from that of the area.
 */
export const behaviour = definePart({
  kind: 'behaviour',
  name: 'scrolling behaviour',
  oneOf: 'the scrolling behaviour',
  standsIn: ['area'],
  root: 'frame',
  always: { does },
  maybe: { isHidden },
});
