/**
 * Which of the values make up an increasing subsequence of greatest weight: those that may stay when a list
 * is put in order by moving the fewest. A longest increasing subsequence (C. Schensted, "Longest increasing
 * and decreasing subsequences", 1961), with weights by a Fenwick tree of prefix maxima (P. Fenwick, "A new
 * data structure for cumulative frequency tables", 1994), since patience sorting knows no weights. Values are
 * distinct. Of equal ones the choice is always the same. O(n log n).
 */
export function longestIncreasing(values: readonly number[], weightOf: (at: number) => number): Set<number> {
  const rankOf = new Map([...values].sort((a, b) => a - b).map((value, rank) => [value, rank + 1]));
  const bestAt: number[] = new Array<number>(values.length + 1).fill(-1);
  const weights: number[] = [];
  const before: number[] = [];
  /** The index that ends the heaviest subsequence with a rank up to this one; -1: none. */
  const upTo = (rank: number): number => {
    let best = -1;
    for (let at = rank; at > 0; at -= at & -at) {
      const one = bestAt[at] ?? -1;
      if (one >= 0 && (best < 0 || (weights[one] ?? 0) > (weights[best] ?? 0))) best = one;
    }
    return best;
  };
  let heaviest = -1;
  for (const [index, value] of values.entries()) {
    const rank = rankOf.get(value) ?? 0;
    const prior = upTo(rank - 1);
    before[index] = prior;
    weights[index] = weightOf(index) + (prior < 0 ? 0 : (weights[prior] ?? 0));
    for (let at = rank; at <= values.length; at += at & -at) {
      const one = bestAt[at] ?? -1;
      if (one < 0 || (weights[one] ?? 0) < weights[index]) bestAt[at] = index;
    }
    if (heaviest < 0 || weights[index] > (weights[heaviest] ?? 0)) heaviest = index;
  }
  const kept = new Set<number>();
  for (let at = heaviest; at >= 0; at = before[at] ?? -1) kept.add(at);
  return kept;
}
