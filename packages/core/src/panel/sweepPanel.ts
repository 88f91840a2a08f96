import { placePanel, type Extent, type PanelAlign, type PanelSurroundings, type Span } from './placePanel.ts';

/** Screens on which something is so, from a width to a width, in px, both included. */
export interface WidthRange {
  readonly from: number;
  readonly to: number;
}

/** The widths at which a panel is narrowed, and those at which it is shifted. */
export interface PanelSweep {
  readonly narrowed: readonly WidthRange[];
  readonly shifted: readonly WidthRange[];
}

export interface SweepChoices extends PanelSurroundings {
  readonly from: number;
  readonly to: number;
}

/**
 * On which screens a panel is narrowed or shifted to stay inside, for every width from one to another, given
 * where things are on a screen of one width. What is around a bar keeps its distance from both edges as the
 * screen grows; an item keeps its own from where lines begin. O(widths).
 */
export function sweepPanel(
  extent: Extent,
  align: PanelAlign,
  { from, to, screen, ...seen }: SweepChoices,
): PanelSweep {
  const narrowed: WidthRange[] = [];
  const shifted: WidthRange[] = [];
  for (let width = from; width <= to; width += 1) {
    const grown = ({ start, size }: Span): Span => ({ start, size: Math.max(0, size + width - screen) });
    const { isNarrowed, isShifted } = placePanel(extent, align, {
      ...seen,
      screen: width,
      bar: grown(seen.bar),
      container: grown(seen.container),
    });
    if (isNarrowed) extend(narrowed, width);
    else if (isShifted) extend(shifted, width);
  }
  return { narrowed, shifted };
}

function extend(ranges: WidthRange[], width: number): void {
  const last = ranges.at(-1);
  if (last?.to === width - 1) ranges[ranges.length - 1] = { from: last.from, to: width };
  else ranges.push({ from: width, to: width });
}
