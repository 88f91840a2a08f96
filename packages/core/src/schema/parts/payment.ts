import { definePart } from './definePart.ts';
import { inFrame } from './frameFields.ts';

/** The marks of the ways to pay, from the site's facts. */
export const payment = definePart({
  kind: 'payment',
  name: 'payment marks',
  oneOf: 'the payment marks',
  about: 'from the site facts',
  standsIn: ['zone', 'cell'],
  root: 'frame',
  always: {},
  maybe: { ...inFrame },
  begin: () => [{ kind: 'payment' }],
});
