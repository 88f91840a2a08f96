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
import DeviceSelects from './DeviceSelects.vue';

/** What a bar does on each device class where its entries do not fit into one row. */
const props = defineProps<{ part: Part; label: string }>();
const copy = useWorkingCopy();
const choices = fitChoices.map((value) => ({ value, label: fitWords[value] }));
const values = computed(
  () =>
    Object.fromEntries(
      deviceClasses.map((device) => [
        device,
        copy.document === null ? 'wrap' : fitChoiceOf(copy.document, props.part, device),
      ]),
    ) as Record<DeviceClass, FitChoice>,
);
function choose(device: DeviceClass, choice: FitChoice): void {
  copy.perform((context) => setFit(context, props.part.id, [device], choice));
}
</script>

<template>
  <DeviceSelects :label="label" :values="values" :choices="choices" @choose="choose" />
</template>
