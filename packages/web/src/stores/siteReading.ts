import { defineStore } from 'pinia';
import { computed, onScopeDispose, shallowRef, watch } from 'vue';
import { numbered, type Id } from '@zorvik/core';
import { routes, type ReadingPlan } from '@zorvik/contract';
import { ask } from '../api/client.ts';
import { useConnection } from './connection.ts';
import { useWorkingCopy } from './workingCopy.ts';

/** How the open site is read, and what came of it the last time, in words and as a set of pages. */
export const useSiteReading = defineStore('siteReading', () => {
  const copy = useWorkingCopy();
  const connection = useConnection();
  const plan = shallowRef<ReadingPlan | null>(null);

  async function load(): Promise<void> {
    const { siteKey } = copy;
    if (siteKey === null) return;
    const answer = await ask(routes.planOf, { params: { siteKey } });
    if (answer.kind === 'reply' && siteKey === copy.siteKey) ({ plan: plan.value } = answer.value);
  }

  watch(
    () => copy.siteKey,
    () => {
      plan.value = null;
      void load();
    },
    { immediate: true },
  );
  const deafen = connection.hear((message) => {
    if (message.kind !== 'news') return;
    const { news } = message;
    if (news.kind === 'missed' || (news.kind === 'reading' && news.site === copy.siteKey)) void load();
  });
  onScopeDispose(deafen);

  const found = computed(() => plan.value?.found ?? null);
  /** “4 new, 1 moved, 2 gone”; null: nothing is otherwise. */
  const counts = computed(() => {
    if (found.value === null) return null;
    const { added, moved, renamed, readdressed, gone } = found.value;
    const parts = [
      [added, 'new'],
      [moved, 'moved'],
      [renamed, 'renamed'],
      [readdressed, 'with a new address'],
      [gone, 'gone'],
    ] as const;
    const phrases = parts.filter(([count]) => count > 0).map(([count, word]) => `${numbered(count)} ${word}`);
    return phrases.length === 0 ? null : phrases.join(', ');
  });
  /** The site says something that was not taken in yet. */
  const isWaiting = computed(() => found.value?.isTaken === false && counts.value !== null);
  /** Pages that were there and that the last reading, taken in, changed. */
  const changed = computed(
    (): ReadonlySet<Id> => new Set(found.value?.isTaken === true ? found.value.changed : []),
  );

  return { plan, found, counts, isWaiting, changed, load };
});
