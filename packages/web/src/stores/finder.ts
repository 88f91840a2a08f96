import { defineStore } from 'pinia';
import { ref } from 'vue';

/** Whether the page finder is called. It comes in from the left, over the workspace, and goes again. */
export const useFinder = defineStore('finder', () => {
  const isOpen = ref(false);
  /** How many levels below a page come along. */
  const depth = ref(0);

  function open(): void {
    isOpen.value = true;
  }

  function close(): void {
    isOpen.value = false;
  }

  return { isOpen, depth, open, close };
});
