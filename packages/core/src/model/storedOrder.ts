import type { Id } from '../base/ids.ts';
import { forests } from '../schema/forests.ts';
import { preorder } from '../walk/preorder.ts';
import { forestOf, type ForestName, type NodeOf, type SiteDocument } from './document.ts';
import { childrenOf, nodeAt } from './forest.ts';

/**
 * The nodes of one forest as they are kept: parents before their children, siblings in their order, or by their
 * ids where they have none. O(nodes), with an order.
 */
export function* storedOrder<F extends ForestName>(document: SiteDocument, name: F): Generator<NodeOf[F]> {
  const forest = forestOf(document, name);
  const below = (parent: Id): Iterable<Id> => {
    const children = childrenOf(forest, parent);
    return forests[name].isUnordered === true ? [...children].sort() : children;
  };
  const top = rootsOf(document, name).flatMap((root) => [...below(root)]);
  for (const { node } of preorder(top, below)) yield nodeAt(forest, node);
}

/**
 * What the trees of a forest hang on, in the order of the document: menus for items, items for parts of
 * panels, the site for all else; without what has nothing below it. O(nodes of the forests above it).
 */
export function rootsOf(document: SiteDocument, name: ForestName): Id[] {
  return forests[name].under.flatMap((holder) => {
    if (holder === name) return [];
    if (holder === 'site') return [document.site.id];
    const above = [...storedOrder<ForestName>(document, holder)].map(({ id }) => id);
    return above.filter((id) => childrenOf(document[name], id).size > 0);
  });
}
