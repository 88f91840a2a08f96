<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, ref, useTemplateRef, watch } from 'vue';
import type { State } from '@zorvik/core';
import { useSheetStage } from '../../composables/useSheetStage.ts';
import ContrastNote from './ContrastNote.vue';
import type { SheetRow } from '../../live/sheetMessages.ts';
import { useReadability } from '../../stores/readability.ts';
import { useFrame } from '../../stores/frame.ts';
import { leafOf, sheetStates, useStyling } from '../../stores/styling.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/**
 * A row for each thing that this page has, a column for each state: each cell is the real output. The labels and the
 * buttons lie over one picture of all cells.
 */
const copy = useWorkingCopy();
const frame = useFrame();
const styling = useStyling();
const readability = useReadability();
const iframe = useTemplateRef<HTMLIFrameElement>('iframe');
const room = useTemplateRef<HTMLDivElement>('room');

const GAP = 8;
const ROW = 70;
/** What a cell itself takes of that; its contrast stands beneath. */
const CELL = 52;
/** The least width of a cell, in px: on small screens, the sheet scrolls sideways. */
const LEAST_CELL = 92;
const width = ref(1000);
const label = computed(() => (width.value < 700 ? 110 : 190));
const words: Readonly<Record<State, string>> = {
  normal: 'normal',
  within: 'within current',
  current: 'current page',
  open: 'open',
  hover: 'hover',
  focus: 'focus',
  pressed: 'pressed',
};
const columns = computed(() =>
  sheetStates.filter((state) => styling.shownRows.some(({ states }) => states.includes(state))),
);
const cell = computed(() =>
  Math.floor((width.value - label.value - GAP * columns.value.length) / Math.max(1, columns.value.length)),
);
const sizes = computed(() => ({
  rowHeight: ROW,
  cellHeight: CELL,
  cell: Math.max(LEAST_CELL, Math.min(210, cell.value)),
  gap: GAP,
}));
useSheetStage(iframe, columns, sizes);

/** Where a thing is: the part that it stands in. */
function placeOf({ part }: SheetRow): string {
  const one = part === null ? undefined : copy.document?.parts.nodes.get(part);
  return one === undefined ? '' : frame.wordOf(one);
}
const isChosen = (row: SheetRow, state: State): boolean =>
  styling.row?.key === row.key && styling.state === state;

/** Arrows go from cell to cell. */
async function go(event: KeyboardEvent): Promise<void> {
  const { row } = styling;
  if (row === null) return;
  const step = { ArrowLeft: [0, -1], ArrowRight: [0, 1], ArrowUp: [-1, 0], ArrowDown: [1, 0] }[event.key];
  if (step === undefined) return;
  event.preventDefault();
  const [down = 0, across = 0] = step;
  const at = styling.shownRows.indexOf(row);
  const next = styling.shownRows[Math.max(0, Math.min(at + down, styling.shownRows.length - 1))] ?? row;
  const own = columns.value.filter((state) => next.states.includes(state));
  const state = own[Math.max(0, Math.min(own.indexOf(styling.state) + across, own.length - 1))] ?? 'normal';
  styling.choose(next.key, state);
  await nextTick();
  room.value?.querySelector<HTMLElement>('[aria-selected=true]')?.focus();
}

// What is chosen from elsewhere comes into sight.
watch(
  () => [styling.row?.key, styling.state],
  () => room.value?.querySelector('[aria-selected=true]')?.scrollIntoView({ block: 'nearest' }),
  { flush: 'post' },
);

let observer: ResizeObserver | null = null;
watch(room, (now) => {
  observer?.disconnect();
  if (now === null) return;
  observer = new ResizeObserver(
    ([entry]) => (width.value = Math.floor(entry?.contentRect.width ?? width.value)),
  );
  observer.observe(now);
});
onBeforeUnmount(() => observer?.disconnect());
</script>

