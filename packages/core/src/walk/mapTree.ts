/**
 * A new tree of the same form: `build` is called for each node after its children, with what was built of
 * them; null leaves the node out. Explicit stack, O(n).
 */
export function mapTree<N, T>(
  roots: Iterable<N>,
  childrenOf: (node: N) => Iterable<N>,
  build: (node: N, children: T[]) => T | null,
): T[] {
  const top: T[] = [];
  const stack: { node: N; into: T[]; children: T[] | null }[] = [];
  const push = (nodes: Iterable<N>, into: T[]): void => {
    for (const node of [...nodes].reverse()) stack.push({ node, into, children: null });
  };
  push(roots, top);
  for (let open = stack.at(-1); open !== undefined; open = stack.at(-1)) {
    if (open.children === null) {
      open.children = [];
      push(childrenOf(open.node), open.children);
      continue;
    }
    stack.pop();
    const built = build(open.node, open.children);
    if (built !== null) open.into.push(built);
  }
  return top;
}
