<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { autoScrollForElements } from '@atlaskit/pragmatic-drag-and-drop-auto-scroll/element';
import { dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import { addLink, addPages, childrenOf, moveItems, nameOf, renameItem, type Id, type Spot } from '@zorvik/core';
import { dropSpot, type DropSpot } from '../../composables/dropSpot.ts';
import { outlineRows, type OutlineRow as Row } from '../../composables/outlineRows.ts';
import { useKeeping } from '../../composables/useKeeping.ts';
import { useItemActions } from '../../composables/useItemActions.ts';
import { useSpotForNew } from '../../composables/useSpotForNew.ts';
import { ROW_HEIGHT, useVirtualRows } from '../../composables/useVirtualRows.ts';
import { shortcutFor, type ShortcutName } from '../../shortcuts/shortcuts.ts';
import { useNotices } from '../../stores/notices.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import OutlineRow from './OutlineRow.vue';
import PagePick, { type Picked } from './PagePick.vue';

const copy = useWorkingCopy();
const selection = useSelection();
const notices = useNotices();
const { act, moveTo } = useItemActions();
const spotForNew = useSpotForNew();
const scroller = useTemplateRef<HTMLElement>('scroller');
const tree = useTemplateRef<HTMLElement>('tree');
const addField = useTemplateRef<InstanceType<typeof PagePick>>('addField');
const renaming = ref<Id | null>(null);
/** Where the row in which one types a new item stands; null when there is none. */
const adding = shallowRef<Spot | null>(null);
const drop = shallowRef<(DropSpot & { readonly words: string; readonly problem: string | null }) | null>(null);

const rows = computed(() => (copy.document === null || selection.menu === null ? [] : outlineRows(copy.document, selection.menu.id, selection.folded)));
/** The row above which the new item is typed, as an index. */
const addAt = computed(() => {
  const spot = adding.value;
  if (spot === null) return -1;
  if (spot.after === null) return rows.value.findIndex(({ id }) => id === spot.parent) + 1;
  const at = rows.value.findIndex(({ id }) => id === spot.after);
  let end = at + 1;
  while ((rows.value[end]?.depth ?? -1) > (rows.value[at]?.depth ?? 0)) end += 1;
  return end;
});
const addDepth = computed(() => {
  const spot = adding.value;
  return spot === null ? 0 : (rows.value.find(({ id }) => id === spot.parent)?.depth ?? -1) + 1;
});
const count = computed(() => rows.value.length + (adding.value === null ? 0 : 1));
const virtual = useVirtualRows(scroller, count);
const shown = computed(() =>
  virtual.rows.value.flatMap(({ index, start }): { key: string; start: number; row: Row }[] => {
    if (index === addAt.value) return [];
    const row = rows.value[addAt.value >= 0 && index > addAt.value ? index - 1 : index];
    return row === undefined ? [] : [{ key: row.id, start, row }];
  }),
);
const active = computed(() => rows.value.findIndex(({ id }) => id === selection.item?.id));

watch(active, async (at) => {
  await nextTick();
  if (at >= 0) virtual.show(at);
});
// Somebody else removed what one was just naming: the keys go on in the tree.
watch(
  () => renaming.value !== null && copy.document?.items.nodes.has(renaming.value) === false,
  (isGone) => isGone && endRenaming(),
);
watch(
  () => selection.menu?.id,
  () => {
    adding.value = null;
    renaming.value = null;
  },
);

function selectAt(at: number): void {
  const row = rows.value[Math.max(0, Math.min(at, rows.value.length - 1))];
  if (row !== undefined) selection.select(row.id);
}

const doing: Readonly<Record<ShortcutName, () => void>> = {
  up: () => selectAt(active.value - 1),
  down: () => selectAt(active.value + 1),
  first: () => selectAt(0),
  last: () => selectAt(rows.value.length - 1),
  foldOrOut: () => {
    const row = rows.value[active.value];
    if (row === undefined) return;
    if (row.childCount > 0 && !row.isFolded) selection.setFolded(row.id, true);
    else if (copy.document?.items.nodes.has(row.item.parent)) selection.select(row.item.parent);
  },
  unfoldOrIn: () => {
    const row = rows.value[active.value];
    if (row === undefined || row.childCount === 0) return;
    if (row.isFolded) selection.setFolded(row.id, false);
    else selectAt(active.value + 1);
  },
  moveUp: () => act('moveUp'),
  moveDown: () => act('moveDown'),
  moveOut: () => act('moveOut'),
  moveIn: () => act('moveIn'),
  remove: () => act('remove'),
  duplicate: () => act('duplicate'),
  rename: () => (renaming.value = selection.item?.id ?? null),
  add: startAdding,
  undo: () => undefined,
  redo: () => undefined,
  findPages: () => undefined,
  showKeys: () => undefined,
};

function press(event: KeyboardEvent): void {
  if (event.target !== tree.value || event.isComposing) return;
  const name = shortcutFor(event, 'outline');
  if (name === null) return;
  event.preventDefault();
  doing[name]();
}

function startAdding(): void {
  adding.value = spotForNew.value;
  notices.clear();
  void nextTick(() => virtual.show(Math.max(0, addAt.value)));
}

function stopAdding(): void {
  adding.value = null;
  tree.value?.focus({ preventScroll: true });
}

/** Takes what was typed as a new item and goes on behind it, so that a menu can be typed in one go. */
function add(picked: Picked): void {
  const spot = adding.value;
  if (spot === null) return;
  const result = copy.perform((context) => {
    if (picked.kind === 'page') return addPages(context, { pages: [picked.id], depth: 0, spot });
    return addLink(context, spot, { label: picked.label, address: picked.kind === 'link' ? picked.address : null });
  });
  const [first] = result.ok ? result.value.operations : [];
  if (first?.kind !== 'addItem') return;
  const id = first.branch[0]?.id ?? null;
  selection.select(id);
  typeAt({ parent: spot.parent, after: id });
}

/** Moves the row in which one types, and the focus with it. */
function typeAt(spot: Spot): void {
  adding.value = spot;
  void nextTick(() => {
    virtual.show(Math.max(0, addAt.value));
    void nextTick(() => addField.value?.focus());
  });
}

/** Tab puts the next item into the one before it, Shift and Tab behind its parent. */
function nest(isDeeper: boolean): void {
  const spot = adding.value;
  const { document } = copy;
  if (spot === null || document === null) return;
  if (isDeeper && spot.after !== null) typeAt({ parent: spot.after, after: childrenOf(document.items, spot.after).last() });
  const outer = document.items.nodes.get(spot.parent);
  if (!isDeeper && outer !== undefined) typeAt({ parent: outer.parent, after: outer.id });
}

const keepBy = useKeeping();
const keepName = (id: Id) => keepBy(`label ${id}`, (context, typed) => renameItem(context, id, typed));

function endRenaming(): void {
  renaming.value = null;
  tree.value?.focus({ preventScroll: true });
}

function spotUnder(dragged: Id, clientX: number, clientY: number): DropSpot | null {
  const { document } = copy;
  const box = scroller.value?.getBoundingClientRect();
  if (document === null || selection.menu === null || box === undefined || scroller.value === null) return null;
  const gap = Math.max(0, Math.min(rows.value.length, Math.round((clientY - box.top + scroller.value.scrollTop) / ROW_HEIGHT)));
  return dropSpot(document, selection.menu.id, rows.value, dragged, gap, Math.floor((clientX - box.left - 30) / 24));
}

function showDrop(dragged: Id, { clientX, clientY }: { readonly clientX: number; readonly clientY: number }): void {
  const found = spotUnder(dragged, clientX, clientY);
  const { document } = copy;
  if (found === null || document === null) return;
  const { parent, after } = found.spot;
  const behind = after === null ? 'first' : `after ${nameOf(document, 'items', after)}`;
  const tried = copy.attempt((context) => moveItems(context, [dragged], found.spot));
  const problem = tried.ok || tried.refusal.code === 'changesNothing' ? null : tried.refusal.message;
  drop.value = { ...found, words: `into ${nameOf(document, 'items', parent)}, level ${found.depth + 1}, ${behind}`, problem };
}

const releases: (() => void)[] = [];
onMounted(() => {
  const element = scroller.value;
  if (element === null) return;
  const itemIn = (data: Record<string | symbol, unknown>): Id => String(data.item);
  releases.push(
    autoScrollForElements({ element }),
    dropTargetForElements({
      element,
      canDrop: ({ source }) => typeof source.data.item === 'string',
      onDrag: ({ source, location }) => showDrop(itemIn(source.data), location.current.input),
      onDragLeave: () => (drop.value = null),
      onDrop: ({ source }) => {
        const found = drop.value;
        drop.value = null;
        if (found !== null) moveTo(itemIn(source.data), found.spot);
        tree.value?.focus({ preventScroll: true });
      },
    }),
  );
});
onBeforeUnmount(() => releases.forEach((release) => release()));

defineExpose({ startAdding, startRenaming: doing.rename, focus: () => tree.value?.focus({ preventScroll: true }) });
</script>

<template>
  <div ref="scroller" class="outline">
    <div
      ref="tree"
      class="room"
      role="tree"
      tabindex="0"
      :aria-label="`Items of ${selection.menu?.name ?? 'the menu'}`"
      :aria-activedescendant="active < 0 || renaming !== null ? undefined : `row-${rows[active]?.id}`"
      :style="{ minHeight: `${virtual.height.value}px` }"
      @keydown="press"
    >
      <div
        v-for="{ key, start, row } in shown"
        :key="key"
        class="entry"
        role="none"
        :class="{ front: renaming === key }"
        :style="{ transform: `translateY(${start}px)` }"
      >
        <OutlineRow
          :row="row"
          :is-selected="row.id === selection.item?.id"
          :is-renaming="renaming === row.id"
          :keep="keepName(row.id)"
          @select="selection.select(row.id)"
          @fold="selection.setFolded(row.id, $event)"
          @rename="renaming = row.id"
          @renamed="endRenaming"
        />
      </div>
      <div
        v-if="drop !== null"
        class="drop"
        role="none"
        :class="{ bad: drop.problem !== null }"
        :style="{ transform: `translateY(${drop.line * ROW_HEIGHT}px)`, insetInlineStart: `${38 + drop.depth * 24}px` }"
      >
        <span>{{ drop.problem ?? drop.words }}</span>
      </div>
    </div>
    <div
      v-if="adding !== null"
      class="entry front adding"
      :style="{ transform: `translateY(${addAt * ROW_HEIGHT}px)`, paddingInlineStart: `${38 + addDepth * 24}px` }"
    >
      <PagePick
        ref="addField"
        label="New item: a page, a label, or Label | address"
        placeholder="A page, a label, or Label | https://…"
        is-bare
        @pick="add"
        @leave="stopAdding"
        @nest="nest"
      />
      <span class="mute hint">
        <kbd>Enter</kbd>
        adds,
        <kbd>Tab</kbd>
        sets in,
        <kbd>Esc</kbd>
        ends
      </span>
    </div>
  </div>
</template>

<style scoped>
.outline {
  position: relative;
  height: 100%;
  overflow: auto;
}
.room {
  position: relative;
  height: 100%;
  outline: none;
}
.room:focus-visible:not(:has(.row.on)) {
  box-shadow: inset 0 0 0 2px var(--ink);
}
/* The focus is where the selection is: the row is ringed, not the whole list. */
.room:focus-visible :deep(.row.on) {
  outline: 2px solid var(--ink);
  outline-offset: -2px;
}
.entry {
  position: absolute;
  inset-inline: 0;
  top: 0;
}
.entry.front {
  z-index: 2;
}
.adding {
  display: flex;
  align-items: center;
  gap: 12px;
  height: 32px;
  padding-inline-end: 14px;
  background: var(--persimmon-tint);
}
.hint {
  white-space: nowrap;
  font-size: 12px;
}
.drop {
  position: absolute;
  z-index: 3;
  top: -1px;
  inset-inline-end: 14px;
  border-top: 2px solid var(--persimmon);
  pointer-events: none;
}
.drop::before {
  content: '';
  position: absolute;
  inset-inline-start: -6px;
  top: -5px;
  width: 8px;
  height: 8px;
  border-radius: 50%;
  background: var(--persimmon);
}
.drop.bad {
  border-top-color: var(--brick);
}
.drop span {
  position: absolute;
  inset-inline-start: 12px;
  top: 6px;
  padding: 3px 8px;
  border-radius: 5px;
  background: var(--ink);
  color: var(--white);
  font-size: 12px;
}
.drop.bad span {
  background: var(--brick);
}
</style>
