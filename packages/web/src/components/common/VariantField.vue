<script setup lang="ts">
import { computed } from 'vue';
import { PLAIN_BUTTON, variantsOf } from '@zorvik/core';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from './ChoiceRow.vue';

/** The look of a link: plain, a button, or one of the variants of the site. */
const props = defineProps<{
  label: string;
  /** Null: it differs. */
  value: string | null;
  /** What it is called without a variant. */
  plain: { readonly value: string; readonly label: string };
  isMixed?: boolean;
}>();
const emit = defineEmits<{ set: [value: string] }>();
const copy = useWorkingCopy();
/** So many stand beside each other; more are a list to choose from. */
const MOST_BESIDE = 3;
const choices = computed(() => [
  props.plain,
  ...(props.plain.value === PLAIN_BUTTON ? [] : [{ value: PLAIN_BUTTON, label: 'button' }]),
  ...variantsOf(copy.document?.site ?? {}).map(({ key, name }) => ({ value: key, label: name })),
]);
/** What was deleted looks like a plain button. */
const chosen = computed(() =>
  props.value === null || choices.value.some(({ value }) => value === props.value)
    ? props.value
    : PLAIN_BUTTON,
);
</script>

<template>
  <ChoiceRow
    v-if="choices.length <= MOST_BESIDE"
    :model-value="chosen"
    :label="label"
    :is-mixed="isMixed"
    :choices="choices"
    @update:model-value="$event !== null && emit('set', $event)"
  />
  <label v-else class="variant">
    <span class="caption">{{ label }}</span>
    <select
      class="plain-field"
      :value="chosen ?? ''"
      @change="emit('set', ($event.target as HTMLSelectElement).value)"
    >
      <option v-if="chosen === null" value="" disabled>differs</option>
      <option v-for="one in choices" :key="one.value" :value="one.value">{{ one.label }}</option>
    </select>
  </label>
</template>

<style scoped>
.variant {
  display: inline-grid;
  gap: 3px;
}
.caption {
  color: var(--mute);
  font-size: 0.75rem;
}
</style>
