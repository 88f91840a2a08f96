import { definePart, IN_CELLS } from './definePart.ts';
import { destination, hiddenOn, opensNewTab, text } from './fields.ts';

/** A call to action. */
export const button = definePart({
  kind: 'button',
  name: 'button',
  about: 'a call to action',
  standsIn: IN_CELLS,
  always: { text: text('Text'), destination: destination() },
  maybe: { opensNewTab, hiddenOn },
  begin: (within) => [{ kind: 'button', text: `All of ${within.label}`, destination: within.destination }],
});
