import type { Id } from '../base/ids.ts';
import type { Span } from '../panel/placePanel.ts';
import type { MeasuredBar } from './barEntry.ts';
import { contentAt, roomOf, type MeasuredBand, type MeasuredZone } from './fitBand.ts';
import { barState, type BarDoes } from './barState.ts';
import { UNITS } from './lengths.ts';
import type { MeasuredPart } from './partWidth.ts';
import { breaksAt, roomFor, type Line } from './rows.ts';

/** Where a bar is in a window, and each of its entries, in px from where lines begin. */
export interface BarPlace {
  readonly bar: Span;
  readonly container: Span;
  /** It scrolls: what drops hangs from the bar itself, and not from the entries. */
  readonly isScrolled: boolean;
  /** What is seen of its entries; those in “More” are not there. */
  readonly entries: ReadonlyMap<Id, Span>;
}

/** Where a bar and its entries are in a window so wide, in px, on all but narrow screens. O(entries). */
export function barPlace(
  part: MeasuredPart & { readonly id: Id },
  zone: MeasuredZone,
  band: MeasuredBand,
  { width, scrollbar }: { readonly width: number; readonly scrollbar: number },
): BarPlace {
  const content = contentAt(band, width);
  const room = roomOf(zone, band, content);
  const begin = Math.floor(((width - scrollbar) * UNITS - content) / 2);
  const isOneRow = part.policy !== undefined || zone.width <= room;
  const line: Line = { widths: zone.parts.map((one) => Math.min(one.width, room)), gap: zone.gap };
  const at = zone.parts.findIndex(({ id }) => id === part.id);
  const row = inRow(line, at, isOneRow ? [] : breaksAt(line, room));
  const { breaks: firsts, does } = barState(part, zone, room);
  const { line: own, ids, size } = barAsIs(part, does);
  const others = zone.width - roomFor(part.bar?.line ?? own);
  // What the bar gives away is there for the other zones.
  const seen = isOneRow ? { ...zone, width: others + size } : zone;
  const zones = band.zones?.map((one) => (one === zone ? seen : one)) ?? null;
  const now = roomOf(seen, { ...band, zones }, content);
  const barSize = Math.min(size, isOneRow ? now - others : now);
  const spare = Math.max(0, now - (isOneRow ? others + barSize : row.used));
  const lead = zone.at === 'start' ? 0 : zone.at === 'end' ? spare : Math.floor(spare / 2);
  const barStart = begin + zoneOffset(zone, band, content, now) + lead + row.start;
  const shown = does?.is === 'folded' ? does.shown : ids.length;
  const entryBreaks = firsts.map((id) => ids.indexOf(id)).filter((one) => one > 0);
  const entries = new Map(
    ids
      .slice(0, shown)
      .map((id, index): [Id, Span] => [
        id,
        span(barStart + inRow(own, index, entryBreaks).start, own.widths[index] ?? 0),
      ]),
  );
  return {
    bar: span(barStart, barSize),
    container: span(begin, content),
    isScrolled: does?.is === 'scrolls',
    entries,
  };
}

/** The entries of a bar as wide as they are when it does something, and all that is seen of it in one row. */
function barAsIs(
  { bar, policy }: MeasuredPart,
  does: BarDoes | undefined,
): MeasuredBar & { readonly size: number } {
  const usual = bar ?? { line: { widths: [], gap: 0 }, ids: [] };
  if (policy?.does === 'fold' && does?.is === 'folded') {
    const { widths, gap } = usual.line;
    return { ...usual, size: roomFor({ widths: [...widths.slice(0, does.shown), policy.more], gap }) };
  }
  const step =
    policy?.does === 'shrink' && does?.is === 'shrunk' ? policy.steps[does.step - 1]?.bar : undefined;
  const seen = step ?? usual;
  return { ...seen, size: roomFor(seen.line) };
}

function span(start: number, size: number): Span {
  return { start: start / UNITS, size: size / UNITS };
}

/** Where a zone begins in the content of its band. */
function zoneOffset(zone: MeasuredZone, band: MeasuredBand, content: number, room: number): number {
  if (zone.at === 'start' || band.zones === null || band.zones.length === 1) return 0;
  if (zone.at === 'end') return content - room;
  const start = band.zones.find(({ at }) => at === 'start')?.width ?? 0;
  const even = Math.floor((content - room) / 2);
  return band.gives === 'centre' ? Math.max(start + band.gap, even) : even;
}

/** Where a box begins in its row, and how much the row takes. */
function inRow(
  { widths, gap }: Line,
  at: number,
  breaks: readonly number[],
): { readonly start: number; readonly used: number } {
  const first = breaks.findLast((one) => one <= at) ?? 0;
  const next = breaks.find((one) => one > at) ?? widths.length;
  const before = widths.slice(first, at).reduce((sum, width) => sum + width + gap, 0);
  return { start: before, used: roomFor({ widths: widths.slice(first, next), gap }) };
}
