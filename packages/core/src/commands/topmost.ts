import type { Id } from '../base/ids.ts';
import type { Forest, Rooted } from '../model/forest.ts';
import { childrenOf } from '../model/forest.ts';
import { isWithin } from '../model/isWithin.ts';

/**
 * The chosen nodes as branches to act on: those that stand inside another chosen one are left out, siblings come in their order.
 */
export function topmost(forest: Forest<Rooted>, chosen: readonly Id[]): Id[] {
  const all = new Set(chosen.filter((id) => forest.nodes.has(id)));
  const tops = [...all].filter((id) => {
    const parent = forest.nodes.get(id)?.parent ?? id;
    return ![...all].some((other) => other !== id && isWithin(forest, parent, other));
  });
  const orderOf = new Map<Id, number>();
  for (const parent of new Set(tops.map((id) => forest.nodes.get(id)?.parent ?? id))) {
    [...childrenOf(forest, parent)].forEach((id, at) => orderOf.set(id, at));
  }
  const isSibling = (a: Id, b: Id): boolean => forest.nodes.get(a)?.parent === forest.nodes.get(b)?.parent;
  return tops.toSorted((a, b) => (isSibling(a, b) ? (orderOf.get(a) ?? 0) - (orderOf.get(b) ?? 0) : 0));
}
