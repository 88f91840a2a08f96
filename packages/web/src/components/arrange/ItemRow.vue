<script setup lang="ts">
import { mdiChevronDown, mdiChevronRight, mdiSync } from '@mdi/js';
import { computed, nextTick, onBeforeUnmount, onMounted, ref, useTemplateRef, watch } from 'vue';
import { draggable } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import { exceptionWords, faceOf, labelOf, menuOf, writtenOut } from '@zorvik/core';
import type { OutlineRow } from '../../composables/outlineRows.ts';
import { pageUse } from '../../composables/pageUse.ts';
import type { Tree } from '../../composables/useTree.ts';
import { useTyping } from '../../composables/useTyping.ts';
import { usePeople } from '../../stores/people.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import PersonTag from '../shell/PersonTag.vue';
import { destinationIcons, destinationWords } from './destinationIcon.ts';

/** An item in either form of the tree. `isSlim` has no room for where it leads; `inset` is how far a level is set in, in px. */
const props = withDefaults(
  defineProps<{
    row: OutlineRow;
    isSelected: boolean;
    isLead: boolean;
    isRenaming: boolean;
    /** What is done in the tree that it stands in. The same object always, so that a row changes only with its item. */
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
const input = useTemplateRef<HTMLInputElement>('input');
const isDragged = ref(false);

const label = computed(() => (copy.document === null ? '' : labelOf(copy.document, props.row.item)));
const face = computed(() => (copy.document === null ? props.row.item : faceOf(copy.document, props.row.item)));
const kind = computed(() => face.value.destination.kind);
const page = computed(() => {
  const { destination } = face.value;
  return destination.kind === 'page' ? (copy.document?.pages.nodes.get(destination.page) ?? null) : null;
});
const target = computed(() => {
  const { destination } = face.value;
  return page.value?.address ?? writtenOut(destination) ?? '';
});
type Tone = 'bad' | 'look' | 'good' | 'plain';
/** What is otherwise than it is followed. */
const exceptions = computed(() => (copy.stored === null || !isFollowed.value ? [] : exceptionWords(copy.stored, props.row.id)));
const isFollowed = computed(() => props.row.item.exception !== undefined);
const remarks = computed((): { readonly text: string; readonly tone: Tone }[] => {
  const found: { text: string; tone: Tone }[] = [];
  const { hiddenOn, heldBack, opensNewTab } = face.value;
  if (kind.value === 'undecided') found.push({ text: 'no link yet', tone: 'look' });
  if (page.value?.state === 'gone') found.push({ text: 'page deleted', tone: 'bad' });
  if (page.value?.state === 'draft') found.push({ text: page.value.planned === true ? 'planned' : 'draft', tone: 'look' });
  if (heldBack === true) found.push({ text: 'unpublished', tone: 'look' });
  if (isTwice.value) found.push({ text: 'used twice', tone: 'plain' });
  for (const words of exceptions.value) found.push({ text: words, tone: words === 'hidden' ? 'look' : 'plain' });
  if (props.row.item.follow !== undefined) found.push({ text: 'follows', tone: 'good' });
  if (props.row.item.link !== undefined) found.push({ text: 'shared', tone: 'plain' });
  if (hiddenOn !== undefined) found.push({ text: `not on ${hiddenOn.join(', ')}`, tone: 'plain' });
  if (opensNewTab) found.push({ text: 'new tab', tone: 'plain' });
  return props.isSlim ? found.slice(0, 1) : found;
});
/** The same page twice in a menu is allowed, and said quietly. */
const isTwice = computed(() => {
  const { document } = copy;
  return document !== null && page.value !== null && (pageUse(document).get(page.value.id)?.get(menuOf(document, props.row.id).id) ?? 0) > 1;
});

const typing = useTyping({ value: () => label.value, keep: (...words) => props.tree.keepName(props.row.id)(...words) });
const { typed, problem, meanwhile } = typing;
watch(
  () => props.isRenaming,
  async (isRenaming) => {
    if (!isRenaming) return;
    typing.begin();
    await nextTick();
    input.value?.select();
  },
  { immediate: true },
);

function leave(isKept: boolean): void {
  if (!props.isRenaming) return;
  if (isKept ? typing.end() : typing.giveBack() || true) props.tree.endRenaming();
}

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
    :style="{ paddingInlineStart: `${(isSlim ? 4 : 14) + row.depth * inset}px`, '--name-start': `${65 + row.depth * inset}px` }"
    :aria-level="level || row.depth + 1"
    :aria-setsize="row.siblings"
    :aria-posinset="row.place"
    :aria-selected="isSelected"
    :aria-expanded="row.childCount === 0 ? undefined : !row.isFolded"
    @pointerdown="tree.point(row.id, $event)"
    @click="tree.point(row.id, $event)"
    @dblclick="tree.startRenaming(row.id)"
  >
    <i v-for="step in row.depth" :key="step" class="guide" :style="{ insetInlineStart: `${(isSlim ? 15 : 25) + (step - 1) * inset}px` }" />
    <button v-if="row.childCount > 0" type="button" class="fold" tabindex="-1" aria-hidden="true" @click.stop="selection.setFolded(row.id, !row.isFolded)">
      <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true"><path :d="row.isFolded ? mdiChevronRight : mdiChevronDown" fill="currentColor" /></svg>
    </button>
    <span v-else class="fold" />
    <svg class="kind" viewBox="0 0 24 24" width="15" height="15" aria-hidden="true">
      <path :d="isFollowed ? mdiSync : destinationIcons[kind]" fill="currentColor" />
    </svg>
    <span v-if="isRenaming" class="edit" @pointerdown.stop @click.stop @dblclick.stop>
      <input
        ref="input"
        v-model="typed"
        type="text"
        spellcheck="false"
        :aria-label="`New label for ${label}`"
        :aria-invalid="problem !== null"
        @input="typing.input"
        @compositionstart="typing.composing(true)"
        @compositionend="typing.composing(false)"
        @keydown.enter.stop.prevent="!$event.isComposing && leave(true)"
        @keydown.escape.stop.prevent="!$event.isComposing && leave(false)"
        @keydown.tab.stop.prevent="tree.whileNaming(row.id, $event.shiftKey ? 'unnest' : 'nest')"
        @keydown.backspace="typed === '' && row.childCount === 0 && !$event.isComposing && tree.whileNaming(row.id, 'remove')"
        @keydown.stop
        @blur="leave(true)"
      />
      <span v-if="problem !== null" class="problem" role="alert">{{ problem }}</span>
      <span v-else-if="meanwhile !== null" class="problem look" role="status">
        Someone changed this to “{{ meanwhile }}”. Your text replaces it when you leave the field.
      </span>
    </span>
    <template v-else>
      <span class="name">
        <span class="label">{{ label }}</span>
        <span class="only-heard">, {{ destinationWords[kind] }}{{ isFollowed ? ', followed' : '' }}</span>
        <span v-if="row.isFolded" class="count number">{{ row.childCount }}</span>
      </span>
      <span v-if="!isSlim" class="target">{{ target }}</span>
      <b v-if="face.badge !== undefined" class="badge" :style="{ color: face.badge.color, background: face.badge.background }">{{ face.badge.text }}</b>
      <span v-for="remark in remarks" :key="remark.text" class="remark" :class="remark.tone">{{ remark.text }}</span>
      <PersonTag v-for="person in people.at(row.id)" :key="person.session" :person="person" />
      <span v-if="people.changed.get(row.id) !== undefined" class="remark changed">just changed by {{ people.changed.get(row.id) }}</span>
    </template>
  </div>
</template>

<style scoped>
.row {
  position: relative;
  display: flex;
  align-items: center;
  gap: 6px;
  height: 32px;
  padding-inline-end: 14px;
  white-space: nowrap;
  cursor: default;
  user-select: none;
  --name-end: min(46vw, 540px);
}
.row:hover {
  background: var(--hover);
}
.row.on {
  background: var(--field);
  box-shadow:
    inset 3px 0 var(--accent),
    0 1px var(--line),
    0 -1px var(--line);
}
.row.dragged {
  opacity: 0.4;
}
.guide {
  position: absolute;
  inset-block: 0;
  border-inline-start: 1px solid var(--line);
}
.fold {
  flex: none;
  display: grid;
  place-items: center;
  width: 24px;
  height: 24px;
  margin-inline-start: -2px;
  padding: 0;
  border: 0;
  border-radius: 5px;
  background: none;
  color: var(--mute);
  cursor: pointer;
}
span.fold {
  cursor: default;
}
button.fold:hover {
  background: var(--paper-deep);
}
.kind {
  flex: none;
  color: var(--faint);
}
.name {
  display: flex;
  align-items: center;
  gap: 6px;
  flex: none;
  width: calc(var(--name-end) - var(--name-start));
  min-width: 90px;
}
.label {
  overflow: hidden;
  text-overflow: ellipsis;
}
.top .label,
.heading .label {
  font-weight: 600;
}
.count {
  padding: 0 6px;
  border-radius: 8px;
  background: var(--paper-deep);
  color: var(--mute);
  font-size: 0.6875rem;
}
.target {
  flex: 1;
  overflow: hidden;
  text-overflow: ellipsis;
  color: var(--mute);
  font-size: 0.75rem;
}
.remark {
  flex: none;
  padding: 0 7px;
  border-radius: 9px;
  font-size: 0.6875rem;
  line-height: 1.125rem;
  color: var(--mute);
}
.remark.look {
  background: var(--ochre-tint);
  color: var(--ochre);
  font-weight: 600;
}
.remark.bad {
  background: var(--brick-tint);
  color: var(--brick);
  font-weight: 600;
}
.remark.good {
  background: var(--moss-tint);
  color: var(--moss);
  font-weight: 600;
}
.row.followed .kind {
  color: var(--moss);
}
.row.hidden .label {
  color: var(--mute);
  text-decoration: line-through;
}
.remark.changed {
  background: var(--moss-tint);
  color: var(--moss);
}
.edit {
  position: relative;
  flex: 1;
  max-width: 480px;
}
.edit input {
  width: 100%;
  height: 26px;
  padding: 0 6px;
  border: 1px solid var(--ink);
  border-radius: 5px;
  background: var(--field);
  user-select: text;
}
.problem {
  position: absolute;
  z-index: 3;
  inset-block-start: 29px;
  inset-inline-start: 0;
  padding: 5px 9px;
  border-radius: 6px;
  background: var(--brick-fill);
  color: var(--on-fill);
  font-size: 0.75rem;
  white-space: normal;
}
.problem.look {
  background: var(--ochre);
}
.badge {
  flex: none;
  max-width: 90px;
  overflow: hidden;
  text-overflow: ellipsis;
  padding: 0 7px;
  border-radius: 9px;
  font-size: 0.6875rem;
  line-height: 1.125rem;
}
.row.open .kind {
  color: var(--ochre);
}
.row.slim .name {
  flex: 1 1 0;
  width: auto;
  min-width: 0;
}
.row.slim .remark {
  padding-inline-end: 0;
}
</style>
