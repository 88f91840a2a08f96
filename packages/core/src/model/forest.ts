import type { Id } from '../base/ids.ts';
import { Sequence } from '../base/sequence.ts';
import { Table } from '../base/table.ts';

/**
 * Anything that stands in a forest: it knows its parent, which may also be something outside the forest (its
 * root).
 */
export interface Rooted {
  readonly id: Id;
  readonly parent: Id;
}

/**
 * Where a node stands: behind a sibling, or first when `after` is null. Never an index: others may be editing
 * too.
 */
export interface Spot {
  readonly parent: Id;
  readonly after: Id | null;
}

/**
 * Trees as two persistent tables: the nodes by id, and for each parent the order of its children. A parent
 * without children has no entry. All functions here give new forests and copy only what changed.
 */
export interface Forest<N extends Rooted> {
  readonly nodes: Table<N>;
  readonly children: Table<Sequence>;
}

/** A forest without nodes. */
export function emptyForest<N extends Rooted>(): Forest<N> {
  return { nodes: Table.empty(), children: Table.empty() };
}

/** The ids below a parent, in order. O(1). */
export function childrenOf(forest: Forest<Rooted>, parent: Id): Sequence {
  return forest.children.get(parent) ?? Sequence.empty;
}

/** The node with that id. Throws when there is none: the caller knows that there is. */
export function nodeAt<N extends Rooted>(forest: Forest<N>, id: Id): N {
  const node = forest.nodes.get(id);
  if (node === undefined) throw new Error(`There is no ${id} in this forest.`);
  return node;
}

/** Where a node is: its parent and the sibling before it. Throws if there is no such node. O(siblings). */
export function spotOf(forest: Forest<Rooted>, id: Id): Spot {
  const { parent } = nodeAt(forest, id);
  return { parent, after: childrenOf(forest, parent).before(id) };
}

/**
 * Whether `spot` can be used: its anchor stands under its parent. Whether the parent exists is the caller's
 * to know.
 */
export function hasSpot(forest: Forest<Rooted>, { parent, after }: Spot): boolean {
  return after === null || forest.nodes.get(after)?.parent === parent;
}

export function withNode<N extends Rooted>(forest: Forest<N>, node: N, after: Id | null): Forest<N> {
  return {
    nodes: forest.nodes.with(node.id, node),
    children: forest.children.with(node.parent, childrenOf(forest, node.parent).placed(node.id, after)),
  };
}

/**
 * Many nodes at once, each behind the children that its parent has by then; for imports. O(n log n), one copy
 * of each branch.
 */
export function withNodesLast<N extends Rooted>(forest: Forest<N>, added: readonly N[]): Forest<N> {
  const grown = [...groupByParent(added)].map(([parent, nodes]) => {
    const present = childrenOf(forest, parent);
    return [parent, Sequence.from([...present, ...nodes.map((node) => node.id)])] as const;
  });
  return {
    nodes: forest.nodes.withAll(added.map((node) => [node.id, node])),
    children: forest.children.withAll(grown),
  };
}

function groupByParent<N extends Rooted>(nodes: readonly N[]): Map<Id, N[]> {
  const groups = new Map<Id, N[]>();
  for (const node of nodes) {
    const group = groups.get(node.parent);
    if (group === undefined) groups.set(node.parent, [node]);
    else group.push(node);
  }
  return groups;
}

/** Without that node. What stands in it must have been taken out before. */
export function withoutNode<N extends Rooted>(forest: Forest<N>, id: Id): Forest<N> {
  const { parent } = nodeAt(forest, id);
  return { nodes: forest.nodes.without(id), children: without(forest.children, parent, id) };
}

function without(children: Table<Sequence>, parent: Id, id: Id): Table<Sequence> {
  const left = (children.get(parent) ?? Sequence.empty).without(id);
  return left.size === 0 ? children.without(parent) : children.with(parent, left);
}

/** The node put elsewhere, its branch with it; the same forest when it stands there already. */
export function withNodeMoved<N extends Rooted>(forest: Forest<N>, id: Id, to: Spot): Forest<N> {
  const from = spotOf(forest, id);
  if (to.after === id || (from.parent === to.parent && from.after === to.after)) return forest;
  const node = nodeAt(forest, id);
  const taken = without(forest.children, from.parent, id);
  const order = (taken.get(to.parent) ?? Sequence.empty).placed(id, to.after);
  return {
    nodes: from.parent === to.parent ? forest.nodes : forest.nodes.with(id, { ...node, parent: to.parent }),
    children: taken.with(to.parent, order),
  };
}

/** The node with other fields in it. */
export function withNodeChanged<N extends Rooted>(forest: Forest<N>, node: N): Forest<N> {
  return { nodes: forest.nodes.with(node.id, node), children: forest.children };
}
