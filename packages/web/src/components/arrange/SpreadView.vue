<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, useTemplateRef } from 'vue';
import type { Id, Menu } from '@zorvik/core';
import type { OutlineRow as Row } from '../../composables/outlineRows.ts';
import {
  addingIn,
  columnWidth,
  HEAD,
  INSET,
  placeIn,
  rowsIn,
  spreadColumns,
  spreadSpot,
  type Column,
  type SpreadSpot,
} from '../../composables/spread.ts';
import { useDropZone } from '../../composables/useDropZone.ts';
import { useItemActions } from '../../composables/useItemActions.ts';
import { useTree } from '../../composables/useTree.ts';
import { useUnfoldOnRest } from '../../composables/useUnfoldOnRest.ts';
import { ROW_HEIGHT } from '../../composables/rowHeight.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import AddingRow from './AddingRow.vue';
import DropLine from './DropLine.vue';
import ItemRow from './ItemRow.vue';
import { useRubberBand } from '../../composables/useRubberBand.ts';

/**
 * The whole menu at once: the branches hang side by side from the bar in its order, as the visitor meets
 * them. Only what is seen of it, and a little around, is in the page.
 */
const props = defineProps<{ menu: Menu }>();
/** How far the columns are set in from the edge. */
const PAD = 14;
const AROUND = 6;
const copy = useWorkingCopy();
const selection = useSelection();
const { act } = useItemActions();
const scroller = useTemplateRef<HTMLElement>('scroller');
const tree = useTemplateRef<HTMLElement>('tree');
const addField = useTemplateRef<InstanceType<typeof AddingRow>[]>('addField');

const columns = computed(() =>
  copy.document === null ? [] : spreadColumns(copy.document, props.menu.id, selection.folded),
);
/** What the arrows go through: column by column. */
const rows = computed(() => columns.value.flatMap((column) => column.rows));

const view = ref({ left: 0, top: 0, width: 1280, height: 400 });
function look(): void {
  const element = scroller.value;
  if (element !== null)
    view.value = {
      left: Math.abs(element.scrollLeft),
      top: element.scrollTop,
      width: element.clientWidth,
      height: element.clientHeight,
    };
}
let watching: ResizeObserver | null = null;
onMounted(() => {
  watching = new ResizeObserver(look);
  if (scroller.value !== null) watching.observe(scroller.value);
});
onBeforeUnmount(() => watching?.disconnect());

const width = computed(() =>
  columnWidth(view.value.width - PAD, columns.value.length + (addInBar.value >= 0 ? 1 : 0)),
);
const seenColumns = computed(() => {
  const first = Math.max(0, Math.floor(view.value.left / width.value) - 1);
  return columns.value.slice(first, Math.ceil((view.value.left + view.value.width) / width.value) + 1);
});
const tallest = computed(
  () => Math.max(1, ...columns.value.map((column) => column.rows.length)) + (adding.value === null ? 0 : 1),
);

/** The rows of a column that are seen; the entry of the bar always is, since it stays on top. */
function seenRows(column: Column): { readonly row: Row; readonly at: number }[] {
  const shift = addIn(column)?.at ?? Infinity;
  const first = Math.max(1, Math.floor(view.value.top / ROW_HEIGHT) - AROUND);
  const last = Math.ceil((view.value.top + view.value.height) / ROW_HEIGHT) + AROUND;
  return column.rows.slice(first, last).map((row, index) => {
    const at = first + index;
    return { row, at: at >= shift ? at + 1 : at };
  });
}

const place = (id: Id) => placeIn(columns.value, id);

function show(id: Id | 'adding'): void {
  const element = scroller.value;
  const found = place(id === 'adding' ? (adding.value?.after ?? adding.value?.parent ?? '') : id);
  if (element === null || found === null) return;
  const [left, top] = [found.column.at * width.value, HEAD + found.at * ROW_HEIGHT];
  const isRtl = getComputedStyle(element).direction === 'rtl';
  const seen = Math.abs(element.scrollLeft);
  const wanted =
    left < seen
      ? left
      : left + width.value > seen + element.clientWidth
        ? left + width.value - element.clientWidth + PAD
        : seen;
  if (wanted !== seen) element.scrollLeft = isRtl ? -wanted : wanted;
  const under = HEAD + 2 * ROW_HEIGHT;
  if (found.at > 0 && top < element.scrollTop + under) element.scrollTop = Math.max(0, top - under);
  else if (top + 2 * ROW_HEIGHT > element.scrollTop + element.clientHeight)
    element.scrollTop = top + 2 * ROW_HEIGHT - element.clientHeight;
  look();
}

/** To the branch beside, at the same height. */
function aside(step: 1 | -1): void {
  const here = selection.item === null ? null : place(selection.item.id);
  const beside = here === null ? columns.value[0] : columns.value[here.column.at + step];
  const row = beside?.rows[Math.min(here?.at ?? 0, beside.rows.length - 1)];
  if (row !== undefined) selection.select(row.id);
}

