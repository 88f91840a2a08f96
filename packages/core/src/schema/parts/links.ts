import { definePart, IN_ZONES } from './definePart.ts';
import { text } from './fields.ts';
import { inFrame } from './frameFields.ts';

/** Links of the panel's own, below a heading. */
export const links = definePart({
  kind: 'links',
  name: 'link list',
  about: 'links that are only here',
  standsIn: IN_ZONES,
  always: {},
  maybe: { text: text('Heading (optional)'), ...inFrame },
  begin: () => [{ kind: 'links' }, { kind: 'link', text: 'Link', destination: { kind: 'undecided' } }],
});
