<script setup lang="ts">
import { computed, useTemplateRef } from 'vue';
import { partWords, type Part } from '@zorvik/core';
import { useFraming } from '../../composables/useFraming.ts';
import { useFrame } from '../../stores/frame.ts';
import PartRows, { type PartRow } from '../common/PartRows.vue';

/** What is in the frame, as one list. */
const frame = useFrame();
const framing = useFraming();
const rows = useTemplateRef<InstanceType<typeof PartRows>>('rows');

const DEPTHS: Readonly<Partial<Record<Part['kind'], number>>> = { area: 0, band: 1, zone: 2, cell: 2 };
const shown = computed(() =>
  frame.parts.map((part): PartRow => {
    const depth = DEPTHS[part.kind] ?? 3;
    const word = frame.wordOf(part);
    const kind = partWords[frame.factsAt(part.id)?.kind ?? part.kind];
    return {
      id: part.id,
      depth,
      word,
      // What kind of part it is, where the word does not say so.
      name: depth < 3 || word === kind ? '' : kind,
      off: frame.isShownHere(part) ? undefined : 'not on this page',
    };
  }),
);

function press(event: KeyboardEvent): void {
  const { key, ctrlKey, metaKey, shiftKey, altKey } = event;
  if (framing.press({ key, ctrlKey: ctrlKey || metaKey, shiftKey, altKey })) event.preventDefault();
}
defineExpose({ focus: () => rows.value?.focus() });
</script>

<template>
  <PartRows
    ref="rows"
    label="Frame contents"
    :rows="shown"
    :chosen="frame.partId"
    @choose="frame.select"
    @press="press"
  >
    <p v-if="frame.parts.length === 0" class="mute none">Nothing in the frame yet.</p>
  </PartRows>
</template>

<style scoped>
.none {
  padding: 8px 10px;
  font-size: 0.75rem;
}
</style>
