import { mintId, type Id } from '../base/ids.ts';
import { refusal } from '../base/refusal.ts';
import { no, type Result } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { wayUp } from '../model/wayUp.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import { ownerOf } from '../model/partRoots.ts';
import { partSentence } from '../ops/addPart.ts';
import { missing } from '../ops/kit/missing.ts';
import type { Edit } from '../ops/edit.ts';
import type { Operation } from '../ops/registry.ts';
import { shapeCells, spansWithCell } from '../panel/shapeCells.ts';
import { GRID_COLUMNS, type Part, type PartKind } from '../schema/part.ts';
import { makeEdit, type CommandContext } from './context.ts';

/** The nearest part of that kind around a part, itself included. */
export function enclosing(document: SiteDocument, id: Id | null, kind: PartKind): Part | null {
  return id === null ? null : (wayUp(document, id).find((part) => part.kind === kind) ?? null);
}

export interface RowCells {
  readonly cells: readonly Part[];
  readonly spans: readonly number[];
}

/** The cells of a row, with what each takes of its columns. */
export function cellsOf({ parts }: SiteDocument, row: Id): RowCells {
  const cells = [...childrenOf(parts, row)].map((id) => nodeAt(parts, id));
  return { cells, spans: cells.map(({ span = 1 }) => span) };
}

/** The operations that give cells other spans. */
export function spanned(cells: readonly Part[], spans: readonly number[]): Operation[] {
  return cells.flatMap(({ id, span = 1 }, at): Operation[] => {
    const wanted = spans[at] ?? span;
    return wanted === span ? [] : [{ kind: 'updatePart', id, set: { span: wanted }, was: { span } }];
  });
}

/** Puts the edge of a cell so that it takes that many of the grid's columns; the one behind it gives way. */
export function shapeCell(context: CommandContext, id: Id, span: number): Result<Edit> {
  const { document } = context;
  const cell = enclosing(document, id, 'cell');
  if (cell === null) return no(missing('parts', id));
  const { cells, spans } = cellsOf(document, cell.parent);
  const at = cells.indexOf(cell);
  const shaped = shapeCells(spans, at, span);
  if (shaped === spans && span < (cell.span ?? 1)) return no(refusal('narrowestAlready'));
  if (shaped === spans) return no(refusal('widestAlready', { span: cell.span ?? 1, columns: GRID_COLUMNS }));
  const words = sentence('cellShaped', {
    label: ownerOf(document, id).name,
    span: shaped[at] ?? span,
  });
  return makeEdit(context, spanned(cells, shaped), { sentence: words });
}

/** Adds a cell behind another one: in what is free of the row, else in half of what that cell takes. */
export function addCell(context: CommandContext, beside: Id): Result<Edit> {
  const { document, random } = context;
  const row = enclosing(document, beside, 'row');
  if (row === null) return no(missing('parts', beside));
  const { cells, spans } = cellsOf(document, row.id);
  const cell = enclosing(document, beside, 'cell');
  const at = cell === null ? cells.length - 1 : cells.indexOf(cell);
  const made = spansWithCell(spans, at);
  if (made === null) return no(refusal('noRoom', { columns: GRID_COLUMNS }));
  const part: Part = { id: mintId('part', random), parent: row.id, kind: 'cell', span: made.own };
  // What is free stands at the end of the row.
  const after = made.spans === spans ? (cells.at(-1)?.id ?? null) : (cells[at]?.id ?? null);
  return makeEdit(context, [...spanned(cells, made.spans), { kind: 'addPart', after, branch: [part] }], {
    sentence: partSentence('added', document, part),
  });
}
