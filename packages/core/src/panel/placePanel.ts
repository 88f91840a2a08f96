import type { PanelFacts } from '../schema/dropdown.ts';

/** A stretch along the line that text runs in: from the screen's own beginning, in px. */
export interface Span {
  readonly start: number;
  readonly size: number;
}

/** What a panel's width is measured by. */
export type Extent = NonNullable<PanelFacts['extent']>;
/** Where a panel stands along its extent. */
export type PanelAlign = NonNullable<PanelFacts['align']>;

/** What a panel's place depends on. Spans are measured from where lines begin. */
export interface PanelSurroundings {
  /** How far it is put on from where it was to stand, along the line, in px; not there: nowhere. */
  readonly offset?: number;
  /** The width of the screen, in px. */
  readonly screen: number;
  readonly item: Span;
  readonly bar: Span;
  readonly container: Span;
  /** The width that the content takes where nothing keeps it from it, in px. */
  readonly content: number;
}

/** Where a panel ends up. */
export interface PanelPlace extends Span {
  /** It is less wide than it was wanted, since the screen is. */
  readonly isNarrowed: boolean;
  /** It does not stand where it was wanted, since it would leave the screen there. */
  readonly isShifted: boolean;
}

/** Between a panel and the screen's edge, unless it spans the page, in px. */
export const PANEL_MARGIN = 8;

/**
 * Where a panel stands: always inside the screen, narrowed where it is too wide for it, then shifted where it
 * would leave it. Right to left alike: spans are measured from where lines begin.
 */
export function placePanel(
  extent: Extent,
  align: PanelAlign,
  { screen, item, bar, container, content, offset = 0 }: PanelSurroundings,
): PanelPlace {
  if (extent === 'page') return { start: 0, size: screen, isNarrowed: false, isShifted: false };
  const whole = extent === 'bar' ? bar : extent === 'container' ? container : null;
  const widths = { content, item: item.size, bar: bar.size, container: container.size };
  const wanted = typeof extent === 'number' ? extent : widths[extent];
  const size = Math.max(0, Math.min(wanted, screen - 2 * PANEL_MARGIN));
  const starts = {
    item: item.start,
    start: bar.start,
    centre: bar.start + (bar.size - size) / 2,
    end: bar.start + bar.size - size,
  };
  const asked = whole?.start ?? starts[align] + offset;
  const start = Math.max(PANEL_MARGIN, Math.min(asked, screen - PANEL_MARGIN - size));
  return { start, size, isNarrowed: size < wanted, isShifted: start !== asked };
}
