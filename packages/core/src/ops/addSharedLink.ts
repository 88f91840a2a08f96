import { sentence } from '../base/sentences.ts';
import { labelOf } from '../model/labelOf.ts';
import { SharedLinkShape } from '../schema/sharedLink.ts';
import { missingTarget } from './addItem.ts';
import { defineAdd, topOf, type Branch } from './kit/defineAdd.ts';

/** Keeps a link for items of any menu to show. */
export type AddSharedLink = Branch<'addSharedLink', 'sharedLinks'>;

export const addSharedLink = defineAdd(
  'addSharedLink',
  'removeSharedLink',
  'sharedLinks',
  SharedLinkShape,
  (document, operation) => sentence('linkAdded', { label: labelOf(document, topOf(operation)) }),
  missingTarget,
);
