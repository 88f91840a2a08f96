import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { MORE } from '../resolve/moreEntry.ts';
import { joined, type BarStretch, type RowState } from './fitBar.ts';
import {
  contentAt,
  measuredBands,
  roomOf,
  type HeaderFacts,
  type MeasuredBand,
  type MeasuredZone,
} from './fitBand.ts';
import type { Measure } from './measure.ts';
import type { MeasuredPart } from './partWidth.ts';
import { breaksAt, roomFor } from './rows.ts';

/** The rows of a bar of a header, at every width of the window. */
export interface BarLane {
  /** The part that shows it. */
  readonly part: Id;
  /** Null: something in its band is as wide as only a browser knows. */
  readonly stretches: readonly BarStretch[] | null;
}

/**
 * The rows of all bars of a header at every width of the window, in px, as its bands share the room: zones side by side
 * where the window is wide enough, and below each other on narrow ones; and what bars do where they do not fit.
 * O(texts), and changes in each band.
 */
export function fitHeader(
  document: SiteDocument,
  facts: HeaderFacts,
  span: { readonly from: number; readonly to: number },
  measure: Measure,
): BarLane[] {
  return measuredBands(document, facts, span, measure).flatMap(({ measured }) => {
    const lanes = new Map<Id, { stretches: BarStretch[]; isKnown: boolean }>();
    for (const band of measured)
      for (const [part, stretches] of rowsInBand(band)) {
        const lane = lanes.get(part) ?? { stretches: [], isKnown: true };
        lanes.set(part, lane);
        if (stretches === null) lane.isKnown = false;
        else lane.stretches.push(...stretches);
      }
    return [...lanes].map(([part, { stretches, isKnown }]) => ({
      part,
      stretches: isKnown ? joined(stretches.toSorted((a, b) => a.from - b.from)) : null,
    }));
  });
}

/** The rows of each bar of a band, in the widths of the window that are alike. */
function rowsInBand(band: MeasuredBand): (readonly [Id, readonly BarStretch[] | null])[] {
  const { zones, bars, window } = band;
  if (zones === null) return bars.map((part) => [part, null]);
  return zones.flatMap((zone) =>
    zone.parts.flatMap((part): (readonly [Id, readonly BarStretch[]])[] => {
      if (part.bar === undefined) return [];
      const stateAt = (width: number): RowState =>
        barState(part, zone, roomOf(zone, band, contentAt(band, width)));
      return [[part.id, stretchesOf(stateAt, window.from, window.to)]];
    }),
  );
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

/**
 * The stretches of widths in which a bar is the same. More room never makes more rows, nor what it does again, so that a
 * change is found by halving. O(changes log widths).
 */
function stretchesOf(stateAt: (window: number) => RowState, from: number, to: number): BarStretch[] {
  const stretches: BarStretch[] = [];
  for (let start = from; start <= to;) {
    const state = stateAt(start);
    const same = JSON.stringify(state);
    let [low, high] = [start, to];
    while (low < high) {
      const middle = Math.ceil((low + high) / 2);
      if (JSON.stringify(stateAt(middle)) === same) low = middle;
      else high = middle - 1;
    }
    stretches.push({ from: start, to: low, ...state });
    start = low + 1;
  }
  return stretches;
}
