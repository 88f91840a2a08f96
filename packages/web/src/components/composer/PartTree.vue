<script setup lang="ts">
import { computed, useTemplateRef, watch } from 'vue';
import { enclosing, partName, partWords, type Id, type Part } from '@zorvik/core';
import { useComposing } from '../../composables/useComposing.ts';
import { useComposer } from '../../stores/composer.ts';
import { useLiveView } from '../../stores/liveView.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import PartRows, { type PartRow } from '../common/PartRows.vue';

/** What is in the panel, as one list. */
const copy = useWorkingCopy();
const composer = useComposer();
const composing = useComposing();
const live = useLiveView();
const tree = useTemplateRef<InstanceType<typeof PartRows>>('tree');

const rows = computed((): PartRow[] => {
  const { document } = copy;
  const depths = new Map<Id, number>();
  const numbers = new Map<Id, number>();
  const own = composer.parts.map((part): PartRow => {
    const depth = (depths.get(part.parent) ?? 0) + 1;
    depths.set(part.id, depth);
    return {
      id: part.id,
      depth,
      ...calledBy(part, document === null ? '' : partName(document, part), numbers),
    };
  });
  return [{ id: null, depth: 0, word: 'panel', name: own.length === 0 ? 'groups, balanced' : '' }, ...own];
});

/** Rows and cells are numbered among their own; other parts are called by what they say. */
function calledBy(
  { kind, parent, span, only, columns }: Part,
  name: string,
  numbers: Map<Id, number>,
): Pick<PartRow, 'word' | 'name'> {
  if (kind === 'groups')
    return { word: partWords[kind], name: columns === undefined ? '' : `in ${columns} columns` };
  if (kind !== 'row' && kind !== 'cell')
    return { word: partWords[kind], name: name === partWords[kind] ? '' : name };
  const number = (numbers.get(parent) ?? 0) + 1;
  numbers.set(parent, number);
  return {
    word: `${partWords[kind]} ${number}`,
    name: span !== undefined ? `${span} of 12` : only === undefined ? '' : `${only} screens only`,
  };
}

function press(event: KeyboardEvent): void {
  const { key, ctrlKey, metaKey, shiftKey, altKey } = event;
  if (composing.press({ key, ctrlKey: ctrlKey || metaKey, shiftKey, altKey })) event.preventDefault();
}

/** What is chosen is seen: rows of one device class alone are drawn on that one. */
watch(
  () => composer.partId,
  (id) => {
    const { document } = copy;
    const only = document === null ? undefined : enclosing(document, id, 'row')?.only;
    if (only !== undefined && live.deviceClass !== only) live.showClass(only);
    else if (
      id !== null &&
      only === undefined &&
      live.deviceClass !== 'wide' &&
      composer.item?.dropdown?.panel?.[live.deviceClass] === 'own'
    )
      live.showClass('wide');
  },
);
defineExpose({ focus: () => tree.value?.focus() });
</script>

<template>
  <PartRows
    ref="tree"
    label="Panel contents"
    :rows="rows"
    :chosen="composer.partId"
    @choose="composer.choose"
    @press="press"
  >
    <p v-if="rows.length === 1" class="hint">
      Choose a preset, or add a part or a row. Existing groups are kept.
    </p>
  </PartRows>
</template>

<style scoped>
.hint {
  padding: 8px 10px;
  color: var(--mute);
  font-size: 0.75rem;
}
</style>
