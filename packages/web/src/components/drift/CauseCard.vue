<script setup lang="ts">
import { computed } from 'vue';
import { causeInWords, counted, fixAllInWords, type Cause, type Finding, type MendKind } from '@zorvik/core';
import { useDrift } from '../../stores/drift.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import FindingCard from './FindingCard.vue';
import ToneIcon from './ToneIcon.vue';

/** What one change on the site has caused: a single finding, or several on one card, which can be unfolded. */
const props = defineProps<{ cause: Cause; leaving: string | null }>();
const emit = defineEmits<{
  mend: [finding: Finding, kind: MendKind];
  mendAll: [];
  leave: [finding: Finding, reason: string];
  askLeave: [finding: Finding, isAsking: boolean];
}>();
const drift = useDrift();
const copy = useWorkingCopy();
const count = computed(() => props.cause.findings.length);
const isOpen = computed(() => drift.unfolded.has(props.cause.key));
const isChosen = computed(
  () => !isOpen.value && props.cause.findings.some(({ id }) => id === drift.chosen?.id),
);
const parts = computed(() => (count.value === 1 || isOpen.value ? props.cause.findings : []));
const words = computed(() => (copy.document === null ? '' : causeInWords(copy.document, props.cause)));
</script>

<template>
  <li
    v-if="count > 1"
    class="card cause"
    :class="[cause.tone, { on: isChosen }]"
    :aria-current="isChosen"
    @click="drift.chosenId = cause.findings[0].id"
  >
    <p class="what">
      <ToneIcon :tone="cause.tone" />
      <span>{{ words }}</span>
    </p>
    <div class="mends">
      <button type="button" class="mend" :class="{ likely: isChosen }" @click.stop="emit('mendAll')">
        {{ fixAllInWords(cause) }}
      </button>
      <button type="button" class="plain" :aria-expanded="isOpen" @click.stop="drift.fold(cause, !isOpen)">
        {{ isOpen ? 'Hide them' : counted(count, 'Show it', 'Show all #') }}
      </button>
    </div>
  </li>
  <FindingCard
    v-for="finding in parts"
    :key="finding.id"
    :class="{ within: count > 1 }"
    :finding="finding"
    :is-chosen="finding.id === drift.chosen?.id"
    :is-leaving="leaving === finding.id"
    @choose="drift.chosenId = finding.id"
    @mend="emit('mend', finding, $event)"
    @ask-leave="emit('askLeave', finding, $event)"
    @leave="emit('leave', finding, $event)"
  />
</template>

<style scoped src="./findingCard.css"></style>
<style scoped>
.within {
  padding-inline-start: 40px;
}
</style>
