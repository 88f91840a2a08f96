import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import type { Placing } from '@zorvik/core';
import { routes, type Reading, type ReadingRhythm } from '@zorvik/contract';
import { ask, problemOf, type Answer } from '../api/client.ts';
import { useSession } from './session.ts';
import type { MissingPages } from './sites.ts';
import { useWorkingCopy } from './workingCopy.ts';

/** Where a reading begins, and how many pages it reads at most. */
export interface ReadingStart {
  readonly address: string;
  readonly pages: number;
}

/** What is to be made of what a reading found. */
export interface ReadingChoices {
  /** What happens to pages that were not found. */
  readonly missing: MissingPages;
  /** The evidence that decides where pages stand, where it contradicts itself; null: the most certain. */
  readonly trust: Placing | null;
}

/** A reading of the open site over HTTP, by the server: how far it is, and what it found. */
export const useReading = defineStore('reading', () => {
  const copy = useWorkingCopy();
  const session = useSession();
  const reading = shallowRef<Reading | null>(null);
  const problem = ref<string | null>(null);

  watch(
    () => copy.siteKey,
    () => {
      reading.value = null;
      problem.value = null;
    },
    { flush: 'sync' },
  );

  const state = computed(() => reading.value?.state ?? 'none');
  const isRunning = computed(() => state.value === 'running' || state.value === 'paused');
  /** What importing would change; null while that is not known. */
  const difference = computed(() => (state.value === 'done' ? (reading.value?.difference ?? null) : null));
  const isSame = computed(() => {
    const found = difference.value;
    if (found === null) return false;
    const { added, renamed, moved, readdressed, gone, facts } = found;
    return added + renamed + moved + readdressed + gone + facts === 0;
  });

  const params = (): { readonly siteKey: string } => ({ siteKey: copy.siteKey ?? '' });
  const asked = ({ missing, trust }: ReadingChoices) => ({ missing, ...(trust === null ? {} : { trust }) });

  /** Takes in an answer; whether it was one. */
  function taken(answer: Answer<Reading>): boolean {
    if (answer.kind === 'reply') reading.value = answer.value;
    else problem.value = problemOf(answer);
    return answer.kind === 'reply';
  }

  /** Looks how far it is, and what it would change. */
  async function look(choices: ReadingChoices): Promise<boolean> {
    return taken(await ask(routes.readingOf, { params: params(), query: asked(choices) }));
  }

  async function begin(start: ReadingStart): Promise<boolean> {
    problem.value = null;
    return taken(await ask(routes.startReading, { params: params(), body: start }));
  }

  /** How often the server reads the site by itself from now on. */
  async function plan(start: ReadingStart, every: ReadingRhythm): Promise<boolean> {
    return taken(await ask(routes.planReading, { params: params(), body: { ...start, every } }));
  }

  async function steer(act: 'pause' | 'goOn' | 'cancel'): Promise<boolean> {
    return taken(await ask(routes.steerReading, { params: params(), body: { act } }));
  }

  /** Imports what was found, as one edit. */
  async function take(choices: ReadingChoices): Promise<boolean> {
    const body = { session: session.id, name: session.shownName, ...asked(choices) };
    const answer = await ask(routes.takeReading, { params: params(), body });
    if (answer.kind === 'reply') await copy.catchUp();
    else problem.value = problemOf(answer, 'nothing was changed');
    return answer.kind === 'reply';
  }

  return { reading, problem, state, isRunning, difference, isSame, look, begin, plan, steer, take };
});
