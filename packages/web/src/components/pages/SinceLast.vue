<script setup lang="ts">
import { computed } from 'vue';
import { useSiteReading } from '../../stores/siteReading.ts';

/** What the last reading of the site found: waiting to be looked at, or taken in, and what that changed. */
const emit = defineEmits<{ look: [] }>();
const reading = useSiteReading();
const units = [
  ['day', 86_400_000],
  ['hour', 3_600_000],
  ['minute', 60_000],
] as const;
const words = new Intl.RelativeTimeFormat('en', { numeric: 'auto' });
const when = computed(() => {
  if (reading.found === null) return '';
  const ago = Date.now() - Date.parse(reading.found.at);
  const unit = units.find(([, size]) => ago >= size);
  return unit === undefined ? 'just now' : words.format(-Math.floor(ago / unit[1]), unit[0]);
});
</script>

<template>
  <p v-if="reading.plan?.reason != null" class="since bad">
    The site could not be read: {{ reading.plan.reason }}.
    <button type="button" class="plain-button" @click="emit('look')">Review</button>
  </p>
  <p v-else-if="reading.isWaiting" class="since waits">
    Changes found {{ when }}: {{ reading.counts }}.
    <button type="button" class="plain-button" @click="emit('look')">Review</button>
  </p>
  <p v-else-if="reading.found !== null" class="since mute">
    {{
      reading.found.isTaken && reading.counts !== null
        ? `Changes since the last reading: ${reading.counts}.`
        : `Site read ${when}: no changes.`
    }}
  </p>
</template>

<style scoped>
.since {
  display: flex;
  align-items: center;
  gap: 8px;
}
.waits {
  padding-inline-start: 10px;
  border-inline-start: 3px solid var(--ochre);
}
.bad {
  color: var(--brick);
}
</style>
