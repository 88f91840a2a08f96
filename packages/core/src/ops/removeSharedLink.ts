import { refusal, type Refusal } from '../base/refusal.ts';
import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { labelOf } from '../model/labelOf.ts';
import { usersOf } from '../model/usersOf.ts';
import { SharedLinkShape, type SharedLink } from '../schema/sharedLink.ts';
import { topOf, type Branch } from './kit/defineAdd.ts';
import { defineRemove } from './kit/defineRemove.ts';

/** Removes a shared link that no item shows any more: an edit detaches those first. */
export type RemoveSharedLink = Branch<'removeSharedLink', 'sharedLinks'>;

export const removeSharedLink = defineRemove(
  'removeSharedLink',
  'addSharedLink',
  'sharedLinks',
  SharedLinkShape,
  (document, operation) => sentence('linkRemoved', { label: labelOf(document, topOf(operation)) }),
  stillShown,
);

function stillShown(document: SiteDocument, links: readonly SharedLink[]): Refusal | null {
  for (const link of links) {
    const count = usersOf(document, link.id).length;
    if (count > 0) return refusal('linkInUse', { label: labelOf(document, link), count });
  }
  return null;
}
