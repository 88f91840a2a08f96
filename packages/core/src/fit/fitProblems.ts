import type { Id } from '../base/ids.ts';
import type { WidthRange } from '../panel/sweepPanel.ts';
import { isProblem, type Lane, type LaneState } from './lane.ts';

/** Something that somebody should look at, at some widths of the window. */
export interface FitProblem extends Pick<Lane, 'of' | 'part' | 'item'>, WidthRange {
  /** What it is there, the states at narrower windows first. */
  readonly states: readonly LaneState[];
  /** The widest window in which it is worst, in px. */
  readonly worstAt: number;
}

/** All problems of lanes, bars first, and what is wrong at more widths before what is wrong at fewer. O(stretches). */
export function problemsOf(lanes: readonly Lane[]): FitProblem[] {
  const found = lanes.flatMap(({ of, part, item, stretches }) => {
    const own: FitProblem[] = [];
    for (const { from, to, state } of stretches ?? []) {
      if (!isProblem(state)) continue;
      const before = own.at(-1);
      if (before !== undefined && before.to + 1 === from) {
        const isWorse = badness(state) >= Math.max(...before.states.map(badness));
        own[own.length - 1] = {
          ...before,
          to,
          states: [...before.states, state],
          worstAt: isWorse ? to : before.worstAt,
        };
      } else
        own.push({
          of,
          part,
          ...(item === undefined ? {} : { item }),
          from,
          to,
          states: [state],
          worstAt: to,
        });
    }
    return own;
  });
  const rank = ({ of, from, to }: FitProblem): number =>
    (of === 'bar' ? 10_000 : of === 'band' ? 5_000 : 0) + to - from;
  return found.sort((a, b) => rank(b) - rank(a));
}

/** How bad a state is, for what is shown first. */
function badness(state: LaneState): number {
  if (state.is === 'rows' || state.is === 'band') return state.rows;
  return state.is === 'list' ? state.broken.length + (state.place === 'beyond' ? BEYOND : 0) : 0;
}
const BEYOND = 1000;

/** Where one bar or dropdown has problems. */
export function troubleOf(lanes: readonly Lane[], part: Id, item?: Id): WidthRange[] {
  const own = lanes.filter((one) => one.part === part && one.item === item);
  return problemsOf(own)
    .map(({ from, to }) => ({ from, to }))
    .sort((a, b) => a.from - b.from);
}

/** How many widths there are in some ranges. */
export function widthsIn(ranges: readonly WidthRange[]): number {
  return ranges.reduce((sum, { from, to }) => sum + to - from + 1, 0);
}
