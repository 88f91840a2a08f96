import { generateNKeysBetween } from 'fractional-indexing';
import { childrenOf, forests, type ForestName, type SiteDocument, type Table } from '@zorvik/core';

/**
 * Ranks for the nodes that an edit touched: strings that order them among their siblings, bytewise. Those
 * that still fit between their neighbours keep theirs, so that a change of a label writes no order.
 * Fractional indexing (David Greenspan, "Implementing fractional indexing", 2020): between any two ranks
 * there is always another. O(siblings) for each parent touched.
 */
export function ranksFor(
  document: SiteDocument,
  forest: ForestName,
  touched: ReadonlySet<string>,
  ranks: Table<string>,
): Map<string, string> {
  const given = new Map<string, string>();
  if (forests[forest].isUnordered === true) {
    for (const id of touched) if (document[forest].nodes.has(id)) given.set(id, UNORDERED);
    return given;
  }
  const parents = new Set<string>();
  for (const id of touched) {
    const node = document[forest].nodes.get(id);
    if (node !== undefined) parents.add(node.parent);
  }
  for (const parent of parents)
    rankSiblings([...childrenOf(document[forest], parent)], touched, ranks, given);
  return given;
}

/** The rank of all nodes that have no order. */
const UNORDERED = 'a0';

/** Walks one list of siblings: runs of touched ones get ranks between the untouched ones around them. */
function rankSiblings(
  siblings: readonly string[],
  touched: ReadonlySet<string>,
  ranks: Table<string>,
  given: Map<string, string>,
): void {
  let low: string | null = null;
  let run: string[] = [];
  const settle = (high: string | null): void => {
    for (const [id, rank] of rankRun(run, low, high, ranks)) given.set(id, rank);
    run = [];
  };
  for (const id of siblings) {
    if (touched.has(id)) {
      run.push(id);
      continue;
    }
    const rank = ranks.get(id);
    if (rank === undefined) throw new Error(`The node ${id} has no rank.`);
    settle(rank);
    low = rank;
  }
  settle(null);
}

function rankRun(
  run: readonly string[],
  low: string | null,
  high: string | null,
  ranks: Table<string>,
): (readonly [string, string])[] {
  const present = run.map((id) => ranks.get(id));
  const fits = present.every((rank, at) => {
    const before = at === 0 ? low : (present[at - 1] ?? null);
    return rank !== undefined && (before === null || before < rank) && (high === null || rank < high);
  });
  const fresh = fits ? [] : generateNKeysBetween(low, high, run.length);
  return run.map((id, at) => [id, (fits ? present[at] : fresh[at]) as string]);
}
