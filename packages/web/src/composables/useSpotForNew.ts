import { computed } from 'vue';
import { childrenOf, type Spot } from '@zorvik/core';
import { useSelection } from '../stores/selection.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';

/** Where new items go: behind the selected one, or at the end of the menu when none is. */
export function useSpotForNew() {
  const copy = useWorkingCopy();
  const selection = useSelection();
  return computed((): Spot | null => {
    const { document } = copy;
    const { menu, item } = selection;
    if (document === null || menu === null) return null;
    return item === null ? { parent: menu.id, after: childrenOf(document.items, menu.id).last() } : { parent: item.parent, after: item.id };
  });
}
