<script setup lang="ts">
import { computed, useTemplateRef } from 'vue';
import type { Id, Menu } from '@zorvik/core';
import { pointedSpot } from '../../composables/dropSpot.ts';
import { outlineRows, typingPlace, type OutlineRow as Row } from '../../composables/outlineRows.ts';
import { useDropZone } from '../../composables/useDropZone.ts';
import { useTree } from '../../composables/useTree.ts';
import { useUnfoldOnRest } from '../../composables/useUnfoldOnRest.ts';
import { ROW_HEIGHT } from '../../composables/rowHeight.ts';
import { useVirtualRows } from '../../composables/useVirtualRows.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import AddingRow from './AddingRow.vue';
import DropLine from './DropLine.vue';
import ItemRow from './ItemRow.vue';

/** A menu as one indented list to type in. */
const props = defineProps<{ menu: Menu; isNarrow?: boolean }>();
const INSET = 24;
const copy = useWorkingCopy();
const selection = useSelection();
const scroller = useTemplateRef<HTMLElement>('scroller');
const tree = useTemplateRef<HTMLElement>('tree');
const addField = useTemplateRef<InstanceType<typeof AddingRow>>('addField');

const rows = computed(() =>
  copy.document === null ? [] : outlineRows(copy.document, props.menu.id, selection.folded),
);
const work = useTree({
  menu: () => props.menu.id,
  rows,
  tree,
  show: (id) =>
    virtual.show(id === 'adding' ? Math.max(0, addAt.value) : rows.value.findIndex((row) => row.id === id)),
  focusAdding: () => addField.value?.focus(),
});
const { renaming, adding, active, chosen } = work;
/** Where the new item is typed; null: none is. */
const adds = computed(() =>
  adding.value === null
    ? null
    : (typingPlace(rows.value, props.menu.id, adding.value) ?? { at: 0, depth: 0 }),
);
/** The row above which that is, as an index. */
const addAt = computed(() => adds.value?.at ?? -1);
const count = computed(() => rows.value.length + (adding.value === null ? 0 : 1));
const virtual = useVirtualRows(scroller, count);
const shown = computed(() =>
  virtual.rows.value.flatMap(({ index, start }): { key: string; start: number; row: Row }[] => {
    if (index === addAt.value) return [];
    const row = rows.value[addAt.value >= 0 && index > addAt.value ? index - 1 : index];
    return row === undefined ? [] : [{ key: row.id, start, row }];
  }),
);

const drop = useDropZone({
  element: scroller,
  focus: work.focus,
  isRtl: () => copy.document?.site.direction === 'rtl',
  spotUnder(dragged, _x, y, sideways) {
    const { document } = copy;
    const box = scroller.value?.getBoundingClientRect();
    if (document === null || box === undefined || scroller.value === null) return null;
    const height = (y - box.top + scroller.value.scrollTop) / ROW_HEIGHT;
    const found = pointedSpot(document, {
      root: props.menu.id,
      rows: rows.value,
      dragged,
      height,
      sideways,
    });
    return { ...found, over: rows.value[Math.floor(height)]?.id ?? null };
  },
});
useUnfoldOnRest(computed((): Id | null => drop.value?.at.over ?? null));

defineExpose({
  startAdding: work.startAdding,
  startRenaming: () => work.doing.rename?.(),
  focus: work.focus,
});
</script>

<template>
  <div ref="scroller" class="outline" :dir="copy.document?.site.direction">
    <div
      ref="tree"
      class="room"
      role="tree"
      tabindex="0"
      aria-multiselectable="true"
      :aria-label="`Items of ${menu.name}`"
      :aria-activedescendant="active < 0 || renaming !== null ? undefined : `row-${rows[active]?.id}`"
      :style="{ minHeight: `${virtual.height.value}px` }"
      @keydown="work.press"
      @copy="work.copied"
      @cut="work.copied"
      @paste="work.pasted"
    >
      <div
        v-for="{ key, start, row } in shown"
        :key="key"
        class="entry"
        role="none"
        :class="{ front: renaming === key }"
        :style="{ transform: `translateY(${start}px)` }"
      >
        <ItemRow
          :row="row"
          :is-selected="chosen.has(row.id)"
          :is-lead="row.id === selection.item?.id"
          :is-renaming="renaming === row.id"
          :tree="work"
          :is-slim="isNarrow"
        />
      </div>
      <DropLine
        v-if="drop !== null"
        :words="drop.words"
        :problem="drop.problem"
        :is-into="drop.at.isInto"
        :style="{
          transform: `translateY(${drop.at.line * ROW_HEIGHT}px)`,
          insetInlineStart: `${drop.at.isInto === true ? 26 + (drop.at.depth - 1) * INSET : 38 + drop.at.depth * INSET}px`,
          insetInlineEnd: '14px',
        }"
      />
    </div>
    <AddingRow
      v-if="adding !== null"
      ref="addField"
      class="entry front"
      :style="{
        transform: `translateY(${addAt * ROW_HEIGHT}px)`,
        paddingInlineStart: `${38 + (adds?.depth ?? 0) * INSET}px`,
      }"
      @pick="work.add"
      @leave="work.stopAdding"
      @nest="work.nest"
      @lines="work.pasteLines"
    />
  </div>
</template>

<style scoped src="./treeRoom.css"></style>
<style scoped>
.outline {
  position: relative;
  height: 100%;
  overflow: auto;
  touch-action: pan-y;
}
.room {
  height: 100%;
}
.entry {
  position: absolute;
  inset-inline: 0;
  top: 0;
}
.entry.front {
  z-index: 2;
}
</style>
