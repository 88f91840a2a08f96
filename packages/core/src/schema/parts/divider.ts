import { definePart, IN_ZONES } from './definePart.ts';
import { hiddenOn } from './fields.ts';

/** A line between parts. */
export const divider = definePart({
  kind: 'divider',
  name: 'divider',
  about: 'a line between parts',
  standsIn: IN_ZONES,
  always: {},
  maybe: { hiddenOn },
  begin: () => [{ kind: 'divider' }],
});
