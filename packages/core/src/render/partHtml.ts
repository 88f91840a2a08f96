import { wordsIn } from '../base/visitorWords.ts';
import type { ResolvedPart } from '../resolve/resolved.ts';
import { prefixed } from '../parts/attributes.ts';
import type { Piece, WritesIn } from '../parts/partHandler.ts';
import { handlerOf } from '../parts/partHandlers.ts';
import { styledClass } from './styledClass.ts';

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
      parts.flatMap((part) =>
        handlerOf(part.kind).html(
          part,
          within,
          prefixed('zv-hidden-', part.hiddenOn) + styledClass(part.id, around.styled),
        ),
      ),
  };
  return rows.flatMap((row, at) => {
    const edges = `${prefixed('zv-hidden-', row.hiddenOn)}${styledClass(row.id, around.styled)}${at === 0 ? ' zv-first-row' : ''}${at === rows.length - 1 ? ' zv-last-row' : ''}`;
    return handlerOf(row.kind).html(row, within, edges);
  });
}

/** The bands of an area, or parts in a row, as pieces. `classes`: of the outermost, each with a space before it. */
export function framePieces(
  parts: readonly ResolvedPart[],
  { classes = '', ...around }: PanelAround & FrameOnly & { readonly classes?: string },
): Piece[] {
  return parts.flatMap((part) => {
    // What is shown again has ids of its own, with all that is in it.
    const own = part.uses === undefined ? around : { ...around, prefix: `zv-${part.id}` };
    const within: WritesIn = { ...own, inside: ({ parts: inner = [] }) => framePieces(inner, own) };
    return handlerOf(part.kind).html(part, within, classesOf(part, around.styled) + classes);
  });
}

/** The classes that any part of a frame can have: where it is hidden, and for looks of its own. */
function classesOf(part: ResolvedPart, styled: ReadonlySet<string> | undefined): string {
  return `${prefixed('zv-hidden-', part.hiddenOn)}${doesYield(part) ? ' zv-yields' : ''}${styledClass(part.uses ?? part.id, styled)}`;
}

/** Whether it is left to the drawer; so is a band or a cell with nothing in it but what is. */
function doesYield({ kind, yields, parts = [] }: ResolvedPart): boolean {
  if (yields === true) return true;
  if (kind !== 'band' && kind !== 'cell') return false;
  const inner =
    kind === 'cell' ? parts : parts.flatMap((one) => (one.kind === 'zone' ? (one.parts ?? []) : [one]));
  const shown = inner.filter((one) => one.kind !== 'divider' && one.kind !== 'spacer');
  return shown.length > 0 && shown.every(doesYield);
}
