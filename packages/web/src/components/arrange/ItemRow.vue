<script setup lang="ts">
import { mdiChevronDown, mdiChevronRight, mdiSync } from '@mdi/js';
import { computed, onBeforeUnmount, onMounted, ref, useTemplateRef } from 'vue';
import { draggable } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import { faceOf, labelOf, paletteOf, plainColour, shownAddress, writtenOut } from '@zorvik/core';
import type { OutlineRow } from '../../composables/outlineRows.ts';
import { useDrawing } from '../../composables/useDrawing.ts';
import { useItemSigns } from '../../composables/useItemSigns.ts';
import type { Tree } from '../../composables/useTree.ts';
import { usePeople } from '../../stores/people.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import PersonTag from '../shell/PersonTag.vue';
import { destinationIcons, destinationWords } from './destinationIcon.ts';
import ItemNaming from './ItemNaming.vue';
import ItemSigns from './ItemSigns.vue';

/**
 * An item in either form of the tree. `isSlim` has no room for where it leads; `inset` is how far a level is
 * set in, in px.
 */
const props = withDefaults(
  defineProps<{
    row: OutlineRow;
    isSelected: boolean;
    isLead: boolean;
    isRenaming: boolean;
    /**
     * What is done in the tree that it stands in. The same object always, so that a row changes only with its
     * item.
     */
    tree: Tree;
    isSlim?: boolean;
    /** The level that screen readers are told; 0: one more than the depth. */
    level?: number;
    inset?: number;
  }>(),
  { isSlim: false, inset: 24, level: 0 },
);
const copy = useWorkingCopy();
const people = usePeople();
const selection = useSelection();
const element = useTemplateRef<HTMLElement>('element');
const isDragged = ref(false);

const label = computed(() => (copy.document === null ? '' : labelOf(copy.document, props.row.item)));
const face = computed(() =>
  copy.document === null ? props.row.item : faceOf(copy.document, props.row.item),
);
const kind = computed(() => face.value.destination.kind);
const page = computed(() => {
  const { destination } = face.value;
  return destination.kind === 'page' ? (copy.document?.pages.nodes.get(destination.page) ?? null) : null;
});
const target = computed(() => {
  const { destination } = face.value;
  return shownAddress(page.value?.address ?? writtenOut(destination) ?? '');
});
const isFollowed = computed(() => props.row.item.exception !== undefined);
const drawing = useDrawing();
const signs = useItemSigns(() => props.row.item);
/** The colours that its badge has on the site. */
const badgeColours = computed(() => {
  const { document } = copy;
  if (document === null || face.value.badge === undefined || drawing.value === null) return {};
  const { entryStyle } = drawing.value;
  const owner = props.row.item.link ?? props.row.id;
  const colourOf = (property: 'color' | 'background'): string | undefined => {
    const value = entryStyle(document, owner, 'badge', property)?.value ?? '';
    return plainColour(paletteOf(document), value, 'light') ?? undefined;
  };
  return { color: colourOf('color'), background: colourOf('background') };
});

let release: (() => void) | null = null;
onMounted(() => {
  if (element.value === null) return;
  release = draggable({
    element: element.value,
    canDrag: () => !props.isRenaming,
    getInitialData: () => ({ items: props.isSelected ? selection.chosen : [props.row.id] }),
    onDragStart: () => (isDragged.value = true),
    onDrop: () => (isDragged.value = false),
  });
});
onBeforeUnmount(() => release?.());
</script>

<template>
  <div
    :id="`row-${row.id}`"
    ref="element"
    role="treeitem"
    class="row"
    :class="{
      on: isSelected,
      dragged: isDragged,
      heading: kind === 'none',
      open: kind === 'undecided',
      followed: isFollowed,
      hidden: row.item.exception?.hidden === true,
      top: (level || row.depth + 1) === 1,
      lead: isLead,
      slim: isSlim,
    }"
    :style="{
      paddingInlineStart: `${(isSlim ? 4 : 14) + row.depth * inset}px`,
      '--name-start': `${65 + row.depth * inset}px`,
    }"
    :aria-level="level || row.depth + 1"
    :aria-setsize="row.siblings"
    :aria-posinset="row.place"
    :aria-selected="isSelected"
    :aria-expanded="row.childCount === 0 ? undefined : !row.isFolded"
    @pointerdown="tree.point(row.id, $event)"
    @click="tree.point(row.id, $event)"
    @dblclick="tree.startRenaming(row.id)"
  >
    <i
      v-for="step in row.depth"
      :key="step"
      class="guide"
      :style="{ insetInlineStart: `${(isSlim ? 15 : 25) + (step - 1) * inset}px` }"
    />
    <button
      v-if="row.childCount > 0"
      type="button"
      class="fold"
      tabindex="-1"
      aria-hidden="true"
      @click.stop="selection.setFolded(row.id, !row.isFolded)"
    >
      <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
        <path :d="row.isFolded ? mdiChevronRight : mdiChevronDown" fill="currentColor" />
      </svg>
    </button>
    <span v-else class="fold" />
    <svg class="kind" viewBox="0 0 24 24" width="15" height="15" aria-hidden="true">
      <path :d="isFollowed ? mdiSync : destinationIcons[kind]" fill="currentColor" />
    </svg>
    <ItemNaming v-if="isRenaming" :row="row" :label="label" :tree="tree" />
    <template v-else>
      <span class="name">
        <span class="label" dir="auto">{{ label }}</span>
        <span class="only-heard">, {{ destinationWords[kind] }}{{ isFollowed ? ', followed' : '' }}</span>
        <span v-if="row.isFolded" class="count number">{{ row.childCount }}</span>
      </span>
      <span v-if="!isSlim" class="target" dir="ltr">{{ target }}</span>
      <b v-if="face.badge !== undefined" class="badge" :style="badgeColours">
        {{ face.badge.text }}
      </b>
      <ItemSigns v-if="signs.length > 0" :signs="signs" :most="isSlim ? 3 : 6" />
      <PersonTag
        v-for="person in people.at(row.id)"
        :key="person.session"
        :person="person"
        :is-slim="isSlim"
      />
    </template>
  </div>
</template>

<style scoped src="./itemRow.css"></style>
