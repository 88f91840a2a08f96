import { mintId, type Id } from '../base/ids.ts';
import { plainLine } from '../base/plainLine.ts';
import { refusal } from '../base/refusal.ts';
import { no, ok, type Result } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import { branchOf } from '../model/branchOf.ts';
import type { SiteDocument } from '../model/document.ts';
import { faceOf } from '../model/faceOf.ts';
import { childrenOf, nodeAt, spotOf, type Spot } from '../model/forest.ts';
import { labelOf, nameOf } from '../model/labelOf.ts';
import { newPart, type UnplacedPart } from '../model/newPart.ts';
import { onlyId } from '../model/partProblem.ts';
import { ownerOf } from '../model/partRoots.ts';
import { partPhrase, partSentence } from '../ops/addPart.ts';
import { missing } from '../ops/kit/missing.ts';
import type { Edit } from '../ops/edit.ts';
import type { Operation } from '../ops/registry.ts';
import { dropdownWith } from '../panel/dropdownWith.ts';
import { spansWithCell, spansWithout } from '../panel/shapeCells.ts';
import { partsIn } from '../model/partsIn.ts';
import { notYetShown } from '../panel/shownApart.ts';
import {
  fieldsOf,
  GRID_COLUMNS,
  heldBy,
  partWords,
  type Part,
  type PartFacts,
  type PartField,
  type PartKind,
} from '../schema/part.ts';
import type { Badge } from '../schema/settings.ts';
import { makeEdit, type CommandContext } from './context.ts';
import { faceUpdate } from './faceUpdate.ts';
import { givenBack } from './drawer.ts';
import { beginningOf } from './beginningOf.ts';
import { enclosing, cellsOf, spanned } from './panelCells.ts';
import { additions, removal } from './panelParts.ts';
import { keptBadge } from './settings.ts';
import { stepAlong } from './spots.ts';

/** Facts of a part that are set; null takes one away. */
export type PartChanges = { readonly [F in PartField]?: Exclude<Part[F], undefined> | null };

/** Lets a panel be composed: one row that shows all its groups balanced, which is what it showed before. */
export function composePanel(context: CommandContext, owner: Id): Result<Edit> {
  const { document } = context;
  const item = document.items.nodes.get(owner);
  if (item === undefined) return no(missing('items', owner));
  const label = labelOf(document, item);
  if (childrenOf(document.parts, owner).size > 0) return no(refusal('changesNothing', { label }));
  const begun = firstRow(context, owner);
  const rows = begun.length > 0 ? begun : rowOf(context, owner);
  return makeEdit(context, [...asPanel(document, owner), ...additions(rows, owner)], {
    sentence: sentence('panelComposed', { label }),
  });
}

/**
 * The row that shows what a panel nobody composed shows; nothing where there is nothing to show, or somebody
 * did.
 */
function firstRow(context: CommandContext, owner: Id): Part[] {
  const { document } = context;
  if (childrenOf(document.parts, owner).size > 0 || childrenOf(document.items, owner).size === 0) return [];
  const columns = faceOf(document, nodeAt(document.items, owner)).dropdown?.panel?.columns;
  return rowOf(context, owner, [{ kind: 'groups', ...(columns === undefined ? {} : { columns }) }]);
}

/** The operation that lets an item drop as a panel, if it does not yet. */
export function asPanel(document: SiteDocument, owner: Id): Operation[] {
  const { dropdown = null } = faceOf(document, nodeAt(document.items, owner));
  return dropdown?.form === 'panel'
    ? []
    : [faceUpdate(document, owner, { dropdown: dropdownWith(dropdown, { form: 'panel' }) })];
}

/** Takes all rows out, so that the panel is plain columns of its groups again. */
export function makePlain(context: CommandContext, owner: Id): Result<Edit> {
  const { document } = context;
  const label = nameOf(document, 'items', owner);
  const rows = [...childrenOf(document.parts, owner)];
  if (rows.length === 0) return no(refusal('noParts', { label }));
  return makeEdit(
    context,
    rows.map((row) => removal(document, row)),
    { sentence: sentence('panelPlain', { label }) },
  );
}

/** A row with one cell that takes all its columns. */
function rowOf(
  { random }: CommandContext,
  owner: Id,
  contents: readonly UnplacedPart[] = [],
  only: Part['only'] | null = null,
): Part[] {
  const row = newPart(mintId('part', random), owner, only === null ? { kind: 'row' } : { kind: 'row', only });
  const cell = newPart(mintId('part', random), row.id, { kind: 'cell', span: GRID_COLUMNS });
  return [row, cell, ...contents.map((one) => newPart(mintId('part', random), cell.id, one))];
}

