import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';

/** What a person can do about a refusal, by a button. */
export interface WayOn {
  readonly label: string;
  readonly act: () => void;
}

/**
 * What is said to the person: `heard` is read out by screen readers after each action, `refused` stands
 * beside the working place until the next action.
 */
export const useNotices = defineStore('notices', () => {
  const heard = ref('');
  const refused = ref<string | null>(null);
  /** A way on from what was refused, offered beside it. */
  const wayOn = shallowRef<WayOn | null>(null);

  function say(sentence: string): void {
    // A space more or less makes the same sentence be read again.
    heard.value = heard.value === sentence ? `${sentence}\u00a0` : sentence;
    clear();
  }

  function refuse(sentence: string, offer: WayOn | null = null): void {
    heard.value = sentence;
    refused.value = sentence;
    wayOn.value = offer;
  }

  function clear(): void {
    refused.value = null;
    wayOn.value = null;
  }

  return { heard, refused, wayOn, say, refuse, clear };
});
