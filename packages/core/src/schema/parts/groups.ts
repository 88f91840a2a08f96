import { refusal } from '../../base/refusal.ts';
import { definePart, IN_CELLS } from './definePart.ts';
import { columns, heading, hiddenOn, levels } from './fields.ts';

/** All child items that no other part shows, balanced in columns. */
export const groups = definePart({
  kind: 'groups',
  name: 'remaining groups',
  oneOf: 'the remaining groups',
  about: 'all other child items, balanced in columns',
  standsIn: IN_CELLS,
  root: 'panel',
  always: {},
  maybe: { heading, levels, columns, hiddenOn },
  begin: ({ kinds }) =>
    kinds.has('groups') ? refusal('shownAlready', { label: 'remaining groups' }) : [{ kind: 'groups' }],
});
