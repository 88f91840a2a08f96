<script setup lang="ts">
import { nextTick, useId, useTemplateRef, watch } from 'vue';
import { partWords, type Id, type Part } from '@zorvik/core';
import { useFraming } from '../../composables/useFraming.ts';
import { useFrame } from '../../stores/frame.ts';

/** What is in the frame, as one list: the twin of the picture above for keys and screen readers. */
const frame = useFrame();
const framing = useFraming();
const tree = useTemplateRef<HTMLDivElement>('tree');
const id = useId();

const DEPTHS: Readonly<Partial<Record<Part['kind'], number>>> = { area: 0, band: 1, zone: 2, cell: 2 };
const depthOf = ({ kind }: Part): number => DEPTHS[kind] ?? 3;
/** What kind of part it is, where its name does not say so. */
const kindOf = (part: Part): string => {
  const word = partWords[part.kind];
  return depthOf(part) < 3 || frame.wordOf(part) === word ? '' : word;
};

function press(event: KeyboardEvent): void {
  if (event.target !== tree.value || event.isComposing) return;
  const { key, ctrlKey, metaKey, shiftKey, altKey } = event;
  if (framing.press({ key, ctrlKey: ctrlKey || metaKey, shiftKey, altKey })) event.preventDefault();
}
watch(
  () => frame.partId,
  async () => {
    await nextTick();
    tree.value?.querySelector('.on')?.scrollIntoView({ block: 'nearest' });
  },
);
const rowId = (one: Id | null): string | undefined => (one === null ? undefined : `${id}-${one}`);

function focus(): void {
  tree.value?.focus({ preventScroll: true });
}
defineExpose({ focus });
</script>

<template>
  <div
    ref="tree"
    class="tree"
    role="tree"
    tabindex="0"
    aria-label="Frame contents"
    :aria-activedescendant="rowId(frame.partId)"
    @keydown="press"
  >
    <div
      v-for="part in frame.parts"
      :id="rowId(part.id)"
      :key="part.id"
      class="row"
      role="treeitem"
      :aria-level="depthOf(part) + 1"
      :aria-selected="part.id === frame.partId"
      :class="{ on: part.id === frame.partId, off: !frame.isShownHere(part), area: part.kind === 'area' }"
      :style="{ paddingInlineStart: `${8 + depthOf(part) * 13}px` }"
      @click="frame.select(part.id)"
    >
      <span class="word">{{ frame.wordOf(part) }}</span>
      <span class="name">{{ kindOf(part) }}</span>
      <span v-if="!frame.isShownHere(part)" class="name">not on this page</span>
    </div>
    <p v-if="frame.parts.length === 0" class="mute none">Nothing in the frame yet.</p>
  </div>
</template>

<style scoped>
.tree {
  overflow: auto;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--field);
}
.tree:focus-visible {
  outline-offset: -2px;
}
.row {
  display: flex;
  align-items: center;
  gap: 7px;
  min-height: 25px;
  padding-inline-end: 8px;
  font-size: 0.75rem;
  cursor: pointer;
}
.row:hover {
  background: var(--paper);
}
.row.on {
  background: var(--accent-tint);
  box-shadow: inset 3px 0 var(--accent);
}
.area .word {
  font-weight: 650;
}
.off .word {
  color: var(--mute);
  text-decoration: line-through;
}
.word,
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.name {
  color: var(--mute);
}
.none {
  padding: 8px 10px;
  font-size: 0.75rem;
}
</style>
