import { defineStore } from 'pinia';
import { ref, shallowRef, watch } from 'vue';
import { mintId, type Id } from '@zorvik/core';
import { routes, type HistoryLine } from '@zorvik/contract';
import { ask, problemOf } from '../api/client.ts';
import { useNotices } from './notices.ts';
import { cryptoRandom, useSession } from './session.ts';
import { useWorkingCopy } from './workingCopy.ts';

/** What was done to the open site, as the server's log has it; read when somebody looks. */
export const useHistory = defineStore('history', () => {
  const copy = useWorkingCopy();
  const session = useSession();
  const notices = useNotices();
  const isOpen = ref(false);
  const lines = shallowRef<readonly HistoryLine[]>([]);
  /** The item that it is about; null: all. */
  const about = ref<Id | null>(null);
  const next = ref<number | null>(null);
  const problem = ref<string | null>(null);

  async function read(before: number | null): Promise<void> {
    const { siteKey } = copy;
    if (siteKey === null) return;
    const asked = about.value;
    const query = { ...(before === null ? {} : { before }), ...(asked === null ? {} : { about: asked }) };
    const answer = await ask(routes.readHistory, { params: { siteKey }, query });
    if (asked !== about.value || siteKey !== copy.siteKey) return;
    problem.value =
      answer.kind === 'away'
        ? 'No connection, so the history can’t be loaded now.'
        : answer.kind === 'refused'
          ? answer.refusal.message
          : null;
    if (answer.kind !== 'reply') return;
    lines.value = before === null ? answer.value.lines : [...lines.value, ...answer.value.lines];
    next.value = answer.value.next;
  }

  watch(
    [isOpen, about, () => copy.revision, () => copy.siteKey],
    ([isWanted]) => void (isWanted && read(null)),
  );

  /**
   * Makes the site what it was after a revision, by one more edit. The server does it, so it needs the
   * server.
   */
  async function goBack(revision: number): Promise<boolean> {
    const { siteKey, epoch, revision: known } = copy;
    if (siteKey === null) return false;
    const id = mintId('edit', cryptoRandom);
    const answer = await ask(routes.goBack, {
      params: { siteKey },
      query: { name: session.shownName },
      body: { id, session: session.id, revision, known, epoch },
    });
    if (answer.kind !== 'reply') {
      notices.refuse(problemOf(answer, 'nothing was changed'));
      return false;
    }
    await copy.catchUp();
    notices.say('Restored that state. You can undo this.');
    return true;
  }

  return { goBack, isOpen, lines, about, next, problem, more: () => read(next.value) };
});
