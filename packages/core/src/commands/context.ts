import { refusal, type Refusal } from '../base/refusal.ts';
import { mintId, type Id, type RandomBits } from '../base/ids.ts';
import { no, ok, type Result } from '../base/result.ts';
import type { Sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { branchOf } from '../model/branchOf.ts';
import { childrenOf } from '../model/forest.ts';
import { nameOf } from '../model/labelOf.ts';
import { menuOf } from '../model/menuOf.ts';
import { editProblem } from '../ops/newProblem.ts';
import { applyEdit } from '../ops/applyEdit.ts';
import { EDIT_VERSION, type Edit } from '../ops/edit.ts';
import { kindOf, type Operation } from '../ops/registry.ts';
import { preorder } from '../walk/preorder.ts';
import { removal } from './panelParts.ts';
import { throughFollowed, type FilledFrom } from './throughFollowed.ts';

/** What a command needs to know besides its intention. */
export interface CommandContext {
  /** What is shown: with what is followed filled in, if there is any. */
  readonly document: SiteDocument;
  /** What it was filled in from; not there: nothing is. */
  readonly from?: FilledFrom;
  /** The revision that the document is based on. */
  readonly base: number;
  readonly session: Id;
  readonly random: RandomBits;
}

/** What an edit is called, and what it belongs to. */
export interface EditChoices {
  readonly sentence?: Sentence;
  readonly group?: string | null;
  readonly undoes?: Id | null;
  /** What to call the thing in "that changes nothing". */
  readonly label?: string;
  /** The operations are about what is kept already, not about what is shown. */
  readonly isStored?: boolean;
}

/** The document without what is filled in. */
export function storedOf({ document, from }: Pick<CommandContext, 'document' | 'from'>): SiteDocument {
  return from?.stored ?? document;
}

/**
 * Makes an edit of operations: tries them on the document, so that what a command gives is known to apply,
 * and is refused here and not later. An edit that would change nothing is refused too.
 */
export function makeEdit(
  context: CommandContext,
  wanted: readonly Operation[],
  choices: EditChoices = {},
): Result<Edit> {
  const [first] = wanted;
  if (first === undefined) return no(refusal('nothingChosen'));
  const { document: shown, from, base, session, random } = context;
  const document = storedOf(context);
  const through =
    from === undefined || choices.isStored === true
      ? ok([...wanted])
      : throughFollowed(shown, from, wanted, random);
  if (!through.ok) return through;
  const operations =
    (choices.undoes ?? null) === null ? withPanelsRemoved(document, through.value) : through.value;
  const edit: Edit = {
    id: mintId('edit', random),
    version: EDIT_VERSION,
    base,
    session,
    group: choices.group ?? null,
    undoes: choices.undoes ?? null,
    sentence: choices.sentence ?? kindOf(first).describe(shown, first),
    operations,
  };
  const unsafe = edit.undoes === null ? editProblem(document, operations) : null;
  if (unsafe !== null) return no(unsafe);
  const applied = applyEdit(document, edit);
  if (!applied.ok) return applied;
  // What is taken back may be as deep as it was: the limit is for what is new.
  const tooDeep =
    edit.undoes === null
      ? beyondLimit(document, applied.value.document, applied.value.edit.operations)
      : null;
  if (tooDeep !== null) return no(tooDeep);
  if (applied.value.document === document)
    return no(refusal('changesNothing', { label: choices.label ?? 'it' }));
  return ok(applied.value.edit);
}

/** The operations, with the parts of panels taken out before the items that they drop from are removed. */
export function withPanelsRemoved(document: SiteDocument, operations: readonly Operation[]): Operation[] {
  // Rows that the edit hands on, or takes out itself, are no longer there then.
  const elsewhere = new Set(
    operations.flatMap((one) =>
      one.kind === 'movePart' ? [one.id] : one.kind === 'removePart' ? one.branch.map(({ id }) => id) : [],
    ),
  );
  return operations.flatMap((operation): Operation[] => {
    if (operation.kind !== 'removeItem' || document.parts.nodes.size === 0) return [operation];
    const [top] = operation.branch;
    const branch =
      top !== undefined && document.items.nodes.has(top.id) ? branchOf(document.items, top.id) : [];
    const rows = branch
      .flatMap(({ id }) => [...childrenOf(document.parts, id)])
      .filter((row) => !elsewhere.has(row));
    return [...rows.map((row) => removal(document, row)), operation];
  });
}

/**
 * The first item that the operations put deeper than its menu allows, as a refusal. What was too deep before
 * may stay.
 */
function beyondLimit(
  before: SiteDocument,
  after: SiteDocument,
  operations: readonly Operation[],
): Refusal | null {
  for (const operation of operations) {
    const top =
      operation.kind === 'addItem'
        ? operation.branch[0]?.id
        : operation.kind === 'moveItem'
          ? operation.id
          : undefined;
    if (top === undefined || !after.items.nodes.has(top)) continue;
    const menu = menuOf(after, top);
    const limit = menu.depthLimit;
    if (limit === undefined) continue;
    const level = levelOf(after, top);
    const wasWithin =
      before.items.nodes.has(top) && menuOf(before, top).id === menu.id ? levelOf(before, top) : 0;
    if (level <= wasWithin) continue;
    for (const { node, depth } of preorder([top], (id) => childrenOf(after.items, id))) {
      if (level + depth > limit)
        return refusal('tooDeep', {
          label: nameOf(after, 'items', node),
          level: level + depth,
          limit,
          above: Math.max(1, limit - depth - 1),
        });
    }
  }
  return null;
}

/** The level that an item stands on, from 1. O(depth). */
function levelOf(document: SiteDocument, id: Id): number {
  let level = 0;
  for (
    let node = document.items.nodes.get(id);
    node !== undefined;
    node = document.items.nodes.get(node.parent)
  )
    level += 1;
  return level;
}
