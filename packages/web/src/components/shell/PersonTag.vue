<script setup lang="ts">
import { computed } from 'vue';
import type { Person } from '@zorvik/contract';

/**
 * Somebody else, by name, with a colour of their own; the name is what tells, the colour only helps to find
 * them again.
 */
const props = defineProps<{ person: Person; /** Only the initial is shown. */ isSlim?: boolean }>();
const hue = computed(() =>
  [...props.person.session].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 360, 7),
);
</script>

<template>
  <span class="person" :style="{ '--hue': hue }" :title="`${person.name} has this selected`">
    {{ isSlim ? [...person.name][0]?.toUpperCase() : person.name }}
  </span>
</template>

<style scoped>
.person {
  flex: none;
  max-width: 140px;
  padding: 0 8px 0 7px;
  border-inline-start: 4px solid oklch(0.62 0.12 var(--hue));
  border-radius: 3px;
  background: light-dark(oklch(0.95 0.03 var(--hue)), oklch(0.33 0.05 var(--hue)));
  color: var(--ink);
  font-size: 0.6875rem;
  line-height: 1.125rem;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
