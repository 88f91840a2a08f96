import { wordsIn } from '../base/visitorWords.ts';
import type { ResolvedPart } from '../resolve/resolved.ts';
import { prefixed } from '../parts/attributes.ts';
import type { Piece, WritesIn } from '../parts/partHandler.ts';
import { handlerOf } from '../parts/partHandlers.ts';

/** What is written into a panel, and where. */
export type PanelAround = Omit<WritesIn, 'inside' | keyof FrameOnly>;
type FrameOnly = Pick<WritesIn, 'words' | 'heading' | 'menuHtml' | 'narrow'>;

/** What is otherwise in a frame. */
const inPanel: FrameOnly = { words: wordsIn('en'), heading: 'h3', menuHtml: () => '', narrow: 'not all' };

/** The rows of a panel as pieces. */
export function rowsHtml(rows: readonly ResolvedPart[], around: PanelAround): Piece[] {
  const within: WritesIn = {
    ...inPanel,
    ...around,
    inside: ({ parts = [] }) =>
      parts.flatMap((part) => handlerOf(part.kind).html(part, within, prefixed('zv-hidden-', part.hiddenOn))),
  };
  return rows.flatMap((row, at) => {
    const edges = `${at === 0 ? ' zv-first-row' : ''}${at === rows.length - 1 ? ' zv-last-row' : ''}`;
    return handlerOf(row.kind).html(row, within, edges);
  });
}

/** The bands of an area, or parts in a row, as pieces. */
export function framePieces(parts: readonly ResolvedPart[], around: PanelAround & FrameOnly): Piece[] {
  const within: WritesIn = {
    ...around,
    inside: ({ parts: inner = [] }) => framePieces(inner, around),
  };
  return parts.flatMap((part) =>
    handlerOf(part.kind).html(part, within, prefixed('zv-hidden-', part.hiddenOn)),
  );
}
