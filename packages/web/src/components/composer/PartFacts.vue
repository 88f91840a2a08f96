<script setup lang="ts">
import { computed } from 'vue';
import { fieldsOf, type Field, type Part, type PartField } from '@zorvik/core';
import PartControl from './PartControl.vue';

/** What may be said of the chosen part: the fields of its kind, each with the control that it names. */
const props = defineProps<{ part: Part }>();

const isSet = (name: string | undefined): boolean => props.part[name as PartField] !== undefined;
const fields = computed(() =>
  (Object.entries(fieldsOf(props.part.kind)) as [PartField, Field][]).filter(
    ([, { control }]) =>
      control.kind !== 'none' &&
      (control.needs === undefined || isSet(control.needs)) &&
      (control.unless === undefined || !isSet(control.unless)),
  ),
);
</script>

<template>
  <section class="facts" aria-label="Part settings">
    <PartControl
      v-for="[name, field] in fields"
      :key="`${part.id} ${name}`"
      :part="part"
      :name="name"
      :field="field"
    />
  </section>
</template>

<style scoped>
.facts {
  display: flex;
  flex-wrap: wrap;
  align-content: start;
  align-items: start;
  gap: 8px 20px;
}
</style>
