<script setup lang="ts">
import { computed } from 'vue';
import { faceOf, leadTo, type Item } from '@zorvik/core';
import { useKeeping } from '../../composables/useKeeping.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import LineField from '../common/LineField.vue';

/** The anchor that an item links to in its page. */
const props = defineProps<{ item: Item }>();
const copy = useWorkingCopy();
const keepBy = useKeeping();
const destination = computed(
  () => (copy.document === null ? props.item : faceOf(copy.document, props.item)).destination,
);
const keep = computed(() => {
  const to = destination.value;
  return keepBy(`anchor ${props.item.id}`, (context, typed) =>
    leadTo(context, props.item.id, { page: to.kind === 'page' ? to.page : '', anchor: typed }),
  );
});
</script>

<template>
  <LineField
    v-if="destination.kind === 'page' && item.exception === undefined"
    label="Anchor"
    placeholder="none"
    :value="destination.anchor ?? ''"
    :keep="keep"
  >
    <template #before><span class="mute">#</span></template>
  </LineField>
</template>
