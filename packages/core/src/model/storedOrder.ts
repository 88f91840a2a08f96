import { preorder } from '../walk/preorder.ts';
import { forestOf, type ForestName, type NodeOf, type SiteDocument } from './document.ts';
import { childrenOf, nodeAt } from './forest.ts';
import { rootsOf } from './rootsOf.ts';

/**
 * The nodes of one forest as they are kept: parents before their children, siblings in their order. O(nodes).
 */
export function* storedOrder<F extends ForestName>(document: SiteDocument, name: F): Generator<NodeOf[F]> {
  const forest = forestOf(document, name);
  const top = rootsOf(document, name).flatMap((root) => [...childrenOf(forest, root)]);
  for (const { node } of preorder(top, (id) => childrenOf(forest, id))) yield nodeAt(forest, node);
}
