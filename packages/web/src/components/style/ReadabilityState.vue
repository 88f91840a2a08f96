<script setup lang="ts">
import { mdiAlertOutline } from '@mdi/js';
import { onBeforeUnmount, onMounted } from 'vue';
import { counted } from '@zorvik/core';
import { useNotices } from '../../stores/notices.ts';
import { useReadability } from '../../stores/readability.ts';
import { useStyling } from '../../stores/styling.ts';

/** How much on the page is hard to read; fixes all of it, or leaves only that on the sheet. */
const styling = useStyling();
const readability = useReadability();
const notices = useNotices();
onMounted(() => (readability.isWatched = true));
onBeforeUnmount(() => (readability.isWatched = false));
function fixAll(): void {
  const left = readability.fixAll();
  if (left > 0)
    notices.refuse(
      `${counted(left, '# place is', '# places are')} still hard to read: no single colour helps there. Change what is behind.`,
    );
}
</script>

<template>
  <div class="readability">
    <span class="hard" role="status">
      <template v-if="readability.failing.length > 0">
        <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
          <path :d="mdiAlertOutline" fill="currentColor" />
        </svg>
        {{ readability.failing.length }} of {{ readability.pairs.length }} hard to read
        <button type="button" class="plain-button" @click="fixAll">Fix them</button>
      </template>
      <template v-else-if="readability.pairs.length > 0">
        <span class="good">All {{ readability.pairs.length }} readable</span>
      </template>
    </span>
    <label v-if="readability.failing.length > 0 || styling.isOnlyProblems" class="only">
      <input v-model="styling.isOnlyProblems" type="checkbox" />
      only problems
    </label>
  </div>
</template>

<style scoped>
.readability {
  display: flex;
  align-items: center;
  gap: 6px 14px;
  margin-inline-start: auto;
}
.hard {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  color: var(--brick);
}
.good {
  color: var(--moss);
}
.only {
  display: inline-flex;
  align-items: center;
  gap: 5px;
}
.only input {
  accent-color: var(--accent-fill);
}
</style>
