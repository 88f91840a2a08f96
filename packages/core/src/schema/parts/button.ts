import { definePart, IN_ZONES } from './definePart.ts';
import { destination, opensNewTab, text } from './fields.ts';
import { faced } from './frameFields.ts';

/** A call to action. */
export const button = definePart({
  kind: 'button',
  name: 'button',
  about: 'a call to action',
  standsIn: IN_ZONES,
  always: { text: text('Text'), destination: destination() },
  maybe: { opensNewTab, ...faced },
  begin: ({ root, label, destination: to }) => [
    { kind: 'button', text: root === 'frame' ? 'Button' : `All of ${label}`, destination: to },
  ],
});
