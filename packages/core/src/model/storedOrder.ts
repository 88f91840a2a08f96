import { preorder } from '../walk/preorder.ts';
import { forestOf, type ForestName, type NodeOf, type SiteDocument } from './document.ts';
import { childrenOf, nodeAt } from './forest.ts';

/** The nodes of one forest as they are kept: parents before their children, siblings in their order. O(nodes). */
export function* storedOrder<F extends ForestName>(document: SiteDocument, name: F): Generator<NodeOf[F]> {
  const { site, menus } = document;
  const forest = forestOf(document, name);
  // A menu is the root of its items; the site is the root of all else.
  const roots = name === 'items' ? [...childrenOf(menus, site.id)] : [site.id];
  const top = roots.flatMap((root) => [...childrenOf(forest, root)]);
  for (const { node } of preorder(top, (id) => childrenOf(forest, id))) yield nodeAt(forest, node);
}
