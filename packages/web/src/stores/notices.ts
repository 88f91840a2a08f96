import { defineStore } from 'pinia';
import { ref } from 'vue';

/**
 * What is said to the person: `heard` is read out by screen readers after each action, `refused` stands beside the working place
 * until the next action.
 */
export const useNotices = defineStore('notices', () => {
  const heard = ref('');
  const refused = ref<string | null>(null);

  function say(sentence: string): void {
    // A space more or less makes the same sentence be read again.
    heard.value = heard.value === sentence ? `${sentence}\u00a0` : sentence;
    refused.value = null;
  }

  function refuse(sentence: string): void {
    heard.value = sentence;
    refused.value = sentence;
  }

  function clear(): void {
    refused.value = null;
  }

  return { heard, refused, say, refuse, clear };
});
