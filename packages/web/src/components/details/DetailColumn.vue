<script setup lang="ts">
import { computed } from 'vue';
import { useDropdown } from '../../composables/useDropdown.ts';
import ChoiceRow from '../common/ChoiceRow.vue';

/** The column of a panel that a group stands in: where balance puts it, or where somebody keeps it. */
const { group, keepIn } = useDropdown();
const choices = computed(() => [
  {
    value: -1,
    label: `balanced (${(group.value?.now ?? 0) + 1})`,
    hint: 'Keeps the columns about equally high',
  },
  ...Array.from({ length: group.value?.count ?? 0 }, (_, at) => ({
    value: at,
    label: String(at + 1),
    hint: `Always in column ${at + 1}`,
  })),
]);
</script>

<template>
  <ChoiceRow
    v-if="group !== null && group.count > 1"
    class="column"
    :model-value="group.kept ?? -1"
    :label="`Column in the panel of “${group.label}”`"
    :choices="choices"
    @update:model-value="keepIn($event === null || $event < 0 ? null : $event)"
  />
</template>
