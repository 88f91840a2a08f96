import type { Id } from '../base/ids.ts';
import type { Forest, Rooted } from '../model/forest.ts';
import { childrenOf } from '../model/forest.ts';

/**
 * The chosen nodes as branches to act on: those that stand inside another chosen one are left out, siblings
 * come in their order. O(chosen * depth).
 */
export function topmost(forest: Forest<Rooted>, chosen: readonly Id[]): Id[] {
  const all = new Set(chosen.filter((id) => forest.nodes.has(id)));
  const isInside = (id: Id): boolean => {
    for (let at = forest.nodes.get(id)?.parent; at !== undefined; at = forest.nodes.get(at)?.parent)
      if (all.has(at)) return true;
    return false;
  };
  const tops = [...all].filter((id) => !isInside(id));
  const orderOf = new Map<Id, number>();
  for (const parent of new Set(tops.map((id) => forest.nodes.get(id)?.parent ?? id))) {
    [...childrenOf(forest, parent)].forEach((id, at) => orderOf.set(id, at));
  }
  const isSibling = (a: Id, b: Id): boolean => forest.nodes.get(a)?.parent === forest.nodes.get(b)?.parent;
  return tops.toSorted((a, b) => (isSibling(a, b) ? (orderOf.get(a) ?? 0) - (orderOf.get(b) ?? 0) : 0));
}
