import { withNode, withNodeChanged, withoutNode, type Forest } from '../../model/forest.ts';

/**
 * A forest of nodes that are there as long as something is said of them, with fields of one set; null takes a field
 * away. `fresh`: the node before anything is said of it. O(log n).
 */
export function withFieldsSet<N extends { readonly id: string; readonly parent: string }>(
  forest: Forest<N>,
  fresh: object & { readonly id: string },
  set: object,
  isSaid: (node: N) => boolean,
): Forest<N> {
  const present = forest.nodes.get(fresh.id);
  const fields = Object.entries({ ...(present ?? fresh), ...set });
  const node = Object.fromEntries(fields.filter(([, value]) => value !== null)) as unknown as N;
  if (!isSaid(node)) return present === undefined ? forest : withoutNode(forest, fresh.id);
  return present === undefined ? withNode(forest, node, null) : withNodeChanged(forest, node);
}
