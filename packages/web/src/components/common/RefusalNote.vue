<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { useNotices } from '../../stores/notices.ts';

import IconButton from './IconButton.vue';

const notices = useNotices();
</script>

<template>
  <p v-if="notices.refused !== null" class="refused">
    <span>{{ notices.refused }}</span>
    <button v-if="notices.wayOn !== null" type="button" @click="notices.wayOn.act()">
      {{ notices.wayOn.label }}
    </button>
    <IconButton label="Dismiss" :icon="mdiClose" @press="notices.clear()" />
  </p>
</template>

<style scoped>
.refused {
  position: absolute;
  z-index: 9;
  /* Over the work, below the head that it is in: nothing moves, and nothing of it is cut off. */
  inset-block-start: calc(100% + 6px);
  inset-inline-end: 14px;
  display: flex;
  align-items: center;
  gap: 10px;
  max-width: min(680px, calc(100% - 28px));
  padding: 4px 6px 4px 12px;
  border: 1px solid var(--brick);
  border-radius: var(--radius);
  background: var(--brick-tint);
  color: var(--brick);
  box-shadow: var(--shadow);
}
span {
  padding-block: 4px;
  overflow-wrap: anywhere;
}
p > button:not([aria-label]) {
  flex: none;
  min-height: 26px;
  padding: 0 10px;
  border: 1px solid currentColor;
  border-radius: 6px;
  background: var(--field);
  color: inherit;
  font: inherit;
  font-weight: 600;
  cursor: pointer;
}
</style>
