import { definePart } from './definePart.ts';
import { text } from './fields.ts';
import { inFrame } from './frameFields.ts';

/** The way from the start page to the current one. */
export const breadcrumb = definePart({
  kind: 'breadcrumb',
  name: 'breadcrumb',
  about: 'the way from the start page',
  standsIn: ['zone', 'cell'],
  root: 'frame',
  always: {},
  maybe: { text: text('Start page (optional)'), ...inFrame },
  begin: () => [{ kind: 'breadcrumb' }],
});
