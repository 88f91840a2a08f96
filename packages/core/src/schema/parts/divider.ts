import { definePart, IN_ZONES } from './definePart.ts';
import { inFrame } from './frameFields.ts';

/** A line between parts. */
export const divider = definePart({
  kind: 'divider',
  name: 'divider',
  about: 'a line between parts',
  standsIn: IN_ZONES,
  always: {},
  maybe: { ...inFrame },
  begin: () => [{ kind: 'divider' }],
});
