import type { Id } from '../base/ids.ts';
import type { AgreedFacts } from '../schema/item.ts';
import type { SiteDocument } from './document.ts';
import { nodeAt, spotOf } from './forest.ts';
import { latestSince } from './latestSince.ts';

/** The facts of a page as they are now, to be kept with an item that is made to lead to it. */
export function agreedFacts(document: SiteDocument, id: Id): AgreedFacts {
  const { title, address, kind, state, planned } = nodeAt(document.pages, id);
  const known = latestSince(document);
  return {
    title,
    address,
    ...spotOf(document.pages, id),
    kind,
    ...(state === 'draft' ? { state } : {}),
    ...(planned === true ? { planned } : {}),
    ...(known > 0 ? { known } : {}),
  };
}
