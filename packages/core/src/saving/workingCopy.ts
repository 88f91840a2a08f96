import type { Id } from '../base/ids.ts';
import { isEqual } from '../base/isEqual.ts';
import { newHistory, withEdit, type History } from '../history/history.ts';
import type { SiteDocument } from '../model/document.ts';
import { applyEdit } from '../ops/applyEdit.ts';
import type { Edit, LoggedEdit } from '../ops/edit.ts';
import { ledThrough } from './ledThrough.ts';

/** A site as a server gives it. */
export interface Served {
  /** Changes when the site was restored from a backup: revisions of another epoch mean nothing. */
  readonly epoch: string;
  readonly revision: number;
  readonly document: SiteDocument;
}

/**
 * What one window shows of a site: the server's document with the window's own edits that are not
 * acknowledged yet replayed on it. A value: each function below gives the next one. The simulation runs the
 * very same code as the browser.
 */
export interface WorkingCopy {
  readonly session: Id;
  readonly served: Served;
  /** `served` with the pending edits on it: what the person sees. */
  readonly document: SiteDocument;
  /**
   * This session's edits that the server has not answered, as they were made, oldest first. They stay until
   * it answers.
   */
  readonly pending: readonly Edit[];
  /**
   * What is known of the log up to `served.revision`: all of this session's edits, and others' as far as they
   * came by.
   */
  readonly log: readonly LoggedEdit[];
  /** Logged edits that arrived before those that come before them. */
  readonly ahead: readonly LoggedEdit[];
}

/**
 * The working copy of a window that has just loaded: the server's document with this session's pending edits
 * on it.
 */
export function openWorkingCopy(
  session: Id,
  served: Served,
  log: readonly LoggedEdit[],
  pending: readonly Edit[],
): WorkingCopy {
  const known = new Set(log.map(({ id }) => id));
  const own = pending.filter((edit) => edit.session === session && !known.has(edit.id));
  return shown({ session, served, document: served.document, pending: own, log, ahead: [] });
}

/** The copy with one more edit of this session, which was made on its document and applies to it. */
export function withPerformed(copy: WorkingCopy, edit: Edit): WorkingCopy {
  const applied = applyEdit(copy.document, edit);
  if (!applied.ok)
    throw new Error(`An edit does not apply to the document that it was made on: ${applied.refusal.message}`);
  return { ...copy, document: applied.value.document, pending: [...copy.pending, applied.value.edit] };
}

/** The copy with edits that the server has logged, in whatever order and however often they arrive. */
export function withLogged(copy: WorkingCopy, edits: readonly LoggedEdit[]): WorkingCopy {
  const waiting = new Map(
    [...copy.ahead, ...edits]
      .filter(({ revision }) => revision > copy.served.revision)
      .map((edit) => [edit.revision, edit]),
  );
  const next: LoggedEdit[] = [];
  for (
    let at = copy.served.revision + 1, edit = waiting.get(at);
    edit !== undefined;
    at += 1, edit = waiting.get(at)
  ) {
    next.push(edit);
    waiting.delete(at);
  }
  const ahead = [...waiting.values()].sort((a, b) => a.revision - b.revision);
  return next.length === 0 ? { ...copy, ahead } : caughtUp({ ...copy, ahead }, next);
}

function caughtUp(copy: WorkingCopy, next: readonly LoggedEdit[]): WorkingCopy {
  const served = next.reduce<Served>(replayed, copy.served);
  const arrived = new Set(next.map(({ id }) => id));
  const pending = copy.pending.filter(({ id }) => !arrived.has(id));
  const after = { ...copy, served, pending, log: [...copy.log, ...next] };
  const isOwnOnly = next.every(
    ({ id, operations }, at) =>
      id === copy.pending[at]?.id && isEqual(operations, copy.pending[at].operations),
  );
  // Nobody came between, and they took effect as they are shown: what is on screen stays the very same.
  if (isOwnOnly)
    return { ...after, served: pending.length === 0 ? { ...served, document: copy.document } : served };
  return shown(after);
}

function replayed({ epoch, document }: Served, edit: LoggedEdit): Served {
  const applied = applyEdit(document, edit);
  if (!applied.ok)
    throw new Error(`The log does not replay at revision ${edit.revision}: ${applied.refusal.message}`);
  return { epoch, revision: edit.revision, document: applied.value.document };
}

/**
 * The copy without an edit that the server refused. Others that stood on it are shown or not, as they apply;
 * the server tells of each.
 */
export function withRefused(copy: WorkingCopy, id: Id): WorkingCopy {
  const pending = copy.pending.filter((edit) => edit.id !== id);
  return pending.length === copy.pending.length ? copy : shown({ ...copy, pending });
}

/**
 * The copy over a document that was loaded whole, because too much was missed, or because the site was
 * restored. `own` are this session's edits that were logged since the revision that the copy was at.
 */
export function withReloaded(copy: WorkingCopy, served: Served, own: readonly LoggedEdit[]): WorkingCopy {
  const isSame = served.epoch === copy.served.epoch;
  if (isSame && served.revision < copy.served.revision) return copy;
  const missed = [...own, ...copy.ahead].filter(
    ({ revision }) => revision > copy.served.revision && revision <= served.revision,
  );
  const unique = [...new Map(missed.map((edit) => [edit.revision, edit])).values()].sort(
    (a, b) => a.revision - b.revision,
  );
  const arrived = new Set((isSame ? unique : own).map(({ id }) => id));
  return shown({
    ...copy,
    served,
    log: isSame ? [...copy.log, ...unique] : own,
    ahead: isSame ? copy.ahead.filter(({ revision }) => revision > served.revision) : [],
    // Revisions of another epoch cannot be led through: those edits start from what is there now.
    pending: copy.pending
      .filter(({ id }) => !arrived.has(id))
      .map((edit) => (isSame ? edit : { ...edit, base: served.revision })),
  });
}

/**
 * With the pending edits replayed on what is served. One that does not apply (yet) is left out; only the
 * server says that it is refused.
 */
function shown(copy: WorkingCopy): WorkingCopy {
  const document = copy.pending.reduce((current, edit) => {
    const applied = applyEdit(current, ledThrough(edit, copy.log));
    return applied.ok ? applied.value.document : current;
  }, copy.served.document);
  return { ...copy, document };
}

/** What this session may take back and bring back. */
export function historyOf({ session, log, pending }: WorkingCopy): History {
  return [...log, ...pending].reduce(withEdit, newHistory(session));
}
