import type { Id } from '../base/ids.ts';
import { breachOfNode } from './breachOfNode.ts';
import { forestNames, type ForestName, type SiteDocument } from './document.ts';
import { childrenOf, type Rooted } from './forest.ts';

/** A node by its forest and id, whether it is there or not. */
export interface NodeName {
  readonly forest: ForestName;
  readonly id: Id;
}

/**
 * The first invariant that is broken among some nodes, in words; null: none. It is asked about the nodes that
 * an edit touched, before that edit is stored: a last defence, whatever the schemas and operations have let
 * through. What stands is looked at like in `findBreach`, and is to be reached from a root; under what was
 * removed nothing may be left. O(k log n + depth) for k nodes, since no way up is gone twice.
 */
export function breachAmong(document: SiteDocument, touched: Iterable<NodeName>): string | null {
  const reached = new Set<Id>();
  const byParent = new Map<ForestName, Map<Id, Id[]>>();
  for (const { forest, id } of touched) {
    const node = document[forest].nodes.get(id);
    const breach =
      node === undefined
        ? leftUnder(document, id)
        : (breachOfNode<ForestName>(document, forest, id, node) ??
          circleAbove(document, forest, node, reached));
    if (breach !== null) return breach;
    if (node === undefined) continue;
    const parents = byParent.get(forest) ?? new Map<Id, Id[]>();
    byParent.set(forest, parents);
    const ids = parents.get(node.parent);
    if (ids === undefined) parents.set(node.parent, [id]);
    else ids.push(id);
  }
  for (const [forest, parents] of byParent) {
    for (const [parent, ids] of parents) {
      const lost = missingInOrder(document, { forest, parent, ids });
      if (lost !== null) return `${forest}: ${lost} is not among the children of its parent`;
    }
  }
  return null;
}

/** Below so many, looking each up in a list of siblings costs less than making a set of it. */
const FEW = 8;

function missingInOrder(
  document: SiteDocument,
  { forest, parent, ids }: { readonly forest: ForestName; readonly parent: Id; readonly ids: readonly Id[] },
): Id | null {
  const order = childrenOf(document[forest], parent);
  const among: { readonly has: (id: Id) => boolean } = ids.length < FEW ? order : new Set(order);
  return ids.find((id) => !among.has(id)) ?? null;
}

/** Whether the way up from a node ends. `reached` are nodes from which it does. */
function circleAbove(
  document: SiteDocument,
  forest: ForestName,
  { id, parent }: Rooted,
  reached: Set<Id>,
): string | null {
  const { nodes } = document[forest];
  if (reached.has(parent)) {
    reached.add(id);
    return null;
  }
  const way = new Set<Id>();
  for (let at: Id | undefined = id; at !== undefined && !reached.has(at); at = nodes.get(at)?.parent) {
    if (way.has(at)) return `${forest}: ${id} is inside itself`;
    way.add(at);
  }
  for (const one of way) reached.add(one);
  return null;
}

function leftUnder(document: SiteDocument, id: Id): string | null {
  const forest = forestNames.find((name) => childrenOf(document[name], id).size > 0);
  return forest === undefined ? null : `${forest}: ${id} was removed, but something is still under it`;
}
