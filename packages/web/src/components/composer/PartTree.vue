<script setup lang="ts">
import { computed, nextTick, useId, useTemplateRef, watch } from 'vue';
import { enclosing, partName, partWords, type Id, type Part } from '@zorvik/core';
import { useComposing } from '../../composables/useComposing.ts';
import { useComposer } from '../../stores/composer.ts';
import { useLiveView } from '../../stores/liveView.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/** What is in the panel, as one list: the twin of the picture above for keys and screen readers. */
const copy = useWorkingCopy();
const composer = useComposer();
const composing = useComposing();
const live = useLiveView();
const tree = useTemplateRef<HTMLDivElement>('tree');
const id = useId();

interface Row {
  readonly id: Id | null;
  readonly depth: number;
  readonly word: string;
  readonly name: string;
}
const rows = computed((): Row[] => {
  const { document } = copy;
  const depths = new Map<Id, number>();
  const numbers = new Map<Id, number>();
  const own = composer.parts.map((part): Row => {
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
): Pick<Row, 'word' | 'name'> {
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
  if (event.target !== tree.value || event.isComposing) return;
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
watch(
  () => composer.partId,
  async () => {
    await nextTick();
    tree.value?.querySelector('.on')?.scrollIntoView({ block: 'nearest' });
  },
);

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
    aria-label="Panel contents"
    :aria-activedescendant="`${id}-${composer.partId ?? 'panel'}`"
    @keydown="press"
  >
    <div
      v-for="row in rows"
      :id="`${id}-${row.id ?? 'panel'}`"
      :key="row.id ?? 'panel'"
      class="row"
      role="treeitem"
      :aria-level="row.depth + 1"
      :aria-selected="row.id === composer.partId"
      :class="{ on: row.id === composer.partId }"
      :style="{ paddingInlineStart: `${8 + row.depth * 13}px` }"
      @click="composer.choose(row.id)"
    >
      <span class="word">{{ row.word }}</span>
      <span class="name">{{ row.name }}</span>
    </div>
    <p v-if="rows.length === 1" class="hint">
      Choose a preset, or add a part or a row. Existing groups are kept.
    </p>
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
.hint {
  padding: 8px 10px;
  color: var(--mute);
  font-size: 0.75rem;
}
.word {
  flex: none;
  font-weight: 600;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  color: var(--mute);
}
</style>
