import type { Static } from 'typebox';
import { refusal } from '../../base/refusal.ts';
import { IdShape } from '../shapes.ts';
import { definePart, IN_CELLS, field } from './definePart.ts';
import { hiddenOn, text } from './fields.ts';

const menu = field<Static<typeof IdShape>>(IdShape, {
  control: { kind: 'menu', label: 'Menu' },
  refs: { role: 'source', find: (value, visit, path) => visit('menu', value, path) },
  isResolved: true,
});

/** Another menu, as a list. */
export const menuPart = definePart({
  kind: 'menu',
  name: 'menu',
  about: 'another menu, as a list',
  standsIn: IN_CELLS,
  root: 'panel',
  always: { menu },
  maybe: { text: text('Heading (optional)'), hiddenOn },
  begin: ({ otherMenu }) =>
    otherMenu === null ? refusal('wrongMenu', { id: 'another' }) : [{ kind: 'menu', menu: otherMenu }],
});
