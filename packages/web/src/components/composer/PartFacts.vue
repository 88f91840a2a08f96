<script setup lang="ts">
import { computed } from 'vue';
import { areaAround, fieldsOf, type Field, type Part, type PartField } from '@zorvik/core';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import PartAlike from './PartAlike.vue';
import PartControl from './PartControl.vue';

/** What may be said of the chosen part: the fields of its kind, each with the control that it names. */
const props = defineProps<{ part: Part }>();

const copy = useWorkingCopy();
/** The area of the frame that it is in; a vertical header is one of its own kind. None in panels. */
const area = computed((): string | null => {
  const top = copy.document === null ? null : areaAround(copy.document, props.part.id);
  return top === null || top.vertical === undefined ? (top?.area ?? null) : 'vertical';
});
const isSet = (name: string | undefined): boolean => props.part[name as PartField] !== undefined;
const fields = computed(() =>
  (Object.entries(fieldsOf(props.part.kind)) as [PartField, Field][]).filter(
    ([, { control }]) =>
      control.kind !== 'none' &&
      (control.inAreas === undefined || (area.value !== null && control.inAreas.includes(area.value))) &&
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
    <PartAlike :part="part" />
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
