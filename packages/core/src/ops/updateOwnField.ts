import { sentence } from '../base/sentences.ts';
import { nameOf } from '../model/labelOf.ts';
import { ownFieldFields } from '../schema/ownField.ts';
import { fieldKeyTaken } from './addOwnField.ts';
import { defineUpdate, type Update } from './kit/defineUpdate.ts';

/** Changes a field of the site's own: its name, key, type, what has it. */
export type UpdateOwnField = Update<'updateOwnField', 'ownFields'>;

export const updateOwnField = defineUpdate(
  'updateOwnField',
  'ownFields',
  { always: ownFieldFields, maybe: {} },
  (document, { id }) => sentence('fieldChanged', { label: nameOf(document, 'ownFields', id) }),
  fieldKeyTaken,
);
