import { definePart } from './definePart.ts';
import { text } from './fields.ts';
import { inFrame } from './frameFields.ts';

/** ©, the year, and who has the rights. */
export const copyright = definePart({
  kind: 'copyright',
  name: 'copyright line',
  about: 'the year is always the current one',
  standsIn: ['zone', 'cell'],
  root: 'frame',
  always: {},
  maybe: { text: text('After the name (optional)'), ...inFrame },
  begin: () => [{ kind: 'copyright' }],
});
