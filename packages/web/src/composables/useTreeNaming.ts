import { ref, watch } from 'vue';
import { nestItems, removeItems, renameItem, unnestItems, type Id } from '@zorvik/core';
import { useSelection } from '../stores/selection.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';
import { useKeeping } from './useKeeping.ts';

/** Naming an item where it stands. `focus` gives the focus back to the tree. */
export function useTreeNaming({
  menu,
  focus,
}: {
  readonly menu: () => Id | null;
  readonly focus: () => void;
}) {
  const copy = useWorkingCopy();
  const selection = useSelection();
  const renaming = ref<Id | null>(null);
  watch(menu, () => (renaming.value = null));
  // Somebody else removed what one was just naming: the keys go on in the tree.
  watch(
    () => renaming.value !== null && copy.document?.items.nodes.has(renaming.value) === false,
    (isGone) => isGone && endRenaming(),
  );

  const keepBy = useKeeping();
  const keepName = (id: Id) => keepBy(`label ${id}`, (context, typed) => renameItem(context, id, typed));

  function startRenaming(id: Id | null): void {
    renaming.value = id;
  }

  function endRenaming(): void {
    renaming.value = null;
    focus();
  }

  /**
   * While one names an item, Tab and Shift+Tab set it in and out, and Backspace in an empty name removes it.
   */
  function whileNaming(id: Id, what: 'nest' | 'unnest' | 'remove'): void {
    if (what === 'remove') {
      endRenaming();
      copy.perform((context) => removeItems(context, [id]));
      return;
    }
    copy.perform((context) => (what === 'nest' ? nestItems(context, [id]) : unnestItems(context, [id])));
    selection.select(id);
  }

  return { renaming, keepName, startRenaming, endRenaming, whileNaming };
}
