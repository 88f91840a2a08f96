<script setup lang="ts">
import { mdiContentCopy } from '@mdi/js';
import { useId } from 'vue';
import { useCopying } from '../../composables/useCopying.ts';

/** Code that is copied into files of one's own. */
defineProps<{ label: string; code: string }>();
const id = useId();
const copyText = useCopying();
</script>

<template>
  <figure class="code">
    <figcaption :id="id">
      <span>{{ label }}</span>
      <button
        type="button"
        class="plain-button"
        :aria-describedby="id"
        @click="copyText(code, `Copied: ${label}`)"
      >
        <v-icon :icon="mdiContentCopy" size="16" aria-hidden="true" />
        Copy
      </button>
    </figcaption>
    <pre tabindex="0" :aria-labelledby="id">{{ code }}</pre>
  </figure>
</template>

<style scoped>
.code {
  margin: 0;
  min-width: 0;
  border: 1px solid var(--line-strong);
  border-radius: var(--radius);
  overflow: hidden;
}
figcaption {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  padding: 3px 4px 3px 10px;
  border-bottom: 1px solid var(--line);
  background: var(--paper-deep);
  font-size: 0.8125rem;
  font-weight: 600;
}
pre {
  max-height: 230px;
  margin: 0;
  padding: 10px;
  overflow: auto;
  background: var(--field);
  font-size: 0.75rem;
  line-height: 1.5;
}
</style>
