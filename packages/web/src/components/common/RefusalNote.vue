<script setup lang="ts">
import { useNotices } from '../../stores/notices.ts';

/** What was refused last, in the working place, with a way on where there is one: there until the next act. It has been read out already. */
const notices = useNotices();
</script>

<template>
  <p v-if="notices.refused !== null" class="refused">
    <span :title="notices.refused">{{ notices.refused }}</span>
    <button v-if="notices.wayOn !== null" type="button" @click="notices.wayOn.act()">{{ notices.wayOn.label }}</button>
  </p>
</template>

<style scoped>
.refused {
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 4px 10px;
  border-radius: 6px;
  background: var(--brick-tint);
  color: var(--brick);
  font-size: 0.75rem;
}
span {
  display: -webkit-box;
  overflow: hidden;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
}
button {
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