const isBarEntry = (): boolean => selection.item?.parent === props.menu.id;
const work = useTree({
  menu: () => props.menu.id,
  rows,
  tree,
  show,
  focusAdding: () => addField.value?.[0]?.focus(),
  own: {
    foldOrOut: () => aside(-1),
    unfoldOrIn: () => aside(1),
    moveOut: () => act(isBarEntry() ? 'moveUp' : 'moveOut'),
    moveIn: () => act(isBarEntry() ? 'moveDown' : 'moveIn'),
  },
});
const { renaming, adding, chosen } = work;

/** Where in a column a new item is typed; null: not there. */
function addIn(column: Column): ReturnType<typeof addingIn> {
  const spot = adding.value;
  return spot === null || spot.parent === props.menu.id ? null : addingIn(column, spot);
}
/** Where in the bar a new entry is typed: before the column of that number; -1: not there. */
const addInBar = computed(() => {
  const spot = adding.value;
  if (spot === null || spot.parent !== props.menu.id) return -1;
  return spot.after === null ? 0 : columns.value.findIndex(({ top }) => top === spot.after) + 1;
});
const xOf = (at: number): number =>
  (at + (addInBar.value >= 0 && at >= addInBar.value ? 1 : 0)) * width.value;

function spotUnder(dragged: readonly Id[], x: number, y: number, sideways: number): SpreadSpot | null {
  const { document } = copy;
  const element = scroller.value;
  if (document === null || element === null) return null;
  const box = element.getBoundingClientRect();
  const isRtl = getComputedStyle(element).direction === 'rtl';
  const left = (isRtl ? box.right - x : x - box.left) + Math.abs(element.scrollLeft) - PAD;
  return spreadSpot(document, props.menu.id, columns.value, dragged, {
    left,
    top: y - box.top + element.scrollTop,
    isOnBar: y - box.top < HEAD + ROW_HEIGHT,
    sideways,
    width: width.value,
  });
}
const drop = useDropZone({
  element: scroller,
  focus: work.focus,
  spotUnder,
  isRtl: () => copy.document?.site.direction === 'rtl',
});
useUnfoldOnRest(computed((): Id | null => drop.value?.at.over ?? null));

const rubberBand = useRubberBand(scroller, (area) =>
  selection.chooseAll(rowsIn(columns.value, area, width.value)),
);

defineExpose({
  startAdding: work.startAdding,
  startRenaming: () => work.doing.rename?.(),
  focus: work.focus,
});
</script>