/** Adds a row behind another part's row, or last. */
export function addRow(
  context: CommandContext,
  owner: Id,
  beside: Id | null,
  only: Part['only'] | null = null,
): Result<Edit> {
  const { document } = context;
  if (!document.items.nodes.has(owner)) return no(missing('items', owner));
  const begun = firstRow(context, owner);
  const after =
    begun[0]?.id ??
    (beside === null
      ? childrenOf(document.parts, owner).last()
      : (enclosing(document, beside, 'row')?.id ?? null));
  const branch = rowOf(context, owner, [], only);
  const [row] = branch;
  if (row === undefined) return no(refusal('nothingChosen'));
  const operations: Operation[] = [
    ...asPanel(document, owner),
    ...additions(begun, owner),
    { kind: 'addPart', after, branch },
  ];
  return makeEdit(context, operations, { sentence: partSentence('added', document, row) });
}

/** Takes a part out, with what stands in it; what a cell took goes to the one beside it. */
export function removePartOf(context: CommandContext, id: Id): Result<Edit> {
  const { document } = context;
  const part = document.parts.nodes.get(id);
  if (part === undefined) return no(missing('parts', id));
  if (part.kind !== 'cell') return makeEdit(context, [removal(document, id), ...givenBack(document, part)]);
  const { cells, spans } = cellsOf(document, part.parent);
  // A row without a cell is none.
  if (cells.length === 1) return makeEdit(context, [removal(document, part.parent)]);
  const left = spansWithout(spans, cells.indexOf(part));
  const others = cells.filter((one) => one !== part);
  return makeEdit(context, [removal(document, id), ...spanned(others, left)], {
    sentence: partSentence('removed', document, part),
  });
}

/** Puts a copy of a part, with what stands in it, behind it. */
export function duplicatePart(context: CommandContext, id: Id): Result<Edit> {
  const { document, random } = context;
  const part = document.parts.nodes.get(id);
  if (part === undefined) return no(missing('parts', id));
  const copyOf = new Map<Id, Id>();
  // All other groups are shown once.
  const copies = branchOf(document.parts, id)
    .filter(({ kind }) => kind !== 'groups')
    .map((one): Part => {
      const parent = copyOf.get(one.parent) ?? one.parent;
      const copy = onlyId({ ...one, parent }) ?? mintId('part', random);
      copyOf.set(one.id, copy);
      return newPart(copy, parent, one);
    });
  const [top, ...rest] = copies;
  if (top === undefined) return no(refusal('shownAlready', { label: partWords.groups }));
  const words = { sentence: partSentence('duplicated', document, part) };
  if (part.kind !== 'cell') return makeEdit(context, [{ kind: 'addPart', after: id, branch: copies }], words);
  const { cells, spans } = cellsOf(document, part.parent);
  const at = cells.indexOf(part);
  const made = spansWithCell(spans, at);
  if (made === null) return no(refusal('noRoom', { columns: GRID_COLUMNS }));
  return makeEdit(
    context,
    [
      ...spanned(cells, made.spans),
      {
        kind: 'addPart',
        after: id,
        branch: [newPart(top.id, top.parent, { ...top, span: made.own }), ...rest],
      },
    ],
    words,
  );
}

/**
 * Moves a part one place on or back among those beside it; at the end of a cell or a tab, into the next one.
 */
export function shiftPart(context: CommandContext, id: Id, way: 'up' | 'down'): Result<Edit> {
  const { document } = context;
  const { parts } = document;
  const part = parts.nodes.get(id);
  if (part === undefined) return no(missing('parts', id));
  const naming = (one: Id): string => nameOf(document, 'parts', one);
  const step = stepAlong(parts, [id], way, naming);
  if (step.ok) return movePartTo(context, id, step.value.spot);
  const holders = partsIn(document, ownerOf(document, id).id).filter(({ kind }) =>
    heldBy(kind).includes(part.kind),
  );
  const at = holders.findIndex((one) => one.id === part.parent);
  const next = holders[at + (way === 'up' ? -1 : 1)];
  return next === undefined
    ? step
    : movePartTo(context, id, {
        parent: next.id,
        after: way === 'up' ? childrenOf(parts, next.id).last() : null,
      });
}

/** Puts a part at a spot. A cell that comes into another row gets the room that is there. */
export function movePartTo(context: CommandContext, id: Id, to: Spot): Result<Edit> {
  const { document } = context;
  const { parts } = document;
  const part = parts.nodes.get(id);
  if (part === undefined) return no(missing('parts', id));
  const move: Operation = { kind: 'movePart', id, from: spotOf(parts, id), to };
  if (part.kind !== 'cell' || part.parent === to.parent)
    return makeEdit(context, [move], { label: nameOf(document, 'parts', id) });
  const there = cellsOf(document, to.parent);
  const made =
    there.cells.length === 0
      ? { spans: [], own: GRID_COLUMNS }
      : spansWithCell(
          there.spans,
          there.cells.findIndex((one) => one.id === to.after),
        );
  if (made === null) return no(refusal('noRoom', { columns: GRID_COLUMNS }));
  const here = cellsOf(document, part.parent);
  const left = here.cells.filter((one) => one !== part);
  const was = spotOf(parts, part.parent);
  const own: Operation[] =
    part.span === made.own
      ? []
      : [{ kind: 'updatePart', id, set: { span: made.own }, was: { span: part.span ?? 1 } }];
  const behind: Operation[] =
    left.length > 0
      ? spanned(left, spansWithout(here.spans, here.cells.indexOf(part)))
      : [{ kind: 'removePart', after: was.after, branch: [nodeAt(parts, part.parent)] }];
  return makeEdit(context, [move, ...own, ...spanned(there.cells, made.spans), ...behind]);
}

