/**
 * Everything at and below `roots`, parents before children, siblings in order, with its depth (roots have 0).
 * The stack is our own, so that a tree 100,000 deep does not overflow the engine's. O(n).
 */
export function* preorder<N>(
  roots: Iterable<N>,
  childrenOf: (node: N) => Iterable<N>,
): IterableIterator<{ node: N; depth: number }> {
  const stack = [...roots].reverse().map((node) => ({ node, depth: 0 }));
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    yield next;
    const { node, depth } = next;
    const children = [...childrenOf(node)];
    for (let at = children.length - 1; at >= 0; at -= 1)
      stack.push({ node: children[at] as N, depth: depth + 1 });
  }
}
