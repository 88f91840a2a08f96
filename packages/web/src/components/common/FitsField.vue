<script setup lang="ts">
import { computed } from 'vue';
import {
  deviceClasses,
  fitChoiceOf,
  fitChoices,
  setFit,
  type DeviceClass,
  type FitChoice,
  type Part,
} from '@zorvik/core';
import { fitWords } from '../../composables/fitWords.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/** What a bar does on each device class where its entries do not fit into one row. */
const props = defineProps<{ part: Part; label: string }>();
const copy = useWorkingCopy();
const rows = computed(() =>
  deviceClasses.map((device) => ({
    device,
    now: copy.document === null ? 'wrap' : fitChoiceOf(copy.document, props.part, device),
  })),
);
function choose(device: DeviceClass, event: Event): void {
  const choice = (event.target as HTMLSelectElement).value as FitChoice;
  copy.perform((context) => setFit(context, props.part.id, [device], choice));
}
</script>

<template>
  <fieldset>
    <legend>{{ label }}</legend>
    <label v-for="{ device, now } in rows" :key="device">
      <span>{{ device }}</span>
      <select class="plain-field" :value="now" @change="choose(device, $event)">
        <option v-for="one in fitChoices" :key="one" :value="one">{{ fitWords[one] }}</option>
      </select>
    </label>
  </fieldset>
</template>

<style scoped>
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  margin: 0;
  padding: 0;
  border: 0;
}
legend {
  padding: 0;
  color: var(--mute);
  font-size: 0.75rem;
}
label {
  display: flex;
  align-items: center;
  gap: 5px;
  font-size: 0.75rem;
}
</style>