/** Sets facts of a part. */
export function setPart(context: CommandContext, id: Id, typed: PartChanges): Result<Edit> {
  const part = context.document.parts.nodes.get(id);
  if (part === undefined) return no(missing('parts', id));
  // Whether they are values of their fields is asked of every edit that is made.
  const kept = keptFields(part.kind, typed);
  if (!kept.ok) return kept;
  const set = kept.value;
  const was = Object.fromEntries(Object.keys(set).map((field) => [field, part[field as PartField] ?? null]));
  return makeEdit(context, [{ kind: 'updatePart', id, set, was }], {
    label: nameOf(context.document, 'parts', id),
  });
}

/** Fields as they are kept: lines without what does not show; what is empty is taken away. */
function keptFields(kind: PartKind, typed: PartChanges): Result<PartChanges> {
  const fields = fieldsOf(kind);
  const set: Record<string, unknown> = {};
  for (const [name, given] of Object.entries(typed) as [string, unknown][]) {
    const control = fields[name]?.control.kind;
    const kept = control === 'badge' && given !== null ? keptBadge(given as Badge) : ok(given);
    if (!kept.ok) return kept;
    const value = control === 'line' && typeof kept.value === 'string' ? plainLine(kept.value) : kept.value;
    set[name] = value === '' || (Array.isArray(value) && value.length === 0) ? null : value;
  }
  return ok(set as PartChanges);
}

/**
 * Where something that is added goes: into the chosen cell or tab, or behind the chosen part in it; else into
 * the last cell there is.
 */
function spotIn(document: SiteDocument, owner: Id, chosen: Id | null, kind: PartKind): Spot | null {
  const { parts } = document;
  let behind: Id | null = null;
  for (
    let part = chosen === null ? undefined : parts.nodes.get(chosen);
    part !== undefined;
    part = parts.nodes.get(part.parent)
  ) {
    if (heldBy(part.kind).includes(kind))
      return { parent: part.id, after: behind ?? childrenOf(parts, part.id).last() };
    if (part.kind === 'row') {
      const cell = childrenOf(parts, part.id).last();
      if (cell !== null) return { parent: cell, after: childrenOf(parts, cell).last() };
    }
    behind = part.id;
  }
  const last = partsIn(document, owner).findLast((part) => part.kind === 'cell');
  return last === undefined ? null : { parent: last.id, after: childrenOf(parts, last.id).last() };
}

/** Adds a part of a kind where the chosen one is; to a panel without rows, in a row of its own. */
export function addPartOf(
  context: CommandContext,
  owner: Id,
  chosen: Id | null,
  kind: PartKind,
  facts: PartFacts = {},
): Result<Edit> {
  const { document, random } = context;
  if (!document.items.nodes.has(owner)) return no(missing('items', owner));
  const contents = beginningOf(document, owner, kind);
  if ('code' in contents) return no(contents);
  const [first, ...inner] = contents;
  if (first === undefined) return no(refusal('nothingChosen'));
  const spot = spotIn(document, owner, chosen, kind);
  const begun = spot === null ? firstRow(context, owner) : [];
  const row = spot === null ? rowOf(context, owner) : [];
  const parent = spot?.parent ?? row.at(-1)?.id ?? owner;
  const top = newPart(mintId('part', random), parent, { ...first, ...facts });
  const branch = [top, ...inner.map((one) => newPart(mintId('part', random), top.id, one))];
  const operations: Operation[] =
    spot === null
      ? additions([...begun, ...row, ...branch], owner, childrenOf(document.parts, owner).last())
      : [{ kind: 'addPart', after: spot.after, branch }];
  return makeEdit(context, [...asPanel(document, owner), ...operations], {
    sentence: sentence('partAdded', {
      what: partPhrase(document, top),
      label: nameOf(document, 'items', owner),
    }),
  });
}

/** Shows a child item that no part shows yet, in a group of its own. */
export function placeItem(context: CommandContext, owner: Id, chosen: Id | null, item: Id): Result<Edit> {
  const { document } = context;
  if (document.items.nodes.get(item)?.parent !== owner) return no(missing('items', item));
  if (!notYetShown(document, owner).includes(item))
    return no(refusal('shownAlready', { label: nameOf(document, 'items', item) }));
  return addPartOf(context, owner, chosen, 'group', { item });
}
