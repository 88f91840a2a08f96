<script setup lang="ts">
import { mdiClose, mdiContentCopy } from '@mdi/js';
import { inWords } from '@zorvik/core';
import type { RefusedEdit } from '../../api/outbox.ts';
import { useCopying } from '../../composables/useCopying.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import IconButton from '../common/IconButton.vue';

/** Changes that could not be saved, each with the reason, until the person dismisses them. */
const copy = useWorkingCopy();
const copyText = useCopying();

function textOf({ edit, refusal }: RefusedEdit): string {
  return `${inWords(edit.sentence)}\n${refusal.message}\n${JSON.stringify(edit.operations, null, 2)}`;
}
</script>

<template>
  <section class="refused" aria-label="Not saved">
    <h3>Not saved</h3>
    <ul>
      <li v-for="refused in copy.refusedEdits" :key="refused.edit.id">
        <div class="words">
          <strong>{{ inWords(refused.edit.sentence) }}</strong>
          <p>{{ refused.refusal.message }}</p>
          <details>
            <summary>Show all</summary>
            <pre tabindex="0">{{ JSON.stringify(refused.edit.operations, null, 2) }}</pre>
          </details>
        </div>
        <IconButton
          label="Copy"
          :icon="mdiContentCopy"
          @press="copyText(textOf(refused), 'Copied the change and its details')"
        />
        <IconButton label="Dismiss" :icon="mdiClose" @press="copy.putAway(refused.edit.id)" />
      </li>
    </ul>
  </section>
</template>

<style scoped>
.refused {
  padding: 10px 12px;
  border-radius: var(--radius);
  background: var(--brick-tint);
  color: var(--brick);
}
h3 {
  font-size: 0.75rem;
  font-weight: 650;
  margin: 0 0 4px;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 8px;
}
li {
  display: flex;
  align-items: start;
  gap: 4px;
}
.words {
  flex: 1;
  min-width: 0;
  overflow-wrap: anywhere;
}
summary {
  min-height: 24px;
  cursor: pointer;
  font-size: 0.75rem;
}
pre {
  max-height: 160px;
  margin: 0;
  padding: 8px;
  overflow: auto;
  border-radius: 6px;
  background: var(--field);
  color: var(--ink);
  font-size: 0.6875rem;
}
</style>
