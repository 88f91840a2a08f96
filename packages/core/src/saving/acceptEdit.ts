import { refusal } from '../base/refusal.ts';
import { no, type Result } from '../base/result.ts';
import { quoted } from '../base/sentences.ts';
import { takeBack } from '../history/takeBack.ts';
import type { SiteDocument } from '../model/document.ts';
import { editProblem } from '../ops/newProblem.ts';
import { applyEdit } from '../ops/applyEdit.ts';
import type { Edit, LoggedEdit } from '../ops/edit.ts';
import { standing } from '../ops/standing.ts';
import { ledThrough } from './ledThrough.ts';

/** What a server has in its log that bears on an edit. */
export interface Past {
  /** What came after the edit's base, oldest first. Not needed for an edit that takes another back. */
  readonly since: readonly LoggedEdit[];
  /** The edit that is to be taken back and all that came after it; null when the log does not have it. */
  readonly undone: { readonly edit: LoggedEdit; readonly since: readonly LoggedEdit[] } | null;
}

/** An accepted edit as it took effect, and the document after it. */
export type Accepted = { readonly document: SiteDocument; readonly edit: Edit };

/**
 * What a server makes of an edit: the document after it and the edit as it took effect, or why not. An
 * ordinary edit is led through what others did since its base; its own session's edits its author knew. What
 * takes an edit back is made anew from that edit as it stands in the log: so it is exact, and so that a large
 * one need not be sent.
 */
export function acceptEdit(document: SiteDocument, edit: Edit, { since, undone }: Past): Result<Accepted> {
  if (edit.undoes === null) {
    const problem = editProblem(document, edit.operations);
    if (problem !== null) return no(problem);
    return applyEdit(document, ledThrough(edit, since));
  }
  if (undone === null) return no(refusal('unknownEdit', { id: edit.undoes }));
  if (undone.edit.session !== edit.session) return no(refusal('notYours'));
  const before = standing(undone.since).find(({ undoes }) => undoes === edit.undoes);
  if (before !== undefined) return no(refusal('backAlready', { sentence: quoted(before.sentence) }));
  const back = takeBack(document, undone.edit, undone.since);
  return back.ok ? applyEdit(document, { ...edit, ...back.value }) : back;
}
