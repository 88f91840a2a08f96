import type { Id } from '../base/ids.ts';
import { MORE } from '../resolve/moreEntry.ts';
import type { MeasuredZone } from './fitBand.ts';
import type { MeasuredPart } from './partWidth.ts';
import { breaksAt, roomFor } from './rows.ts';

/** What a bar does where its entries do not fit into one row. */
export type BarDoes =
  | { readonly is: 'scrolls' }
  | { readonly is: 'shrunk'; readonly step: number; readonly of: number }
  | { readonly is: 'folded'; readonly shown: number; readonly of: number };

/** How a bar is at some width. */
export interface RowState {
  /** The first entry of each row after the first: none where all stand in one. */
  readonly breaks: readonly Id[];
  /** Not there: it needs to do nothing, or its entries wrap. */
  readonly does?: BarDoes;
  /** There is no room for it beside what else is in its zone: they stand in several rows. */
  readonly isApart?: true;
}

/** How a bar is in a zone with so much room. */
export function barState(part: MeasuredPart, zone: MeasuredZone, room: number): RowState {
  const { bar, policy, width, beside } = part;
  if (bar === undefined) return { breaks: [] };
  const firsts = (breaks: readonly number[]): readonly Id[] => breaks.map((at) => bar.ids[at] ?? '');
  // What is wider than its zone is alone in its row, and has all of it.
  if (policy === undefined) {
    const isApart = zone.width > room && zone.parts.length > 1;
    return {
      breaks: width <= room ? [] : firsts(breaksAt(bar.line, room - beside)),
      ...(isApart ? { isApart } : {}),
    };
  }
  const own = room - (zone.width - roomFor(bar.line));
  if (roomFor(bar.line) <= own) return { breaks: [] };
  switch (policy.does) {
    case 'scroll':
      return { breaks: [], does: { is: 'scrolls' } };
    case 'shrink': {
      const { steps } = policy;
      const fits = steps.findIndex((step) => roomFor(step.bar.line) <= own);
      const step = fits === -1 ? steps.length : fits + 1;
      const { line } = steps[step - 1]?.bar ?? bar;
      return {
        breaks: fits === -1 ? firsts(breaksAt(line, own)) : [],
        ...(step === 0 ? {} : { does: { is: 'shrunk', step, of: steps.length } }),
      };
    }
    case 'fold': {
      const shown = policy.rooms.filter((one) => one <= own).length;
      const does = { is: 'folded', shown: Math.max(1, shown), of: bar.ids.length } as const;
      // There is not even room for one entry and “More” side by side.
      return { breaks: shown === 0 ? [MORE] : [], does };
    }
  }
}
