import { sentence } from '../base/sentences.ts';
import { OwnFieldShape } from '../schema/ownField.ts';
import { topOf, type Branch } from './kit/defineAdd.ts';
import { defineRemove } from './kit/defineRemove.ts';

/**
 * Removes a field of the site's own. Its values stay with their items, unseen, so that bringing the field
 * back brings them back.
 */
export type RemoveOwnField = Branch<'removeOwnField', 'ownFields'>;

export const removeOwnField = defineRemove(
  'removeOwnField',
  'addOwnField',
  'ownFields',
  OwnFieldShape,
  (_, operation) => sentence('fieldRemoved', { label: topOf(operation).name }),
);
