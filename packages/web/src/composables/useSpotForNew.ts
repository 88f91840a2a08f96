import { computed } from 'vue';
import { childrenOf, menuOf, type Id, type Spot } from '@zorvik/core';
import { useSelection } from '../stores/selection.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';

/** Where new items go: behind the selected one, or at the end of the menu when none of it is. */
export function useSpotForNew(menu?: () => Id | null) {
  const copy = useWorkingCopy();
  const selection = useSelection();
  return computed((): Spot | null => {
    const { document } = copy;
    const { item } = selection;
    const root = menu?.() ?? selection.menu?.id ?? null;
    if (document === null || root === null) return null;
    const isHere =
      item !== null && document.items.nodes.has(item.id) && menuOf(document, item.id).id === root;
    return isHere
      ? { parent: item.parent, after: item.id }
      : { parent: root, after: childrenOf(document.items, root).last() };
  });
}
