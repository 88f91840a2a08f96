import * as Type from 'typebox';
import type { Static } from 'typebox';
import { definePart, field } from './definePart.ts';
import { inFrame } from './frameFields.ts';

const YesShape = Type.Literal(true);
const isFilled = field<Static<typeof YesShape>>(YesShape, {
  control: { kind: 'flag', label: 'Marks', off: 'outlined', on: 'filled', value: true },
});

/** The site's social links, each as its mark. */
export const social = definePart({
  kind: 'social',
  name: 'social links',
  oneOf: 'the social links',
  about: 'from the site facts',
  standsIn: ['zone', 'cell'],
  root: 'frame',
  always: {},
  maybe: { isFilled, ...inFrame },
  begin: () => [{ kind: 'social' }],
});