<template>
  <div ref="room" class="room">
    <div class="states" :style="{ paddingInlineStart: `${label}px` }" aria-hidden="true">
      <span
        v-for="state in columns"
        :key="state"
        :style="{ inlineSize: `${sizes.cell}px`, marginInlineEnd: `${GAP}px` }"
      >
        {{ words[state] }}
      </span>
    </div>
    <div class="rows" :style="{ blockSize: `${styling.shownRows.length * ROW}px` }">
      <iframe
        ref="iframe"
        title="State sheet"
        src="/sheet.html"
        sandbox="allow-scripts"
        tabindex="-1"
        aria-hidden="true"
        :style="{
          insetInlineStart: `${label}px`,
          inlineSize: `${Math.max(width - label, columns.length * (sizes.cell + GAP))}px`,
        }"
      />
      <div class="grid" role="grid" aria-label="State sheet" @keydown="go">
        <div
          v-for="(row, at) in styling.shownRows"
          :key="row.key"
          class="row"
          role="row"
          :style="{ insetBlockStart: `${at * ROW}px`, blockSize: `${ROW}px` }"
        >
          <div class="label" role="rowheader">
            <b>{{ styling.nameOfRow(row) }}</b>
            <span>{{ placeOf(row) }}</span>
          </div>
          <button
            v-for="state in columns.filter((one) => row.states.includes(one))"
            :key="state"
            type="button"
            role="gridcell"
            class="cell"
            :aria-selected="isChosen(row, state)"
            :tabindex="isChosen(row, state) ? 0 : -1"
            :aria-label="`${styling.nameOfRow(row)}, ${placeOf(row)}, ${words[state]}`"
            :style="{
              insetInlineStart: `${label + columns.indexOf(state) * (sizes.cell + GAP)}px`,
              inlineSize: `${sizes.cell}px`,
            }"
            @click="styling.choose(row.key, state)"
          />
          <ContrastNote
            v-for="state in columns.filter((one) => row.states.includes(one))"
            :key="`${state} contrast`"
            :pair="readability.pairFor(leafOf(row), row.part, state, row.states)"
            class="contrast"
            :style="{
              insetInlineStart: `${label + columns.indexOf(state) * (sizes.cell + GAP)}px`,
              inlineSize: `${sizes.cell}px`,
            }"
          />
        </div>
      </div>
    </div>
    <p v-if="styling.rows.length > 0 && styling.shownRows.length === 0" class="none">
      Nothing like that is on this page. Choose another page, or other rows.
    </p>
  </div>
</template>

<style scoped>
.room {
  min-height: 0;
  overflow: auto;
  padding: 0 14px 10px;
  scroll-padding-block-start: 34px;
}
.states {
  position: sticky;
  inset-block-start: 0;
  z-index: 2;
  display: flex;
  padding-block: 7px 5px;
  color: var(--mute);
  font-size: 0.75rem;
  background: var(--stage);
}
.states span {
  flex: none;
}
.rows {
  position: relative;
}
iframe {
  position: absolute;
  inset-block: 0;
  block-size: 100%;
  border: 0;
  pointer-events: none;
  color-scheme: light;
}
.row {
  position: absolute;
  inset-inline: 0;
  border-block-start: 1px solid var(--line);
}
.label {
  display: grid;
  align-content: center;
  inline-size: v-bind('`${label - 10}px`');
  block-size: 52px;
  overflow: hidden;
}
.label b,
.label span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.label b {
  font-weight: 600;
}
.label span {
  color: var(--mute);
  font-size: 0.75rem;
}
.cell {
  position: absolute;
  inset-block-start: 3px;
  block-size: 46px;
  scroll-margin-block: 40px 24px;
  padding: 0;
  border: 2px solid transparent;
  border-radius: 8px;
  background: none;
  cursor: pointer;
}
.cell:hover {
  border-color: var(--line-strong);
}
.cell[aria-selected='true'] {
  border-color: var(--accent);
}
.contrast {
  position: absolute;
  inset-block-start: 50px;
}
.none {
  padding: 24px 0;
  color: var(--mute);
}
</style>
