import { defineStore } from 'pinia';
import { ref, watch } from 'vue';
import { useSelection } from './selection.ts';

/**
 * What is shown of an item: what most items need, what fewer need, or its dropdown (of a group in a panel:
 * its column).
 */
export type DetailView = 'item' | 'more' | 'drops';

/** Which of an item's details are shown. */
export const useDetails = defineStore('details', () => {
  const view = ref<DetailView>('item');
  /** On a phone the details are a sheet that is opened. */
  const isSheetOpen = ref(false);
  /** Asks the band to open the field for the link, as its key does. */
  const isAskingTarget = ref(false);

  // Another item begins with what most items need: its dropdown is another one.
  const selection = useSelection();
  watch(
    () => selection.item?.id,
    (_, before) => {
      if (before !== undefined && view.value === 'drops') view.value = 'item';
    },
    // Before an address that says otherwise is taken.
    { flush: 'sync' },
  );

  function toggleMore(): void {
    view.value = view.value === 'more' ? 'item' : 'more';
    isSheetOpen.value = true;
  }

  return { view, isSheetOpen, isAskingTarget, toggleMore };
});
