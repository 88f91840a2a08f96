<script setup lang="ts">
import { LEAST_WIDTH, MOST_WIDTH } from '@zorvik/core';
import { useDropdown } from '../../composables/useDropdown.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import LineField from '../common/LineField.vue';
import { px } from './px.ts';

/** The width, the alignment and the columns of a dropdown that is a list. */
const { list, change } = useDropdown();
</script>

<template>
  <LineField
    class="px"
    label="Width (px)"
    :value="String(list.width ?? '')"
    placeholder="auto"
    :keep="px('width', LEAST_WIDTH, MOST_WIDTH, (value) => change({ list: { width: value } }))"
  />
  <ChoiceRow
    :model-value="list.align ?? 'start'"
    label="Align"
    :choices="[
      { value: 'start', label: 'start' },
      { value: 'centre', label: 'centre' },
      { value: 'end', label: 'end' },
    ]"
    @update:model-value="change({ list: { align: $event === 'start' ? null : $event } })"
  />
  <ChoiceRow
    :model-value="list.columns ?? 1"
    label="Columns"
    :choices="[1, 2, 3, 4].map((value) => ({ value, label: String(value) }))"
    @update:model-value="change({ list: { columns: $event === 1 ? null : $event } })"
  />
</template>

<style scoped>
.px {
  width: 152px;
}
</style>
