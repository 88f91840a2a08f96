import { onBeforeUnmount, watch, type Ref } from 'vue';
import type { Id } from '@zorvik/core';
import { useSelection } from '../stores/selection.ts';

/** How long what is dragged rests over a folded branch before that unfolds, in ms. */
const REST = 600;

/**
 * Unfolds a folded branch that something dragged rests over. `over` is the branch's item, null when it is
 * over none.
 */
export function useUnfoldOnRest(over: Ref<Id | null>): void {
  const selection = useSelection();
  let timer: ReturnType<typeof setTimeout> | undefined;
  watch(over, (id) => {
    clearTimeout(timer);
    if (id !== null && selection.folded.has(id))
      timer = setTimeout(() => selection.setFolded(id, false), REST);
  });
  onBeforeUnmount(() => clearTimeout(timer));
}
