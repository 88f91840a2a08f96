<script setup lang="ts">
import { useNotices } from '../../stores/notices.ts';

/** What was refused last, in the working place: there until the next act. It has been read out already. */
const notices = useNotices();
</script>

<template>
  <p v-if="notices.refused !== null" class="refused">
    {{ notices.refused }}
    <button v-if="notices.wayOn !== null" type="button" @click="notices.wayOn.act()">{{ notices.wayOn.label }}</button>
  </p>
</template>

<style scoped>
.refused {
  overflow: hidden;
  padding: 4px 10px;
  border-radius: 6px;
  background: var(--brick-tint);
  color: var(--brick);
  font-size: 12px;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
}
</style>

<style scoped>
button {
  padding: 0 4px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  font-weight: 600;
  text-decoration: underline;
  cursor: pointer;
}
</style>
