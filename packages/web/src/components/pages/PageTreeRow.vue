<script setup lang="ts">
import { mdiChevronDown, mdiChevronRight } from '@mdi/js';
import { onBeforeUnmount, onMounted, ref, useTemplateRef } from 'vue';
import { draggable } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import { numbered, shownAddress, type Id } from '@zorvik/core';
import type { PagePlace } from '../../composables/pagePlaces.ts';
import type { PageRow } from '../../composables/pageRows.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/** One page of the tree, with where it stands in the menus. */
const props = defineProps<{
  row: PageRow;
  index: number;
  isChosen: boolean;
  isLead: boolean;
  chosen: readonly Id[];
  places: readonly PagePlace[];
}>();
const emit = defineEmits<{ fold: [isUnfolded: boolean]; goTo: [place: PagePlace] }>();
const copy = useWorkingCopy();
const element = useTemplateRef<HTMLElement>('element');
const isDragged = ref(false);
const menuName = (menu: Id): string => copy.document?.menus.nodes.get(menu)?.name ?? '';

let release: (() => void) | null = null;
onMounted(() => {
  if (element.value === null) return;
  release = draggable({
    element: element.value,
    getInitialData: () => ({ treePages: props.isChosen ? [...props.chosen] : [props.row.id] }),
    onDragStart: () => (isDragged.value = true),
    onDrop: () => (isDragged.value = false),
  });
});
onBeforeUnmount(() => release?.());
</script>

<template>
  <div
    :id="`page-${row.id}`"
    ref="element"
    role="row"
    class="row"
    :class="{ on: isChosen, lead: isLead, dragged: isDragged }"
    :aria-rowindex="index + 1"
    :aria-level="row.depth + 1"
    :aria-expanded="row.childCount > 0 ? row.isUnfolded : undefined"
    :aria-selected="isChosen"
    @dblclick="row.childCount > 0 && emit('fold', !row.isUnfolded)"
  >
    <span role="gridcell" class="title" :style="{ paddingInlineStart: `${row.depth * 22}px` }">
      <button
        v-if="row.childCount > 0"
        type="button"
        tabindex="-1"
        class="fold"
        :aria-label="`${row.isUnfolded ? 'Collapse' : 'Expand'} ${row.page.title}`"
        @click.stop="emit('fold', !row.isUnfolded)"
      >
        <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
          <path :d="row.isUnfolded ? mdiChevronDown : mdiChevronRight" fill="currentColor" />
        </svg>
      </button>
      <span v-else class="fold" />
      <span class="text" dir="auto" :class="{ gone: row.page.state === 'gone' }">{{ row.page.title }}</span>
      <span v-if="row.childCount > 0" class="count number">{{ row.childCount }}</span>
    </span>
    <span role="gridcell" class="address" dir="ltr">{{ shownAddress(row.page.address) }}</span>
    <span role="gridcell" class="mute">{{ row.page.kind }}</span>
    <span role="gridcell">
      <span class="state" :class="row.page.state">
        {{ row.page.planned ? 'planned' : row.page.state === 'gone' ? 'deleted' : row.page.state }}
      </span>
    </span>
    <span role="gridcell" class="mute number visits">
      {{ row.page.visits === undefined ? '' : numbered(row.page.visits) }}
    </span>
    <span role="gridcell" class="menus">
      <button
        v-for="place in places"
        :key="place.part ?? place.item"
        type="button"
        tabindex="-1"
        :class="{ followed: place.words.includes('followed'), hidden: place.words.includes('hidden') }"
        :title="[`Level ${place.level} of ${menuName(place.menu)}`, ...place.words].join(', ')"
        @click.stop="emit('goTo', place)"
      >
        {{ menuName(place.menu) }}
        <span class="number">{{ place.level }}</span>
        <span v-if="place.part !== null" class="in-panel">in a panel</span>
      </button>
    </span>
  </div>
</template>

<style scoped src="./pageColumns.css"></style>
<style scoped>
.row {
  position: absolute;
  inset-inline: 0;
  top: 0;
  height: 32px;
  white-space: nowrap;
  border-bottom: 1px solid var(--line-soft);
  user-select: none;
}
.row:hover {
  background: var(--hover);
}
.row.on {
  background: var(--field);
  box-shadow: inset 3px 0 var(--ink);
}
.row.dragged {
  opacity: 0.4;
}
.title {
  display: flex;
  align-items: center;
  gap: 4px;
  min-width: 0;
}
.fold {
  flex: none;
  display: grid;
  place-items: center;
  width: 24px;
  height: 24px;
  padding: 0;
  border: 0;
  border-radius: 5px;
  background: none;
  color: var(--mute);
}
button.fold {
  cursor: pointer;
}
button.fold:hover {
  background: var(--paper-deep);
}
.text {
  overflow: hidden;
  text-overflow: ellipsis;
}
.gone {
  text-decoration: line-through;
  color: var(--mute);
}
.count {
  padding: 0 6px;
  border-radius: 8px;
  background: var(--paper-deep);
  color: var(--mute);
  font-size: 0.6875rem;
}
.address {
  overflow: hidden;
  text-overflow: ellipsis;
  color: var(--mute);
}
.visits {
  text-align: end;
}
.state {
  padding: 1px 8px;
  border-radius: 9px;
  font-size: 0.75rem;
  color: var(--moss);
  background: var(--moss-tint);
}
.state.draft {
  color: var(--ochre);
  background: var(--ochre-tint);
}
.state.gone {
  color: var(--brick);
  background: var(--brick-tint);
  text-decoration: none;
}
.menus {
  display: flex;
  gap: 6px;
  overflow: hidden;
  font-size: 0.75rem;
}
.menus button {
  flex: none;
  min-height: 24px;
  padding: 0 7px;
  border: 0;
  border-radius: 6px;
  background: var(--paper-deep);
  font: inherit;
  cursor: pointer;
}
.menus button:hover {
  background: var(--accent-tint);
}
.menus .followed {
  background: var(--moss-tint);
  color: var(--moss);
}
.menus .hidden {
  text-decoration: line-through;
}
.menus .in-panel {
  margin-inline-start: 4px;
}
.menus .number {
  color: var(--mute);
}
</style>
