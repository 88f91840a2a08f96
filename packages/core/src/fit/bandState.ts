import type { Id } from '../base/ids.ts';
import { contentAt, roomOf, type MeasuredBand, type MeasuredZone } from './fitBand.ts';
import type { LaneState } from './lane.ts';
import { breaksAt } from './rows.ts';

/** How the parts of a band stand in a window so wide, in px. `zones`: all that are in it. O(parts). */
export function bandState(
  band: MeasuredBand,
  zones: readonly MeasuredZone[],
  width: number,
): Extract<LaneState, { is: 'band' }> {
  const content = contentAt(band, width);
  const inZones = zones.map((zone) => ({ zone, firsts: firstsIn(zone, roomOf(zone, band, content)) }));
  // On narrow screens, whole zones wrap; on wider ones they stay side by side.
  const starts = band.window.device === 'narrow' ? [0, ...zoneBreaks(band, zones, content)] : [0];
  const rows = starts.map((start, at) => inZones.slice(start, starts[at + 1] ?? inZones.length));
  const firsts = rows.flatMap((row, at) => {
    const own = row.flatMap((one) => one.firsts);
    const [lead] = row.flatMap(({ zone }) => zone.parts);
    return at > 0 && lead !== undefined && hasParts(rows.slice(0, at)) ? [lead.id, ...own] : own;
  });
  const count = rows
    .filter((row) => hasParts([row]))
    .reduce((sum, row) => sum + Math.max(...row.map((one) => one.firsts.length + 1)), 0);
  // A bar that moves to a row of its own is told as the bar's.
  const isBars = rows.length === 1 && inZones.every((one) => one.firsts.length === 0 || hasBar(one.zone));
  return { is: 'band', rows: Math.max(1, count), firsts, ...(count > 1 && isBars ? { isBars } : {}) };
}

/** The parts of a zone that begin a row behind the first. */
function firstsIn({ parts, gap }: MeasuredZone, room: number): readonly Id[] {
  if (parts.some(({ policy }) => policy !== undefined)) return [];
  const widths = parts.map((one) => Math.min(one.width, room));
  return breaksAt({ widths, gap }, room).map((at) => parts[at]?.id ?? '');
}

function zoneBreaks(
  { gap }: MeasuredBand,
  zones: readonly MeasuredZone[],
  content: number,
): readonly number[] {
  return breaksAt({ widths: zones.map(({ width }) => width), gap }, content);
}

function hasParts(rows: readonly (readonly { readonly zone: MeasuredZone }[])[]): boolean {
  return rows.some((row) => row.some(({ zone }) => zone.parts.length > 0));
}

function hasBar({ parts }: MeasuredZone): boolean {
  return parts.some(({ bar }) => bar !== undefined);
}
