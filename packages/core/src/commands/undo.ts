import type { Id } from '../base/ids.ts';
import type { Result } from '../base/result.ts';
import type { Edit } from '../ops/edit.ts';
import { takeBack, type KnownEdit } from '../history/takeBack.ts';
import { makeEdit, type CommandContext } from './context.ts';

/** An edit to undo, and what has happened since. */
export interface ToTakeBack {
  readonly edit: Edit;
  /** All edits that came after it, oldest first, those still on their way included. */
  readonly since: readonly KnownEdit[];
  /** Shared by the edits that one press of the key takes back. */
  readonly group: string | null;
}

/** Takes one edit back by an edit that inverts it. To bring it back, take back the edit that did so. */
export function undoEdit(context: CommandContext, { edit, since, group }: ToTakeBack): Result<Edit> {
  const back = takeBack(context.document, edit, since);
  if (!back.ok) return back;
  const { operations, sentence } = back.value;
  const undoes: Id = edit.id;
  return makeEdit(context, operations, { sentence, undoes, group });
}
