import { defineStore } from 'pinia';
import { ref, shallowRef, watch } from 'vue';
import type { Id } from '@zorvik/core';
import { routes, type HistoryLine } from '@zorvik/contract';
import { ask } from '../api/client.ts';
import { useWorkingCopy } from './workingCopy.ts';

/** What was done to the open site, as the server's log has it; read when somebody looks. */
export const useHistory = defineStore('history', () => {
  const copy = useWorkingCopy();
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

  return { isOpen, lines, about, next, problem, more: () => read(next.value) };
});
