import type { Id } from '../base/ids.ts';
import type { Part } from '../schema/part.ts';
import { branchOf } from './branchOf.ts';
import type { SiteDocument } from './document.ts';
import { childrenOf } from './forest.ts';

/** All parts of an item's panel, in preorder. O(parts). */
export function partsIn({ parts }: SiteDocument, owner: Id): Part[] {
  return [...childrenOf(parts, owner)].flatMap((row) => branchOf(parts, row));
}
