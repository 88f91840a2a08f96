<script setup lang="ts">
import { mdiAlertOutline, mdiInformationOutline, mdiLinkOff } from '@mdi/js';
import type { FindingTone } from '@zorvik/core';

/** How urgent a finding is: broken, wrong for visitors, or news. */
defineProps<{ tone: FindingTone }>();
const icons = { broken: mdiLinkOff, wrong: mdiAlertOutline, news: mdiInformationOutline } as const;
</script>

<template>
  <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true" :class="tone">
    <path :d="icons[tone]" fill="currentColor" />
  </svg>
  <span v-if="tone === 'broken'" class="only-heard">{{ 'Broken: ' }}</span>
</template>

<style scoped>
svg {
  flex: none;
  margin-block-start: 1px;
  color: var(--mute);
}
.wrong {
  color: var(--ochre);
}
.broken {
  color: var(--brick);
}
</style>
