import { refusal } from '../base/refusal.ts';
import { mintId, type Id, type RandomBits } from '../base/ids.ts';
import { no, ok, type Result } from '../base/result.ts';
import type { Sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { applyEdit } from '../ops/applyEdit.ts';
import { EDIT_VERSION, type Edit } from '../ops/edit.ts';
import { kindOf, type Operation } from '../ops/registry.ts';

/** What a command needs to know besides its intention. */
export interface CommandContext {
  readonly document: SiteDocument;
  /** The revision that the document is based on. */
  readonly base: number;
  readonly session: Id;
  readonly random: RandomBits;
}

export interface EditChoices {
  readonly sentence?: Sentence;
  readonly group?: string | null;
  readonly undoes?: Id | null;
  /** What to call the thing in "that changes nothing". */
  readonly label?: string;
}

/**
 * Makes an edit of operations: tries them on the document, so that what a command gives is known to apply, and is refused here and
 * not later. An edit that would change nothing is refused too.
 */
export function makeEdit(context: CommandContext, operations: readonly Operation[], choices: EditChoices = {}): Result<Edit> {
  const [first] = operations;
  if (first === undefined) return no(refusal('nothingChosen'));
  const { document, base, session, random } = context;
  const edit: Edit = {
    id: mintId('edit', random),
    version: EDIT_VERSION,
    base,
    session,
    group: choices.group ?? null,
    undoes: choices.undoes ?? null,
    sentence: choices.sentence ?? kindOf(first).describe(document, first),
    operations,
  };
  const applied = applyEdit(document, edit);
  if (!applied.ok) return applied;
  if (applied.value.document === document) return no(refusal('changesNothing', { label: choices.label ?? 'it' }));
  return ok(applied.value.edit);
}
