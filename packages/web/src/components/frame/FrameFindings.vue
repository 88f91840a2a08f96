<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Id } from '@zorvik/core';
import { useDrift } from '../../stores/drift.ts';
import FindingCard from '../drift/FindingCard.vue';

/** What is wrong with the links of a part of the frame, with what can be done. */
const props = defineProps<{ part: Id }>();
const drift = useDrift();
const leaving = ref<string | null>(null);
const findings = computed(() => drift.inFrame.filter(({ part }) => part === props.part));
</script>

<template>
  <ul v-if="findings.length > 0" aria-label="Links to check">
    <FindingCard
      v-for="finding in findings"
      :key="finding.id"
      :finding="finding"
      is-chosen
      :is-leaving="leaving === finding.id"
      @mend="drift.mendOne(finding, $event)"
      @ask-leave="leaving = $event ? finding.id : null"
      @leave="drift.leave(finding, $event)"
    />
  </ul>
</template>

<style scoped>
ul {
  flex-basis: 100%;
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
