import { definePart, IN_ZONES } from './definePart.ts';
import { destination, hiddenOn, opensNewTab, text } from './fields.ts';

/** A line above other parts. */
export const headingPart = definePart({
  kind: 'heading',
  name: 'heading',
  about: 'a line above other parts',
  standsIn: IN_ZONES,
  always: { text: text('Text') },
  maybe: { destination: destination(), opensNewTab, hiddenOn },
  begin: () => [{ kind: 'heading', text: 'Heading' }],
});
