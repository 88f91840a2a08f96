import { sentence } from '../base/sentences.ts';
import { nameOf } from '../model/labelOf.ts';
import { usersOf } from '../model/usersOf.ts';
import { linkFields } from '../schema/item.ts';
import { settingFields } from '../schema/settings.ts';
import { missingTarget } from './addItem.ts';
import { defineUpdate, type Update } from './kit/defineUpdate.ts';

/** Changes fields of a shared link, and so all items that show it. */
export type UpdateSharedLink = Update<'updateSharedLink', 'sharedLinks'>;

export const updateSharedLink = defineUpdate(
  'updateSharedLink',
  'sharedLinks',
  { always: linkFields, maybe: settingFields },
  (document, { id }) =>
    sentence('linkChanged', {
      label: nameOf(document, 'sharedLinks', id),
      count: usersOf(document, id).length,
    }),
  missingTarget,
);
