import type { Id } from '../base/ids.ts';
import { MOST_COLUMNS, type PanelFacts } from '../schema/dropdown.ts';
import { balanceColumns } from './balanceColumns.ts';
import { GROUP_GAP, groupHeight, type Labelled } from './groupHeight.ts';

interface Group extends Labelled {
  readonly id: Id;
}

/** Groups in the order in which the columns have them, and how many each column has. */
export interface PanelColumns<G> {
  readonly groups: readonly G[];
  readonly sizes: readonly number[];
  /** How high each column will be, in lines: an estimate. */
  readonly heights: readonly number[];
}

/** Columns that a panel has when nobody says how many. */
const USUAL_COLUMNS = 4;
/** What a panel is taken to be wide where it spans what is around it, and what a sign of its text, in px. */
const USUAL_WIDTH = 1120;
const SIGN = 8.5;

/**
 * The groups of a panel in its columns: those that are kept in one stand at its end, the others are balanced
 * around them in their order. A column that is no longer there lets go of what was kept in it. O(groups² *
 * columns).
 */
export function panelColumns<G extends Group>(
  groups: readonly G[],
  { columns, kept = {}, extent = 'bar' }: PanelFacts,
): PanelColumns<G> {
  const count = Math.max(1, Math.min(columns ?? Math.min(USUAL_COLUMNS, groups.length), MOST_COLUMNS));
  const columnOf = ({ id }: G): number | null =>
    kept[id] !== undefined && kept[id] < count ? kept[id] : null;
  const width = typeof extent === 'number' ? extent : USUAL_WIDTH;
  // Only a group with links of its own stands apart from what is above it; a link alone follows on.
  const gapOf = ({ children }: G): number => (children.length > 0 ? GROUP_GAP : 0);
  const heightOf = (group: G): number => groupHeight(group, Math.floor(width / count / SIGN)) + gapOf(group);
  const stack = ([first, ...rest]: readonly G[]): number =>
    first === undefined
      ? 0
      : rest.reduce((sum, group) => sum + heightOf(group), heightOf(first) - gapOf(first));
  const staying = Array.from({ length: count }, (_, column) =>
    groups.filter((group) => columnOf(group) === column),
  );
  const free = groups.filter((group) => columnOf(group) === null);
  const sizes = balanceColumns(free.map(heightOf), count, { taken: staying.map(stack) });
  let from = 0;
  const filled = sizes.map((size, column) => {
    from += size;
    return [...free.slice(from - size, from), ...(staying[column] ?? [])];
  });
  return { groups: filled.flat(), sizes: filled.map(({ length }) => length), heights: filled.map(stack) };
}
