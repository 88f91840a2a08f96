<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { deviceClasses } from '@zorvik/core';
import type { DrawnColumn } from '../../live/contactMessages.ts';
import { tallWords } from '../../stores/laneWords.ts';
import { useComparing } from '../../stores/comparing.ts';
import { useFitChecks } from '../../stores/fitChecks.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import ContactColumn from './ContactColumn.vue';

/**
 * Every dropdown and panel of the page, open, at three widths, as visitors get it: what has a problem comes first. It can
 * be printed.
 */
const checks = useFitChecks();
const comparing = useComparing();
/** While something is compared, both are side by side at each width, or one is flipped to the other in its place. */
const which = ref<'both' | 'main' | 'other' | null>('both');
const sides = computed(() => [
  { value: 'both' as const, label: 'side by side' },
  { value: 'main' as const, label: 'working copy' },
  { value: 'other' as const, label: comparing.name },
]);
const GAP = 16;
/** Below each picture, in px of the site. */
const BELOW = 24;

const room = useTemplateRef<HTMLDivElement>('room');
const available = ref(1200);
const NAMES = 150;

interface Column {
  readonly key: string;
  readonly of: 'main' | 'other';
  readonly width: number;
  readonly title: string;
}
const columns = computed((): Column[] =>
  checks.widths.flatMap((width, at) => {
    const isPair = comparing.other !== null && which.value === 'both';
    const title = isPair ? `${width} px` : `${deviceClasses[at]}, ${width} px`;
    const main: Column = { key: `main ${width}`, of: 'main', width, title };
    if (comparing.other === null || which.value === 'main') return [main];
    const other: Column = {
      key: `other ${width}`,
      of: 'other',
      width,
      title: isPair ? comparing.name : title,
    };
    return which.value === 'other' ? [other] : [main, other];
  }),
);
const scale = computed(() => {
  const sum = columns.value.reduce((all, { width }) => all + width, 0);
  return Math.min(1, (available.value - NAMES - GAP * columns.value.length) / sum);
});
const pages = computed(() => ({
  main: checks.pageToShow('main'),
  other: comparing.other === null ? null : checks.pageToShow('other'),
}));

const drawn = shallowRef<Readonly<Record<string, DrawnColumn>>>({});
watch(pages, () => (drawn.value = {}));
function note({ key, of, width }: Column, column: DrawnColumn): void {
  drawn.value = { ...drawn.value, [key]: column };
  if (of === 'main') checks.note(width, column);
}
/** The pictures of a row are as high as the highest of them. */
const heights = computed(() =>
  checks.drops.map((_, at) => Math.max(120, ...columns.value.map(({ key }) => heightOf(key, at))) + BELOW),
);
function heightOf(key: string, at: number): number {
  return drawn.value[key]?.drops[at]?.height ?? 0;
}
const isDrawn = computed(() => columns.value.every(({ key }) => drawn.value[key] !== undefined));

/** What the pictures of a row say: which screens are too low, and which differ from what is compared. */
function notes(at: number): string[] {
  const { part, item } = checks.drops[at] ?? {};
  const tall = checks.tallAt(part, item);
  const isOther = comparing.other !== null && which.value === 'both';
  const differing = isOther ? checks.widths.filter((width) => differs(width, at)) : [];
  return [
    ...(tall === null ? [] : [tallWords(tall)]),
    ...(differing.length === 0 ? [] : [`other height at ${differing.join(', ')} px`]),
  ];
}
function differs(width: number, at: number): boolean {
  const [own, other] = [heightOf(`main ${width}`, at), heightOf(`other ${width}`, at)];
  return own > 0 && other > 0 && Math.abs(own - other) > 1;
}

let observer: ResizeObserver | null = null;
watch(room, (now) => {
  observer?.disconnect();
  if (now === null) return;
  observer = new ResizeObserver(
    ([entry]) => (available.value = Math.floor(entry?.contentRect.width ?? available.value)),
  );
  observer.observe(now);
});
onBeforeUnmount(() => observer?.disconnect());
const print = (): void => window.print();
</script>

<template>
  <section class="sheet" aria-label="Contact sheet" :aria-busy="!isDrawn">
    <div class="top">
      <h2>Contact sheet</h2>
      <p class="mute">
        Every dropdown and panel, open, as visitors get it{{
          checks.drops.some(({ trouble }) => trouble !== '') ? '; those with a problem first' : ''
        }}.
      </p>
      <ChoiceRow
        v-if="comparing.other !== null"
        v-model="which"
        label="Show"
        is-label-hidden
        :choices="sides"
      />
      <button type="button" class="plain-button" @click="print">Print …</button>
    </div>
    <div ref="room" class="room">
      <p v-if="checks.drops.length === 0" class="mute none">This page has no dropdown and no panel.</p>
      <div
        v-else
        class="columns"
        :style="{
          gridTemplateColumns: `${NAMES}px ${columns.map(({ width }) => `${width * scale}px`).join(' ')}`,
        }"
      >
        <b />
        <b v-for="one in columns" :key="one.key" class="px" :title="one.title">{{ one.title }}</b>
        <ol class="names">
          <li
            v-for="(one, at) in checks.drops"
            :key="`${one.part} ${one.item}`"
            :style="{ height: `${(heights[at] ?? 0) * scale}px` }"
          >
            <strong>{{ one.name }}</strong>
            <span class="mute">{{ one.kind }}</span>
            <span v-if="one.trouble !== ''" class="trouble">{{ one.trouble }}</span>
            <span v-for="words in notes(at)" :key="words" class="mute">{{ words }}</span>
          </li>
        </ol>
        <ContactColumn
          v-for="one in columns"
          :key="one.key"
          :title="`Dropdowns and panels${one.of === 'other' ? ` of ${comparing.name}` : ''} at ${one.width} px`"
          :width="one.width"
          :scale="scale"
          :shown="pages[one.of]"
          :heights="heights"
          @drawn="note(one, $event)"
        />
      </div>
    </div>
  </section>
</template>

<style scoped>
.sheet {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  min-height: 0;
}
.top {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 8px 14px;
}
.top p {
  flex: 1;
  margin: 0;
  font-size: 0.8125rem;
}
h2 {
  font-size: 1rem;
}
.room {
  overflow: auto;
  padding: 0 14px 20px;
}
.columns {
  display: grid;
  gap: 6px 16px;
  align-items: start;
}
.px {
  position: sticky;
  z-index: 1;
  inset-block-start: 0;
  padding-block: 4px;
  background: var(--paper);
  color: var(--mute);
  font-size: 0.75rem;
  font-weight: 600;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.names {
  margin: 0;
  padding: 0;
  list-style: none;
}
.names li {
  display: grid;
  align-content: start;
  overflow: hidden;
  padding-block-start: 2px;
  border-block-start: 1px solid var(--line);
  font-size: 0.75rem;
}
.names strong {
  font-size: 0.8125rem;
  font-weight: 600;
}
.trouble {
  color: var(--ochre);
}
.none {
  padding: 20px 0;
}
@media print {
  .top .plain-button {
    display: none;
  }
  .room {
    overflow: visible;
  }
}
</style>
