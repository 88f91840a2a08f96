import { definePart } from './definePart.ts';
import { destination, text } from './fields.ts';
import { faced } from './frameFields.ts';

/** A link to the basket, with the count that the site sets. */
export const basket = definePart({
  kind: 'basket',
  name: 'basket link',
  about: 'with the count that your shop sets',
  standsIn: ['zone', 'cell'],
  root: 'frame',
  always: { text: text('Text'), destination: destination() },
  maybe: { ...faced },
  begin: () => [{ kind: 'basket', text: 'Basket', destination: { kind: 'address', address: '/basket' } }],
});
