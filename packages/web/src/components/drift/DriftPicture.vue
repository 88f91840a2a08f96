<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, ref, useTemplateRef, watch } from 'vue';
import { toneOf, type Finding, type FindingKind } from '@zorvik/core';
import type { DriftLine, DriftPicture, DriftRow } from '../../composables/driftRows.ts';

/**
 * The pages on one side and the menu on the other, what belongs together joined by lines. Only what is in
 * sight is drawn.
 */
const props = defineProps<{ picture: DriftPicture; menuName: string; chosen: Finding | null }>();
const emit = defineEmits<{ choose: [finding: Finding] }>();
const ROW = 30;
const HEAD = 35;
const GAP = 124;
/** What is left and right of it, as the style says. */
const PAD = 14;
const scroller = useTemplateRef<HTMLElement>('scroller');
const view = ref({ top: 0, height: 600, width: 800 });

function look(): void {
  const element = scroller.value;
  if (element !== null)
    view.value = { top: element.scrollTop, height: element.clientHeight, width: element.clientWidth };
}
let watching: ResizeObserver | null = null;
onMounted(() => {
  if (scroller.value === null) return;
  watching = new ResizeObserver(look);
  watching.observe(scroller.value);
  look();
});
onBeforeUnmount(() => watching?.disconnect());

const cardWidth = computed(() => Math.max(180, (view.value.width - GAP - 2 * PAD) / 2));
const height = computed(
  () => HEAD + Math.max(props.picture.pages.length, props.picture.items.length) * ROW + 2,
);
const first = computed(() => Math.max(0, Math.floor((view.value.top - HEAD) / ROW) - 4));
const last = computed(() => Math.ceil((view.value.top + view.value.height) / ROW) + 4);
const inSight = (at: number): boolean => at >= first.value && at < last.value;
const shownPages = computed(() => shown(props.picture.pages));
const shownItems = computed(() => shown(props.picture.items));
function shown(rows: readonly DriftRow[]): (DriftRow & { readonly at: number })[] {
  return rows.slice(first.value, last.value).map((row, at) => ({ ...row, at: first.value + at }));
}
const lines = computed(() =>
  props.picture.lines
    .filter(({ from, to }) => inSight(to) || (from !== null && inSight(from)))
    .map((line) => ({
      ...line,
      path: pathOf(line),
      isChosen: line.finding !== null && line.finding.id === props.chosen?.id,
    })),
);
const middle = (at: number): number => HEAD + at * ROW + ROW / 2;
function pathOf({ from, to }: DriftLine): string {
  const y = middle(to);
  if (from === null) return `M${GAP - 44} ${y} H${GAP}`;
  const start = middle(from);
  return start === y ? `M0 ${y} H${GAP}` : `M0 ${start} C${GAP / 2} ${start} ${GAP / 2} ${y} ${GAP} ${y}`;
}

/** What is said beside a page, and beside an item. */
const pageTags: Partial<Record<FindingKind, string>> = {
  pageNew: 'new',
  pageMoved: 'moved',
  titleStale: 'renamed',
  addressChanged: 'address',
  addressRedirects: 'redirects',
  kindChanged: 'kind',
  plannedLive: 'live now',
  pageDraft: 'draft',
  orderDiffers: 'order',
  anchorGone: 'anchor',
};
const itemTags: Partial<Record<FindingKind, string>> = {
  pageGone: 'page deleted',
  addressGone: 'page deleted',
  linkDead: 'does not work',
  anchorGone: 'anchor missing',
  titleStale: 'old title',
  pageMoved: 'moved on the site',
  pageDraft: 'unpublished',
  orderDiffers: 'other order',
  addressChanged: 'new address',
  addressRedirects: 'old address',
  addressOfPage: 'address',
  plannedLive: 'was planned',
  exceptionLost: 'exception',
  sourceRenamed: 'renamed in its source',
  kindChanged: 'new kind',
};
const ownItems = computed(() => new Set(props.chosen?.items ?? []));
/** The row of a finding; that of the item where the finding is about a part of its panel. */
const isAbout = ({ finding, id }: DriftRow, chosen: Finding | null): boolean =>
  chosen !== null && (finding?.id === chosen.id || (chosen.part !== undefined && chosen.at === id));
const isChosen = (row: DriftRow): boolean => isAbout(row, props.chosen) && isOneOf(row);
const isOneOf = ({ id }: DriftRow): boolean =>
  ownItems.value.size === 0 || id === null || ownItems.value.has(id) || props.chosen?.page === id;
const toneFor = ({ finding }: DriftRow): string =>
  finding === null
    ? ''
    : finding.kind === 'pageNew'
      ? 'new'
      : finding.part === undefined && toneOf(finding) === 'broken'
        ? 'broken'
        : 'look';
const itemTag = ({ kind, part }: Finding): string | undefined =>
  part === undefined ? itemTags[kind] : `in its panel: ${itemTags[kind] ?? ''}`;

/** What is chosen is brought into sight on the menu's side. */
watch(
  () => props.chosen?.id,
  async () => {
    await nextTick();
    const at = props.picture.items.findIndex((row) => isAbout(row, props.chosen));
    const element = scroller.value;
    if (at < 0 || element === null) return;
    const y = HEAD + at * ROW;
    if (y < element.scrollTop + HEAD || y + ROW > element.scrollTop + element.clientHeight)
      element.scrollTo({ top: Math.max(0, y - element.clientHeight / 2) });
  },
  { immediate: true },
);
</script>

