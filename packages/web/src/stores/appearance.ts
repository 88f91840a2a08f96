import { defineStore } from 'pinia';
import { ref, watchEffect } from 'vue';

export const appearances = ['system', 'light', 'dark'] as const;
export type Appearance = (typeof appearances)[number];

const KEY = 'zorvik-appearance';

/**
 * The light or the dark theme: the system's, unless the person has chosen one. Kept in this browser; all its
 * windows follow.
 */
export const useAppearance = defineStore('appearance', () => {
  const system = window.matchMedia('(prefers-color-scheme: dark)');
  const isSystemDark = ref(system.matches);
  system.addEventListener('change', ({ matches }) => (isSystemDark.value = matches));
  const chosen = ref(chosenIn(localStorage.getItem(KEY)));
  window.addEventListener('storage', ({ key, newValue }) => {
    if (key === KEY) chosen.value = chosenIn(newValue);
  });
  const isDark = ref(false);

  watchEffect(() => {
    isDark.value = chosen.value === 'system' ? isSystemDark.value : chosen.value === 'dark';
    document.documentElement.dataset.theme = isDark.value ? 'dark' : 'light';
  });

  function choose(next: Appearance): void {
    chosen.value = next;
    localStorage.setItem(KEY, next);
  }

  return { chosen, isDark, choose };
});

function chosenIn(kept: string | null): Appearance {
  return appearances.find((one) => one === kept) ?? 'system';
}
