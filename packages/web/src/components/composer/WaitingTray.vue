<script setup lang="ts">
import { computed } from 'vue';
import { labelOf, nodeAt } from '@zorvik/core';
import { useComposing } from '../../composables/useComposing.ts';
import { useComposer } from '../../stores/composer.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/** Child items that no part of the panel shows: one press shows each. */
const copy = useWorkingCopy();
const composer = useComposer();
const composing = useComposing();
const waiting = computed(() => {
  const { document } = copy;
  return document === null
    ? []
    : composer.waiting.map((id) => ({ id, label: labelOf(document, nodeAt(document.items, id)) }));
});
</script>

<template>
  <div class="waiting" role="group" aria-label="Not yet shown">
    <strong>Not yet shown:</strong>
    <button
      v-for="(one, at) in waiting"
      :key="one.id"
      type="button"
      :title="`Show “${one.label}” in the panel${at === 0 ? ' (N)' : ''}`"
      @click="composing.place(one.id)"
    >
      {{ one.label }}
    </button>
  </div>
</template>

<style scoped>
.waiting {
  display: flex;
  align-items: center;
  gap: 6px;
  min-width: 0;
  overflow: auto;
  color: var(--ochre);
}
.waiting strong {
  white-space: nowrap;
}
.waiting button {
  min-height: 26px;
  padding: 0 10px;
  border: 1px dashed var(--ochre);
  border-radius: 13px;
  background: var(--field);
  color: var(--ochre);
  font-weight: 600;
  white-space: nowrap;
  cursor: pointer;
}
.waiting button:hover {
  background: var(--ochre-tint);
}
</style>
