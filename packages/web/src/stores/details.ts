import { defineStore } from 'pinia';
import { ref } from 'vue';

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

  function toggleMore(): void {
    view.value = view.value === 'more' ? 'item' : 'more';
    isSheetOpen.value = true;
  }

  return { view, isSheetOpen, isAskingTarget, toggleMore };
});
