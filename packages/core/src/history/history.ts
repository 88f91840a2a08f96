import type { Id } from '../base/ids.ts';
import type { Edit } from '../ops/edit.ts';

/**
 * What one session may take back and bring back, as a function of the log alone: so it survives a reload, and
 * no window keeps a secret of its own. Each stack holds ids of standing edits, the latest last. Other
 * people's edits leave both alone.
 */
export interface History {
  readonly session: Id;
  /** Edits that can be taken back. */
  readonly done: readonly HistoryEntry[];
  /** Undo edits that can be taken back in turn, which brings the original back. */
  readonly undone: readonly HistoryEntry[];
}

export interface HistoryEntry {
  readonly id: Id;
  readonly group: string | null;
}

/** The history of a session before its first edit. */
export function newHistory(session: Id): History {
  return { session, done: [], undone: [] };
}

/**
 * The history after one more edit of the log. Idea from prosemirror-history: undo is a reducer, and redo is
 * the undo of an undo.
 */
export function withEdit(history: History, edit: Pick<Edit, 'id' | 'session' | 'group' | 'undoes'>): History {
  if (edit.session !== history.session) return history;
  const entry = { id: edit.id, group: edit.group };
  if (edit.undoes === null) return { ...history, done: [...history.done, entry], undone: [] };
  if (history.done.some(({ id }) => id === edit.undoes)) {
    return { ...history, done: without(history.done, edit.undoes), undone: [...history.undone, entry] };
  }
  return { ...history, done: [...history.done, entry], undone: without(history.undone, edit.undoes) };
}

/**
 * The history without steps that the person has skipped, since something stands in their way: they stay done,
 * and what is older can be undone.
 */
export function withoutSkipped(history: History, skipped: ReadonlySet<Id>): History {
  const kept = ({ id }: HistoryEntry): boolean => !skipped.has(id);
  return skipped.size === 0
    ? history
    : { ...history, done: history.done.filter(kept), undone: history.undone.filter(kept) };
}

function without(entries: readonly HistoryEntry[], id: Id): HistoryEntry[] {
  return entries.filter((entry) => entry.id !== id);
}

/** The edits that the next undo takes back, latest first: one, or all of its group. */
export function nextUndo({ done }: History): Id[] {
  return lastGroup(done);
}

/** The undo edits that the next redo takes back, latest first. */
export function nextRedo({ undone }: History): Id[] {
  return lastGroup(undone);
}

function lastGroup(entries: readonly HistoryEntry[]): Id[] {
  const last = entries.at(-1);
  if (last === undefined) return [];
  const ids: Id[] = [];
  for (const { id, group } of entries.toReversed()) {
    if (ids.length > 0 && (last.group === null || group !== last.group)) break;
    ids.push(id);
  }
  return ids;
}
