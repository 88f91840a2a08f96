import type { ResolvedItem } from '../resolve/resolved.ts';
import type { Policy } from '../schema/part.ts';
import { moreEntry } from '../resolve/moreEntry.ts';
import {
  barEntryWidth,
  barSlack,
  measuredEntries,
  type BarSetting,
  type BarSlack,
  type MeasuredBar,
  type Tight,
} from './barEntry.ts';
import type { FitPlace } from './fitStyle.ts';
import { roomFor } from './rows.ts';

/** What a bar does where its entries do not fit into one row, with the widths that it takes then, in layout units. */
export type MeasuredPolicy =
  | { readonly does: 'scroll' }
  | {
      readonly does: 'shrink';
      readonly steps: readonly { readonly tight: Tight; readonly bar: MeasuredBar }[];
    }
  | {
      readonly does: 'fold';
      /** The least room, for each entry, in which it is seen in the bar. It never falls from one to the next. */
      readonly rooms: readonly number[];
      /** How wide “More” is. */
      readonly more: number;
    };

/** Where a bar is, and where its entries are. */
export interface PolicySetting extends BarSetting {
  readonly place: FitPlace;
  readonly placeOf: (item: ResolvedItem) => FitPlace;
  /** What “More” is called. */
  readonly more: string;
}

/** Less than this no bar has: gaps and padding, and text in px that can still be read. */
const LEAST = { gap: 4, padding: 6, text: 14 };
/** How much smaller text becomes at most, in px. */
const MOST_SMALLER = 2;

/** Measures what a bar does where it does not fit. O(texts) for each of at most four steps. */
export function measuredPolicy(
  does: Policy,
  items: readonly ResolvedItem[],
  bar: MeasuredBar,
  setting: PolicySetting,
): MeasuredPolicy {
  const { place, placeOf, more: label } = setting;
  if (does === 'scroll') return { does };
  if (does === 'shrink') {
    const steps = tightened(barSlack(items, bar, setting, placeOf)).map((tight) => ({
      tight,
      bar: measuredEntries(items, place, { ...setting, tight }, placeOf),
    }));
    return { does, steps };
  }
  const entry = moreEntry(items, label);
  const more = barEntryWidth(entry, placeOf(entry), false, setting);
  const { widths, gap } = bar.line;
  const all = roomFor(bar.line);
  let sum = 0;
  const rooms = widths.map((width) => {
    sum += width + gap;
    return Math.min(sum + more, all);
  });
  return { does, rooms, more };
}

/**
 * The steps in which a bar becomes smaller, at most four: gaps and padding first, in two steps of whole px, then text,
 * in two steps of halves. What would change nothing is no step.
 */
export function tightened({ gap, start, end, size }: BarSlack): Tight[] {
  const half = (own: number, least: number): number => Math.ceil((own + Math.min(own, least)) / 2);
  const closer = (to: (own: number, least: number) => number): Tight => ({
    ...(gap > LEAST.gap ? { gap: to(gap, LEAST.gap) } : {}),
    ...(start > LEAST.padding ? { start: to(start, LEAST.padding) } : {}),
    ...(end > LEAST.padding ? { end: to(end, LEAST.padding) } : {}),
  });
  const least = closer((_, limit) => limit);
  const smallest = size === null ? Infinity : Math.max(LEAST.text, Math.ceil((size - MOST_SMALLER) * 2) / 2);
  const middle = size === null ? Infinity : Math.ceil(size + smallest) / 2;
  const steps: readonly Tight[] = [
    closer(half),
    least,
    ...[middle, smallest].filter((text) => text < (size ?? 0)).map((text) => ({ ...least, size: text })),
  ];
  const known = new Set(['{}']);
  return steps.filter((step) => {
    const key = JSON.stringify(step);
    const isNew = !known.has(key);
    known.add(key);
    return isNew;
  });
}