<template>
  <div
    ref="scroller"
    class="picture"
    tabindex="0"
    role="region"
    aria-label="Pages and menu side by side"
    @scroll.passive="look"
  >
    <div class="room" :style="{ height: `${height}px` }">
      <section
        class="card"
        :style="{ width: `${cardWidth}px`, height: `${HEAD + picture.pages.length * ROW + 2}px` }"
        aria-label="Pages"
      >
        <h2>
          Pages
          <span>on the site now</span>
        </h2>
        <div
          v-for="row in shownPages"
          :key="row.key"
          class="row"
          :class="[toneFor(row), { on: isChosen(row), top: row.depth === 0 }]"
          :style="{
            insetBlockStart: `${HEAD + row.at * ROW}px`,
            paddingInlineStart: `${12 + row.depth * 18}px`,
          }"
          @click="row.finding !== null && emit('choose', row.finding)"
        >
          <b v-if="row.finding !== null && pageTags[row.finding.kind] !== undefined" class="tag">
            {{ pageTags[row.finding.kind] }}
          </b>
          <span class="label">{{ row.label }}</span>
        </div>
      </section>
      <svg
        class="lines"
        :width="GAP"
        :height="height"
        :style="{ insetInlineStart: `${cardWidth}px` }"
        aria-hidden="true"
      >
        <g v-for="(line, at) in lines" :key="at" :class="[line.tone, { on: line.isChosen }]">
          <path :d="line.path" />
          <circle v-if="line.from === null" :cx="GAP - 48" :cy="middle(line.to)" r="4" />
        </g>
      </svg>
      <section
        class="card menu"
        :style="{
          width: `${cardWidth}px`,
          insetInlineStart: `${cardWidth + GAP}px`,
          height: `${HEAD + picture.items.length * ROW + 2}px`,
        }"
        :aria-label="menuName"
      >
        <h2>
          {{ menuName }}
          <span>working copy</span>
        </h2>
        <div
          v-for="row in shownItems"
          :key="row.key"
          class="row"
          :class="[toneFor(row), { on: isChosen(row), top: row.depth === 0, ghost: row.id === null }]"
          :style="{
            insetBlockStart: `${HEAD + row.at * ROW}px`,
            paddingInlineStart: `${12 + row.depth * 18}px`,
          }"
          @click="row.finding !== null && emit('choose', row.finding)"
        >
          <span class="label">{{ row.id === null ? `${row.label} would go here` : row.label }}</span>
          <span v-if="row.id !== null && row.finding !== null" class="remark">
            {{ itemTag(row.finding) }}
          </span>
        </div>
      </section>
    </div>
  </div>
</template>

<style scoped>
.picture {
  position: relative;
  overflow: auto;
  padding: 0 14px 14px;
}
.picture:focus-visible {
  outline: 2px solid var(--ink);
  outline-offset: -2px;
}
.room {
  position: relative;
}
.card {
  position: absolute;
  inset-block-start: 0;
  inset-inline-start: 0;
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--sheet);
  overflow: clip;
}
h2 {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  height: 34px;
  padding: 0 12px;
  border-bottom: 1px solid var(--line-soft);
  font: 600 0.8125rem/1 var(--face);
  white-space: nowrap;
}
h2 span {
  color: var(--mute);
  font-weight: 400;
  font-size: 0.75rem;
}
.row {
  position: absolute;
  inset-inline: 0;
  display: flex;
  align-items: center;
  gap: 8px;
  height: 30px;
  padding-inline-end: 12px;
  white-space: nowrap;
}
.row.look,
.row.broken,
.row.new {
  cursor: pointer;
}
.row.look {
  background: var(--ochre-tint);
}
.row.broken {
  background: var(--brick-tint);
}
.row.new {
  background: var(--moss-tint);
}
.row.on {
  box-shadow: inset 3px 0 var(--accent);
}
.row.top .label {
  font-weight: 600;
}
.row.broken .label {
  text-decoration: line-through;
}
.row.ghost {
  inset-inline: 6px;
  height: 26px;
  margin-block-start: 2px;
  border: 1px dashed var(--moss);
  border-radius: 6px;
  color: var(--moss);
  background: var(--sheet);
}
.label {
  overflow: hidden;
  text-overflow: ellipsis;
}
.tag {
  flex: none;
  padding: 0 6px;
  border-radius: 4px;
  background: var(--veil);
  font-size: 0.6875rem;
  line-height: 1.0625rem;
}
.remark {
  flex: none;
  margin-inline-start: auto;
  font-size: 0.75rem;
  color: var(--mute);
}
.lines {
  position: absolute;
  inset-block-start: 0;
  overflow: visible;
}
path {
  fill: none;
  stroke-width: 2;
  stroke: var(--moss-line);
}
.look path {
  stroke: var(--ochre-line);
}
.broken path,
.broken circle {
  stroke: var(--brick);
}
.new path {
  stroke: var(--moss);
  stroke-dasharray: 4 4;
}
circle {
  fill: var(--paper);
  stroke-width: 2;
}
.on path {
  stroke-width: 3;
}
</style>
