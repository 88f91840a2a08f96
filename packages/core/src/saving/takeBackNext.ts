import { mintId, type Id, type RandomBits } from '../base/ids.ts';
import { refusal } from '../base/refusal.ts';
import { no, ok, type Result } from '../base/result.ts';
import { quoted, sentence } from '../base/sentences.ts';
import { undoEdit } from '../commands/undo.ts';
import { nextRedo, nextUndo, withoutSkipped } from '../history/history.ts';
import { EDIT_VERSION, type Edit } from '../ops/edit.ts';
import { historyOf, withPerformed, type WorkingCopy } from './workingCopy.ts';

/** The outcome of one undo or redo. */
export interface TakenBack {
  readonly copy: WorkingCopy;
  /** The edits that do it, in order: one, or as many as the group has. */
  readonly edits: readonly Edit[];
}

const none: ReadonlySet<Id> = new Set();

/**
 * Undoes what this session did last and still stands (or redoes what it undid last), with all of its group or
 * not at all. `skipped`: steps that the person has passed over.
 */
export function takeBackNext(
  copy: WorkingCopy,
  direction: 'undo' | 'redo',
  random: RandomBits,
  skipped: ReadonlySet<Id> = none,
): Result<TakenBack> {
  const history = withoutSkipped(historyOf(copy), skipped);
  const ids = direction === 'undo' ? nextUndo(history) : nextRedo(history);
  if (ids.length === 0) return no(refusal(direction === 'undo' ? 'nothingToUndo' : 'nothingToRedo'));
  const group = ids.length > 1 ? mintId('edit', random) : null;
  const edits: Edit[] = [];
  let current = copy;
  for (const id of ids) {
    const made = takeBackOne(current, id, group, random);
    if (!made.ok) return made;
    current = withPerformed(current, made.value);
    edits.push(made.value);
  }
  return ok({ copy: current, edits });
}

function takeBackOne(
  { document, served, session, log, pending }: WorkingCopy,
  id: string,
  group: string | null,
  random: RandomBits,
): Result<Edit> {
  const known = [...log, ...pending];
  const at = known.findIndex((edit) => edit.id === id);
  const edit = known[at];
  if (edit === undefined) return no(refusal('unknownEdit', { id }));
  if (edit.operations.length > 0)
    return undoEdit(
      { document, base: served.revision, session, random },
      { edit, since: known.slice(at + 1), group },
    );
  // Too large to be sent along with the log: the server makes its inverse, and the window sees it when it is
  // done.
  const words = sentence('undone', { sentence: quoted(edit.sentence) });
  return ok({
    id: mintId('edit', random),
    version: EDIT_VERSION,
    base: served.revision,
    session,
    group,
    undoes: id,
    sentence: words,
    operations: [],
  });
}
