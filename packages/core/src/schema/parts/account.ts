import { definePart } from './definePart.ts';
import { destination, text } from './fields.ts';
import { faced } from './frameFields.ts';

/** A link to the visitor's account. */
export const account = definePart({
  kind: 'account',
  name: 'account link',
  oneOf: 'an account link',
  about: 'sign in, or the visitor’s own page',
  standsIn: ['zone', 'cell'],
  root: 'frame',
  always: { text: text('Text'), destination: destination() },
  maybe: { ...faced },
  begin: () => [{ kind: 'account', text: 'Account', destination: { kind: 'address', address: '/account' } }],
});
