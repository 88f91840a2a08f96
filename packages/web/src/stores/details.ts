import { defineStore } from 'pinia';
import { ref } from 'vue';

/** How much of an item's details is shown. */
export const useDetails = defineStore('details', () => {
  /** What is shown of an item of a bar: the item, or what drops from it. */
  const view = ref<'item' | 'drops'>('item');
  const isMore = ref(false);
  /** Asks the band to open the field for where an item leads, as the key for it does. */
  const isAskingTarget = ref(false);
  return { view, isMore, isAskingTarget };
});
