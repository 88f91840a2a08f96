<script setup lang="ts">
import { mergeProps } from 'vue';
import { mdiChevronDown } from '@mdi/js';

/** A button that opens a list of actions (the slot). Listeners and attributes go to the button. */
withDefaults(
  defineProps<{ label: string; /** What the list is called. */ listLabel: string; minWidth?: number }>(),
  { minWidth: 240 },
);
defineOptions({ inheritAttrs: false });
</script>

<template>
  <v-menu>
    <template #activator="{ props: activator }">
      <button type="button" class="plain-button" v-bind="mergeProps($attrs, activator)">
        {{ label }}
        <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
          <path :d="mdiChevronDown" fill="currentColor" />
        </svg>
      </button>
    </template>
    <v-list density="compact" :min-width="minWidth" :aria-label="listLabel"><slot /></v-list>
  </v-menu>
</template>
