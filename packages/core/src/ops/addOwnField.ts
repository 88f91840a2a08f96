import { refusal, type Refusal } from '../base/refusal.ts';
import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { OwnFieldShape, type OwnField } from '../schema/ownField.ts';
import { defineAdd, topOf, type Branch } from './kit/defineAdd.ts';

/** Declares a field of the site's own. */
export type AddOwnField = Branch<'addOwnField', 'ownFields'>;

export const addOwnField = defineAdd(
  'addOwnField',
  'removeOwnField',
  'ownFields',
  OwnFieldShape,
  (_, operation) => sentence('fieldAdded', { label: topOf(operation).name }),
  fieldKeyTaken,
);

/** Two fields of the same things may not have the same key. */
export function fieldKeyTaken(document: SiteDocument, { id, key, of }: OwnField): Refusal | null {
  const other = [...document.ownFields.nodes.values()].find(
    (one) => one.key === key && one.of === of && one.id !== id,
  );
  return other === undefined ? null : refusal('keyTaken', { key, name: other.name });
}
