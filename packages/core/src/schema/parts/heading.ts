import { definePart, IN_ZONES } from './definePart.ts';
import { destination, opensNewTab, text } from './fields.ts';
import { inFrame } from './frameFields.ts';

/** A line above other parts. */
export const headingPart = definePart({
  kind: 'heading',
  name: 'heading',
  about: 'a line above other parts',
  standsIn: IN_ZONES,
  always: { text: text('Text') },
  maybe: { destination: destination(), opensNewTab, ...inFrame },
  begin: () => [{ kind: 'heading', text: 'Heading' }],
});
