import type { Id } from '../base/ids.ts';
import { preorder } from '../walk/preorder.ts';
import type { ForestName, SiteDocument } from './document.ts';
import { childrenOf } from './forest.ts';

/**
 * What the trees of a forest hang on, in the order of the document: menus for items, items for parts of
 * panels, the site for all else. O(items) for parts.
 */
export function rootsOf(document: SiteDocument, name: ForestName): Id[] {
  const { site, menus, items } = document;
  if (name !== 'items' && name !== 'parts') return [site.id];
  const all = [...childrenOf(menus, site.id)];
  if (name === 'items') return all;
  const top = all.flatMap((menu) => [...childrenOf(items, menu)]);
  return [...preorder<Id>(top, (id) => childrenOf(items, id))]
    .map(({ node }) => node)
    .filter((id) => childrenOf(document.parts, id).size > 0);
}
