import type { Static } from 'typebox';
import { refusal } from '../../base/refusal.ts';
import { IdShape } from '../shapes.ts';
import { definePart, IN_CELLS, field } from './definePart.ts';
import { heading, hiddenOn, levels } from './fields.ts';

/** The child item whose links it shows. One that is gone shows nothing. */
const item = field<Static<typeof IdShape>>(IdShape, {
  control: { kind: 'child', label: 'Child item' },
  refs: { role: 'source', find: (value, visit, path) => visit('item', value, path) },
});

/** One child item and its links. */
export const group = definePart({
  kind: 'group',
  name: 'link group',
  about: 'one child item and its links',
  standsIn: IN_CELLS,
  root: 'panel',
  always: { item },
  maybe: { heading, levels, hiddenOn },
  begin: ({ child }) => (child === null ? refusal('emptyMenu') : [{ kind: 'group', item: child }]),
});
