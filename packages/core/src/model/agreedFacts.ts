import type { Id } from '../base/ids.ts';
import type { AgreedFacts } from '../schema/item.ts';
import type { SiteDocument } from './document.ts';
import { nodeAt, spotOf } from './forest.ts';

/** The facts of a page as they are now, to be kept with an item that is made to lead to it. */
export function agreedFacts(document: SiteDocument, page: Id): AgreedFacts {
  const { title, address } = nodeAt(document.pages, page);
  return { title, address, ...spotOf(document.pages, page) };
}
