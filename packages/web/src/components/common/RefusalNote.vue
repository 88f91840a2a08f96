<script setup lang="ts">
import { useNotices } from '../../stores/notices.ts';

/** What was refused last, in the working place: there until the next act. It has been read out already. */
const notices = useNotices();
</script>

<template>
  <p v-if="notices.refused !== null" class="refused">{{ notices.refused }}</p>
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
