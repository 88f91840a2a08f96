import { definePart } from './definePart.ts';
import { text } from './fields.ts';
import { inFrame } from './frameFields.ts';

/** Links to the anchors of the current page. */
export const anchors = definePart({
  kind: 'anchors',
  name: 'on this page',
  oneOf: 'an “on this page” list',
  about: 'links to the page’s anchors',
  standsIn: ['zone', 'cell'],
  root: 'frame',
  always: {},
  maybe: { text: text('Heading (optional)'), ...inFrame },
  begin: () => [{ kind: 'anchors' }],
});
