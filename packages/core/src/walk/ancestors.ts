/** What `node` stands in, from its parent outwards. O(depth). */
export function* ancestors<N>(node: N, parentOf: (node: N) => N | undefined): IterableIterator<N> {
  for (let next = parentOf(node); next !== undefined; next = parentOf(next)) yield next;
}
