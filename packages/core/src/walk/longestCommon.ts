/**
 * A longest common subsequence of two short lists, as pairs of what is the same in both (the textbook table of
 * lengths). O(n * m).
 */
export function longestCommon<A, B>(
  one: readonly A[],
  other: readonly B[],
  isSame: (a: A, b: B) => boolean,
): [A, B][] {
  const lengths = Array.from({ length: one.length + 1 }, () => new Array<number>(other.length + 1).fill(0));
  const at = (row: number, column: number): number => lengths[row]?.[column] ?? 0;
  const isSameAt = (row: number, column: number): boolean => isSame(one[row] as A, other[column] as B);
  for (let row = one.length - 1; row >= 0; row -= 1)
    for (let column = other.length - 1; column >= 0; column -= 1) {
      const length = isSameAt(row, column)
        ? at(row + 1, column + 1) + 1
        : Math.max(at(row + 1, column), at(row, column + 1));
      lengths[row]?.splice(column, 1, length);
    }
  const pairs: [A, B][] = [];
  for (let row = 0, column = 0; row < one.length && column < other.length;) {
    if (isSameAt(row, column)) pairs.push([one[row++] as A, other[column++] as B]);
    else if (at(row + 1, column) >= at(row, column + 1)) row += 1;
    else column += 1;
  }
  return pairs;
}