<template>
  <div
    ref="scroller"
    class="spread"
    :dir="copy.document?.site.direction"
    :class="{ narrow: columns.length * width + PAD <= view.width }"
    @scroll.passive="look"
  >
    <div
      ref="tree"
      class="room"
      role="tree"
      tabindex="0"
      aria-multiselectable="true"
      aria-orientation="horizontal"
      :aria-label="`Items of ${menu.name}`"
      :aria-activedescendant="
        selection.item === null || renaming !== null ? undefined : `row-${selection.item.id}`
      "
      :style="{
        width: `${(columns.length + (addInBar >= 0 ? 1 : 0)) * width + PAD}px`,
        height: `${HEAD + (tallest + 1) * ROW_HEIGHT}px`,
      }"
      @keydown="work.press"
      @copy="work.copied"
      @cut="work.copied"
      @paste="work.pasted"
    >
      <div class="bar" role="none">
        <div
          v-for="column in seenColumns"
          :key="column.top"
          class="entry"
          role="none"
          :class="{ on: chosen.has(column.top) }"
          :style="{ insetInlineStart: `${xOf(column.at)}px`, width: `${width}px` }"
        >
          <ItemRow
            :row="column.rows[0]!"
            :is-selected="chosen.has(column.top)"
            :is-lead="column.top === selection.item?.id"
            :is-renaming="renaming === column.top"
            :tree="work"
            :inset="INSET"
            is-slim
          />
          <span class="count number" aria-hidden="true">{{ column.count || '' }}</span>
        </div>
        <AddingRow
          v-if="addInBar >= 0"
          ref="addField"
          class="entry adding"
          is-slim
          :style="{ insetInlineStart: `${addInBar * width}px`, width: `${width + 60}px` }"
          @pick="work.add"
          @leave="work.stopAdding"
          @nest="work.nest"
          @lines="work.pasteLines"
        />
      </div>
      <div
        v-for="column in seenColumns"
        :key="column.top"
        class="column"
        role="group"
        :aria-label="column.label"
        :style="{
          insetInlineStart: `${xOf(column.at)}px`,
          width: `${width}px`,
          height: `${HEAD + (column.rows.length + (addIn(column) === null ? 0 : 1)) * ROW_HEIGHT + 8}px`,
        }"
        :class="{ on: chosen.has(column.top) }"
      >
        <div
          v-for="{ row, at } in seenRows(column)"
          :key="row.id"
          class="item"
          role="none"
          :class="{ front: renaming === row.id }"
          :style="{ transform: `translateY(${HEAD + at * ROW_HEIGHT}px)` }"
        >
          <ItemRow
            :row="row"
            :level="row.depth + 2"
            :is-selected="chosen.has(row.id)"
            :is-lead="row.id === selection.item?.id"
            :is-renaming="renaming === row.id"
            :tree="work"
            :inset="INSET"
            is-slim
          />
        </div>
        <AddingRow
          v-if="addIn(column) !== null"
          ref="addField"
          class="item front"
          is-slim
          :style="{
            transform: `translateY(${HEAD + (addIn(column)?.at ?? 0) * ROW_HEIGHT}px)`,
            paddingInlineStart: `${4 + (addIn(column)?.depth ?? 0) * INSET}px`,
            width: `${width + 60}px`,
          }"
          @pick="work.add"
          @leave="work.stopAdding"
          @nest="work.nest"
          @lines="work.pasteLines"
        />
        <DropLine
          v-if="drop !== null && !drop.at.isInBar && drop.at.column === column.at"
          :words="drop.words"
          :problem="drop.problem"
          :is-into="drop.at.isInto"
          :style="{
            transform: `translateY(${HEAD + (drop.at.line + 1) * ROW_HEIGHT}px)`,
            insetInlineStart: `${drop.at.isInto === true ? Math.max(2, 4 + (drop.at.depth - 1) * INSET) : 16 + drop.at.depth * INSET}px`,
            insetInlineEnd: '8px',
          }"
        />
      </div>
      <div
        v-if="drop !== null && drop.at.isInBar"
        class="between"
        role="none"
        :style="{ insetInlineStart: `${drop.at.column * width}px` }"
      >
        <span :class="{ bad: drop.problem !== null }">{{ drop.problem ?? drop.words }}</span>
      </div>
      <div
        v-if="rubberBand !== null"
        class="rubber-band"
        role="none"
        :style="{
          left: `${rubberBand.left}px`,
          top: `${rubberBand.top}px`,
          width: `${rubberBand.right - rubberBand.left}px`,
          height: `${rubberBand.bottom - rubberBand.top}px`,
        }"
      />
    </div>
  </div>
</template>

<style scoped src="./treeRoom.css"></style>
<style scoped>
/* Where there is nothing to scroll to, a finger that goes sideways would leave for the page before. */
.spread.narrow {
  touch-action: pan-y;
}
.spread {
  position: relative;
  height: 100%;
  overflow: auto;
  padding-inline-start: 14px;
}
.room {
  min-height: 100%;
}
.bar {
  position: sticky;
  z-index: 4;
  top: 0;
  height: 46px;
  background: var(--paper);
  box-shadow: 0 6px 6px -4px var(--paper);
}
.bar:not(:empty)::before {
  content: '';
  position: absolute;
  inset-inline: 0 0;
  top: 6px;
  border-top: 2px solid var(--ink);
}
.entry {
  position: absolute;
  top: 14px;
}
.entry::before {
  content: '';
  position: absolute;
  z-index: 1;
  top: -13px;
  inset-inline-start: 10px;
  width: 12px;
  height: 12px;
  border: 2px solid var(--ink);
  border-radius: 50%;
  background: var(--paper);
}
.entry.on::before {
  border-color: var(--accent);
  background: var(--accent);
}
.entry.adding::before {
  border-style: dashed;
}
.count {
  position: absolute;
  inset-inline-end: 14px;
  top: 8px;
  color: var(--mute);
  font-size: 0.75rem;
  pointer-events: none;
}
.entry :deep(.row) {
  padding-inline-end: 38px;
}
.entry :deep(.label) {
  font-weight: 650;
}
.column {
  position: absolute;
  top: 0;
  padding-inline-end: 10px;
}
.column.on {
  background: linear-gradient(var(--accent-tint), transparent);
}
.item {
  position: absolute;
  inset-inline: 0 10px;
  top: 0;
}
.item.front,
.entry:has(.edit) {
  z-index: 5;
}
.between {
  position: absolute;
  z-index: 6;
  top: 0;
  height: 46px;
  border-inline-start: 2px solid var(--accent);
  pointer-events: none;
}
.between span {
  position: absolute;
  top: 48px;
  inset-inline-start: -2px;
  width: max-content;
  max-width: 320px;
  padding: 3px 8px;
  border-radius: 5px;
  background: var(--ink);
  color: var(--on-ink);
  font-size: 0.75rem;
}
.between span.bad {
  background: var(--brick);
}
.rubber-band {
  position: absolute;
  z-index: 7;
  border: 1px solid var(--accent);
  background: var(--accent-veil);
  pointer-events: none;
}
</style>
