import { definePart } from './definePart.ts';
import { text } from './fields.ts';

/** One view of tabs; it holds what a cell holds. */
export const tab = definePart({
  kind: 'tab',
  name: 'tab',
  about: 'another tab',
  standsIn: ['tabs'],
  root: 'panel',
  always: { text: text('Text') },
  maybe: {},
  begin: () => [{ kind: 'tab', text: 'Tab' }],
});
