import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import type { ContrastPair } from '@zorvik/core';

/**
 * What is known to be hard to read, for signs wherever items are listed. What finds it out is large, and fills this
 * when it is loaded.
 */
export const useHardToRead = defineStore('hardToRead', () => {
  /** What is hard to read of an item, in any of its states, by its id. */
  const byItem = shallowRef<ReadonlyMap<string, readonly ContrastPair[]>>(new Map());
  return { byItem };
});

/** That something is hard to read, in its state, with its contrast. */
export function hardWords({ ratio, needed, state }: ContrastPair): string {
  return `Hard to read${state === 'normal' ? '' : ` (${state})`}: ${ratio.toFixed(1)}, at least ${needed}`;
}
