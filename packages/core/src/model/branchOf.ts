import type { Id } from '../base/ids.ts';
import { preorder } from '../walk/preorder.ts';
import { childrenOf, nodeAt, type Forest, type Rooted } from './forest.ts';

/** A node and all below it, in preorder. O(size of the branch). */
export function branchOf<N extends Rooted>(forest: Forest<N>, id: Id): N[] {
  return [...preorder([id], (one) => childrenOf(forest, one))].map(({ node }) => nodeAt(forest, node));
}
