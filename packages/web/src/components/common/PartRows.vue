<script setup lang="ts">
import { nextTick, useId, useTemplateRef, watch } from 'vue';

/** Parts as a tree of rows: the twin of a picture of them, for keys and screen readers. */
export interface PartRow {
  /** Null: what all others stand in. */
  readonly id: string | null;
  /** From 0. */
  readonly depth: number;
  readonly word: string;
  readonly name: string;
  /** It is there, but not shown, for this reason. */
  readonly off?: string | undefined;
}
const props = defineProps<{ label: string; rows: readonly PartRow[]; chosen: string | null }>();
/** `press`: a key that the picture heeds, too; who does something with it prevents what it does here. */
const emit = defineEmits<{ choose: [id: string | null]; press: [event: KeyboardEvent] }>();
const tree = useTemplateRef<HTMLDivElement>('tree');
const own = useId();
const rowId = (id: string | null): string => `${own}-${id ?? 'all'}`;

watch(
  () => props.chosen,
  async () => {
    await nextTick();
    tree.value?.querySelector('.on')?.scrollIntoView({ block: 'nearest' });
  },
);

function press(event: KeyboardEvent): void {
  if (event.target === tree.value && !event.isComposing) emit('press', event);
}
defineExpose({ focus: () => tree.value?.focus({ preventScroll: true }) });
</script>

<template>
  <div
    ref="tree"
    class="tree"
    role="tree"
    tabindex="0"
    :aria-label="label"
    :aria-activedescendant="rows.some(({ id }) => id === chosen) ? rowId(chosen) : undefined"
    @keydown="press"
  >
    <div
      v-for="row in rows"
      :id="rowId(row.id)"
      :key="row.id ?? 'all'"
      class="row"
      role="treeitem"
      :aria-level="row.depth + 1"
      :aria-selected="row.id === chosen"
      :class="{ on: row.id === chosen, off: row.off !== undefined, top: row.depth === 0 }"
      :style="{ paddingInlineStart: `${8 + row.depth * 13}px` }"
      @click="emit('choose', row.id)"
    >
      <span class="word">{{ row.word }}</span>
      <span class="name">{{ row.name }}</span>
      <span v-if="row.off !== undefined" class="name">{{ row.off }}</span>
    </div>
    <slot />
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
.top .word {
  font-weight: 650;
}
.off .word {
  color: var(--mute);
  text-decoration: line-through;
}
.word {
  flex: none;
  max-width: 100%;
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
</style>
