import type { LoggedEdit, WorkingCopy } from '@zorvik/core';
import { routes, type EditionSummary } from '@zorvik/contract';
import { ask } from '../../api/client.ts';
import { loadSite } from '../../api/loadSite.ts';
import type { useSession } from '../session.ts';

/** A site as the server has it. */
export interface LoadedCopy {
  readonly served: WorkingCopy['served'];
  /** This session's part of the log. */
  readonly own: readonly LoggedEdit[];
  /** The live edition; null: nothing was published yet. */
  readonly edition: EditionSummary | null;
}

/**
 * Loads a site with this session's part of its log; null: nobody answers; a text: why not. `epoch`: the one that is
 * known; in another one, revisions begin anew.
 */
export async function loadCopy(
  siteKey: string,
  epoch: string | null,
  session: Pick<ReturnType<typeof useSession>, 'id' | 'firstSeen' | 'seeAnew'>,
): Promise<LoadedCopy | string | null> {
  const answer = await loadSite(siteKey);
  if (answer.kind === 'away') return null;
  if (answer.kind === 'refused') return answer.refusal.message;
  const { served, edition } = answer.value;
  const { revision } = served;
  if (epoch !== null && epoch !== served.epoch) session.seeAnew(siteKey, revision);
  const since = Math.min(session.firstSeen(siteKey, revision), revision);
  if (since === revision) return { served, own: [], edition };
  const query = { since, session: session.id };
  const log = await ask(routes.readEdits, { params: { siteKey }, query });
  if (log.kind === 'away') return null;
  const own = log.kind === 'reply' ? log.value.edits.filter((edit) => edit.revision <= revision) : [];
  return { served, own, edition };
}
