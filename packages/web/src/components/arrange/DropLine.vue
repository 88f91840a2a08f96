<script setup lang="ts">
import { ROW_HEIGHT } from '../../composables/rowHeight.ts';

/**
 * The line that shows where a drop would go, or the row that it would be nested in, with the place in words, or why it
 * cannot be.
 */
defineProps<{ words: string; problem: string | null; isInto?: boolean | undefined }>();
const rowHeight = `${ROW_HEIGHT}px`;
</script>

<template>
  <div class="drop" role="none" :class="{ bad: problem !== null, into: isInto === true }">
    <span>{{ problem ?? words }}</span>
  </div>
</template>

<style scoped>
.drop {
  position: absolute;
  z-index: 3;
  top: -1px;
  border-top: 2px solid var(--accent);
  pointer-events: none;
}
.drop::before {
  content: '';
  position: absolute;
  inset-inline-start: -6px;
  top: -5px;
  width: 8px;
  height: 8px;
  border-radius: 50%;
  background: var(--accent);
}
.drop.into {
  box-sizing: border-box;
  top: 0;
  height: v-bind(rowHeight);
  border: 2px solid var(--accent);
  border-radius: 6px;
  background: color-mix(in srgb, var(--accent) 12%, transparent);
}
.drop.into::before {
  content: none;
}
.drop.into span {
  inset-inline-start: 28px;
  top: calc(100% + 4px);
}
.drop.into.bad {
  border-color: var(--brick);
}
.drop.bad {
  border-top-color: var(--brick);
}
.drop span {
  position: absolute;
  inset-inline-start: 12px;
  top: 6px;
  padding: 3px 8px;
  border-radius: 5px;
  background: var(--ink);
  color: var(--on-ink);
  font-size: 0.75rem;
  width: max-content;
  max-width: 320px;
}
.drop.bad span {
  background: var(--brick);
}
</style>
