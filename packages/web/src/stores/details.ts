import { defineStore } from 'pinia';
import { ref } from 'vue';

/** How much of an item's details is shown. */
export const useDetails = defineStore('details', () => {
  const isMore = ref(false);
  /** Asks the band to open the field for where an item leads, as the key for it does. */
  const isAskingTarget = ref(false);
  return { isMore, isAskingTarget };
});
