import { computed } from 'vue';
import {
  historyOf,
  inWords,
  newHistory,
  nextRedo,
  nextUndo,
  takeBackNext,
  withoutSkipped,
  type Id,
} from '@zorvik/core';
import type { useNotices, WayOn } from '../notices.ts';
import { cryptoRandom, type useSession } from '../session.ts';
import type { Bursts } from './bursts.ts';
import type { OpenCopy } from './openCopy.ts';

/** Undoes and redoes what this session did. */
export function undoing(
  { copy, set, post }: OpenCopy,
  burst: Bursts,
  session: ReturnType<typeof useSession>,
  notices: ReturnType<typeof useNotices>,
) {
  /** Worked out once for each change, since the log may be long. */
  const history = computed(() =>
    withoutSkipped(copy.value === null ? newHistory(session.id) : historyOf(copy.value), session.skipped),
  );
  const nextSteps = computed(() => ({ undo: nextUndo(history.value), redo: nextRedo(history.value) }));
  const canUndo = computed(() => nextSteps.value.undo.length > 0);
  const canRedo = computed(() => nextSteps.value.redo.length > 0);

  function takeBack(direction: 'undo' | 'redo'): void {
    if (copy.value === null) return;
    burst.end();
    const taken = takeBackNext(copy.value, direction, cryptoRandom, session.skipped);
    if (!taken.ok) return notices.refuse(taken.refusal.message, skipping(nextSteps.value[direction]));
    set(taken.value.copy);
    for (const edit of taken.value.edits) post(edit);
    const [last] = taken.value.edits.slice(-1);
    if (last !== undefined) notices.say(inWords(last.sentence));
  }

  /** What is offered where steps cannot be undone or redone: to skip them, so that older ones can be. */
  function skipping(steps: readonly Id[]): WayOn | null {
    if (steps.length === 0) return null;
    const act = (): void => {
      session.skip(steps);
      notices.say('Skipped this step. Undo continues with the step before it.');
    };
    return { label: 'Skip this step', act };
  }

  return { canUndo, canRedo, takeBack, skipping };
}
