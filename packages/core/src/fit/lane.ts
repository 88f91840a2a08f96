import type { Id } from '../base/ids.ts';
import type { MediumForm } from '../schema/dropdown.ts';
import type { BarDoes } from './barState.ts';
import type { WidthRange } from '../panel/sweepPanel.ts';

/** How something is at some width of the window. */
export type LaneState =
  /**
   * A bar: in so many rows, the first entries of those after the first, and what it does where it does not fit. `isApart`:
   * in a row of its own, since there is no room beside what else is in its zone.
   */
  | {
      readonly is: 'rows';
      readonly rows: number;
      readonly firsts: readonly Id[];
      readonly does?: BarDoes;
      readonly isApart?: true;
    }
  /**
   * A band: its parts in so many rows, and those that begin a row behind the first. `isBars`: only a bar moves to another
   * row, which is told as the bar's.
   */
  | { readonly is: 'band'; readonly rows: number; readonly firsts: readonly Id[]; readonly isBars?: true }
  /** In a column at the side of the page. */
  | { readonly is: 'column' }
  /** Its menu is in the drawer instead. */
  | { readonly is: 'inDrawer' }
  | { readonly is: 'hidden' }
  /** A dropdown that opens within the bar, and not over the page. */
  | { readonly is: 'within' }
  /**
   * A dropdown over the page. `place`: moved to the other side of its entry, since it would leave the screen, or beyond
   * the screen even so. `broken`: the entries whose text takes more than one line. `wanted`: the width, in px, at which
   * none would.
   */
  | {
      readonly is: 'list';
      readonly place: DropPlace;
      readonly broken: readonly Id[];
      readonly wanted: number;
    }
  | { readonly is: 'row' }
  | { readonly is: 'flyouts' }
  /** A panel: its form, its columns where they are known, and whether the screen lets it be where it was wanted. */
  | {
      readonly is: 'panel';
      readonly form: MediumForm;
      readonly columns: number | null;
      readonly place: 'usual' | 'narrowed' | 'shifted';
    }
  /** Lists of a footer in so many columns. */
  | { readonly is: 'columns'; readonly columns: number }
  /** The side area: beside the content, or above it behind a button. */
  | { readonly is: 'beside' }
  | { readonly is: 'above' }
  | { readonly is: 'folded' }
  /** The drawer: it has taken over, or has not. */
  | { readonly is: 'takesOver' }
  | { readonly is: 'unused' };

/** See `LaneState`. */
export type DropPlace = 'usual' | 'flipped' | 'beyond';

/** From which width of the window on, up to the next stretch, something is the same; both in px, both included. */
export interface LaneStretch extends WidthRange {
  readonly state: LaneState;
}

/** One thing of a page, at every width of the window. */
export interface Lane {
  readonly of: 'band' | 'bar' | 'dropdown' | 'panel' | 'side' | 'footer' | 'drawer';
  /** The band, or the part that shows the menu; of the side and the drawer, the area. */
  readonly part: Id;
  /** Of a dropdown or panel: the entry that it drops from. */
  readonly item?: Id;
  /** Null: it depends on what only a browser knows. */
  readonly stretches: readonly LaneStretch[] | null;
}

/** Whether somebody should look at it: entries in several rows, text in several lines, what leaves the screen. */
export function isProblem(state: LaneState): boolean {
  if (state.is === 'rows') return state.rows > 1 || state.isApart === true;
  if (state.is === 'band') return state.rows > 1 && state.isBars !== true;
  return state.is === 'list' && (state.place === 'beyond' || state.broken.length > 0);
}

/** The states of something from a width to another, where each change is one from a state to another that stays. */
export function stretchesBetween(
  stateAt: (width: number) => LaneState,
  from: number,
  to: number,
): LaneStretch[] {
  const stretches: LaneStretch[] = [];
  for (let start = from; start <= to;) {
    const state = stateAt(start);
    const same = JSON.stringify(state);
    // Mostly it is the same to the end.
    let [low, high] = JSON.stringify(stateAt(to)) === same ? [to, to] : [start, to];
    while (low < high) {
      const middle = Math.ceil((low + high) / 2);
      if (JSON.stringify(stateAt(middle)) === same) low = middle;
      else high = middle - 1;
    }
    stretches.push({ from: start, to: low, state });
    start = low + 1;
  }
  return stretches;
}

/** Stretches in their order, those next to each other that are the same as one. */
export function asOne(stretches: readonly LaneStretch[]): LaneStretch[] {
  const found: LaneStretch[] = [];
  for (const one of stretches.toSorted((a, b) => a.from - b.from)) {
    const before = found.at(-1);
    if (
      before !== undefined &&
      before.to + 1 === one.from &&
      JSON.stringify(before.state) === JSON.stringify(one.state)
    )
      found[found.length - 1] = { ...before, to: one.to };
    else found.push(one);
  }
  return found;
}
