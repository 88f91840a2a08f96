import {
  applyEdit,
  EDIT_VERSION,
  invertEdit,
  no,
  quoted,
  refusal,
  sentence,
  upgraded,
  type Accepted,
  type Edit,
  type Id,
  type Param,
  type Result,
  type Sentence,
} from '@zorvik/core';
import { editsSince } from '../repositories/log.ts';
import type { EditingDeps } from './editingDeps.ts';
import { keepDecided, type Saved } from './saveEdit.ts';

export interface ToGoBack {
  /** The id of the edit that this makes: the same again gives the same answer. */
  readonly id: Id;
  readonly session: Id;
  /** The state after this revision is what the site becomes again; 0 is the empty site. */
  readonly revision: number;
  readonly actor: string;
  readonly known: number;
  readonly epoch?: string;
}

/** The state after a restore is the state after what it restored. */
function restored(target: Sentence): Param {
  return (target.code === 'wentBack' ? target.params.sentence : undefined) ?? quoted(target);
}

/**
 * Makes a site what it was after a revision, by one more edit: the log goes on, and this can be taken back
 * like any other. It holds the inverse of every edit since, latest first; the log replays exactly, so its
 * inverse does, too. O(edits since).
 */
export function goBack(
  deps: EditingDeps,
  siteKey: string,
  { id, session, revision, actor, known, ...rest }: ToGoBack,
): Promise<Result<Saved>> {
  return keepDecided(deps, siteKey, {
    id,
    actor,
    known,
    ...rest,
    async decide(tx, present): Promise<Result<Accepted>> {
      if (revision >= present.revision) return no(refusal('changesNothing', { label: 'the site' }));
      const before = await editsSince(tx, present.id, revision - 1);
      const since = before.filter((edit) => edit.revision > revision);
      const isWhole =
        since.length === present.revision - revision && (revision === 0 || before.length > since.length);
      if (!isWhole) return no(refusal('tooOld'));
      const target = before.find((edit) => edit.revision === revision);
      const words =
        target === undefined
          ? sentence('wentToStart', {})
          : sentence('wentBack', { sentence: restored(target.sentence) });
      const operations = since.toReversed().flatMap(invertEdit);
      const edit: Edit = {
        id,
        version: EDIT_VERSION,
        base: present.revision,
        session,
        group: null,
        undoes: null,
        sentence: words,
        operations,
      };
      const back = applyEdit(present.document, edit);
      // The state to go back to may be of an older format: then it is upgraded as it was at its time.
      if (!back.ok || back.value.document.format === present.document.format) return back;
      const again = upgraded(back.value.document, deps.upgrades).operations;
      return applyEdit(present.document, { ...edit, operations: [...operations, ...again] });
    },
  });
}
