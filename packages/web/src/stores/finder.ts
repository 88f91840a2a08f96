import { defineStore } from 'pinia';
import { ref } from 'vue';

/** Whether the page finder is called. It comes in from the left, over the workspace, and goes again. */
export const useFinder = defineStore('finder', () => {
  const isOpen = ref(false);

  function open(): void {
    isOpen.value = true;
  }

  function close(): void {
    isOpen.value = false;
  }

  return { isOpen, open, close };
});
