import { definePart } from './definePart.ts';
import { badge, destination, icon, opensNewTab, text, variant } from './fields.ts';

/** One link of a link list. */
export const link = definePart({
  kind: 'link',
  name: 'link',
  about: 'another link in this list',
  standsIn: ['links'],
  always: { text: text('Text'), destination: destination() },
  maybe: { opensNewTab, variant, badge, icon },
  begin: () => [{ kind: 'link', text: 'Link', destination: { kind: 'undecided' } }],
});
