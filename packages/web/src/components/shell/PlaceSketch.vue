<script setup lang="ts">
import { computed } from 'vue';
import type { Place } from '@zorvik/core';

/** A page in miniature with one place filled: where a menu is to stand. */
const props = defineProps<{ place: Place }>();
const spots: Readonly<Record<Place, { x: number; y: number; width: number; height: number }>> = {
  bar: { x: 4, y: 9, width: 112, height: 9 },
  secondBar: { x: 4, y: 4, width: 112, height: 4 },
  side: { x: 4, y: 20, width: 24, height: 30 },
  footer: { x: 4, y: 53, width: 112, height: 11 },
  drawer: { x: 74, y: 4, width: 42, height: 60 },
  inPage: { x: 34, y: 26, width: 60, height: 8 },
};
const spot = computed(() => spots[props.place]);
</script>

<template>
  <svg viewBox="0 0 120 68" width="100%" height="58" aria-hidden="true">
    <rect x="1" y="1" width="118" height="66" rx="4" fill="var(--sheet)" stroke="var(--line-strong)" />
    <path d="M34 24h60M34 40h78M34 45h78M34 50h50" stroke="var(--line)" stroke-width="2" />
    <rect v-bind="spot" rx="2" fill="var(--accent)" />
  </svg>
</template>
