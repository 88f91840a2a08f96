<script setup lang="ts">
import ChoiceRow from './ChoiceRow.vue';

/** One of two ways, in words: what holds without anything being said, and the other. */
defineProps<{ label: string; off: string; on: string; hint?: string }>();
const isOn = defineModel<boolean>({ required: true });
</script>

<template>
  <ChoiceRow
    :model-value="isOn"
    :label="label"
    :choices="[
      { value: false, label: off },
      { value: true, label: on, ...(hint === undefined ? {} : { hint }) },
    ]"
    @update:model-value="isOn = $event === true"
  />
</template>
