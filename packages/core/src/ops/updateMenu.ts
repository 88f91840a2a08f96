import { sentence } from '../base/sentences.ts';
import { nameOf } from '../model/labelOf.ts';
import { menuFields, menuOptions } from '../schema/menu.ts';
import { refusedMenu } from './addMenu.ts';
import { defineUpdate, type Update } from './kit/defineUpdate.ts';

/** Changes fields of a menu: its name, key, language, description. */
export type UpdateMenu = Update<'updateMenu', 'menus'>;

export const updateMenu = defineUpdate(
  'updateMenu',
  'menus',
  { always: menuFields, maybe: menuOptions },
  (document, { id, set }) => {
    const was = nameOf(document, 'menus', id);
    return set.name === undefined
      ? sentence('menuChanged', { label: was })
      : sentence('menuRenamed', { was, label: set.name });
  },
  refusedMenu,
);
