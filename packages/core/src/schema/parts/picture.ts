import * as Type from 'typebox';
import type { Static } from 'typebox';
import { definePart, IN_ZONES, field } from './definePart.ts';
import { alt, destination, isOrnament, isRounded, opensNewTab, picture, ratio } from './fields.ts';
import { inFrame } from './frameFields.ts';

const WholeShape = Type.Literal('whole');
const YesShape = Type.Literal(true);

/** The picture is seen whole within its ratio; not there: it fills it. */
const cropping = field<Static<typeof WholeShape>>(WholeShape, {
  control: { kind: 'flag', label: 'Fit', off: 'cover', on: 'contain', value: 'whole', needs: 'ratio' },
});
/** The picture reaches the edges of the panel that its cell stands at. */
const isBled = field<Static<typeof YesShape>>(YesShape, {
  control: { kind: 'flag', label: 'Extends to', off: 'its cell', on: 'the panel’s edge', value: true },
});

/** An uploaded picture. */
export const picturePart = definePart({
  kind: 'picture',
  name: 'picture',
  about: 'uploaded; may extend to the edge',
  standsIn: IN_ZONES,
  always: {},
  maybe: {
    picture: picture(),
    alt,
    isOrnament,
    destination: destination(),
    opensNewTab,
    ratio,
    cropping,
    isRounded,
    isBled,
    ...inFrame,
  },
  begin: () => [{ kind: 'picture' }],
});
