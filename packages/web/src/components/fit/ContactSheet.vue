<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { deviceClasses, renderPage } from '@zorvik/core';
import { laneKind, laneName, problemWords, rangeWords } from '../../stores/laneWords.ts';
import type { DrawnDrop, ToContact } from '../../live/contactMessages.ts';
import { pageChoices } from '../../stores/pageChoices.ts';
import { useComparing } from '../../stores/comparing.ts';
import { useFit } from '../../stores/fit.ts';
import { useFitWork } from '../../stores/fitWork.ts';
import { useFrame } from '../../stores/frame.ts';
import { NARROWEST, useLiveView, WIDEST } from '../../stores/liveView.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import ContactColumn from './ContactColumn.vue';

/**
 * Every dropdown and panel of the page, open, at three widths, as visitors get it: what has a problem comes first. It can
 * be printed.
 */
const props = defineProps<{ dress: (css: string) => string }>();
const copy = useWorkingCopy();
const fit = useFit();
const work = useFitWork();
const frame = useFrame();
const live = useLiveView();
const comparing = useComparing();
/** While something is compared, the sheet is flipped from one to the other: everything stays where it is. */
const which = ref<'main' | 'other' | null>('main');
const sides = computed(() => [
  { value: 'main' as const, label: 'working copy' },
  { value: 'other' as const, label: comparing.name },
]);
const SPAN = { least: NARROWEST, most: WIDEST };
/** A phone, a tablet held upright, a desktop, in px: within the device classes that the site has. */
const USUAL = { narrow: 390, medium: 820, wide: 1280 } as const;
/** The heights of screens that are looked at, in px: a phone held across, a small laptop, a laptop. */
const SCREENS = [390, 640, 768] as const;
const GAP = 16;
/** Below each picture, in px of the site. */
const BELOW = 24;

const room = useTemplateRef<HTMLDivElement>('room');
const available = ref(1200);
const NAMES = 150;
const widths = computed(() => {
  const { medium, wide } = live.breakpoints;
  return [
    Math.min(USUAL.narrow, medium - 1),
    Math.min(Math.max(USUAL.medium, medium), wide - 1),
    Math.max(USUAL.wide, wide),
  ];
});
const scale = computed(() => {
  const sum = widths.value.reduce((all, width) => all + width, 0);
  return Math.min(1, (available.value - NAMES - GAP * 3) / sum);
});

const drops = computed(() =>
  fit.lanes
    .flatMap((lane) => {
      const { part, item } = lane;
      if (item === undefined || copy.document === null) return [];
      const problem = work.shownProblems.find((one) => one.part === part && one.item === item);
      return [
        {
          part,
          item,
          name: laneName(copy.document, lane),
          kind: laneKind(lane),
          trouble: problem === undefined ? '' : `${problemWords(problem)} ${rangeWords(problem, SPAN)}`,
        },
      ];
    })
    .sort((a, b) => Number(b.trouble !== '') - Number(a.trouble !== '')),
);

const shown = computed((): Extract<ToContact, { kind: 'show' }> | null => {
  const isOther = comparing.other !== null && which.value === 'other';
  const document = isOther ? (comparing.shown?.document ?? null) : work.shown;
  if (document === null) return null;
  const menus = isOther ? (comparing.shown?.menus ?? null) : null;
  const { header, css } = renderPage(document, frame.situation, {
    ...pageChoices(document.site),
    ...(menus === null ? {} : { menus }),
    fits: work.shownFits,
    isComposed: true,
  });
  return {
    kind: 'show',
    header,
    css: props.dress(css),
    language: document.site.language,
    direction: document.site.direction,
    drops: drops.value.map(({ part, item }) => ({ part, item })),
  };
});

const drawn = shallowRef<Readonly<Record<number, readonly DrawnDrop[]>>>({});
watch(shown, () => (drawn.value = {}));
function note(width: number, found: readonly DrawnDrop[]): void {
  drawn.value = { ...drawn.value, [width]: found };
}
/** The pictures of a row are as high as the highest of them. */
const heights = computed(() =>
  drops.value.map(
    (_, at) => Math.max(120, ...Object.values(drawn.value).map((all) => all[at]?.height ?? 0)) + BELOW,
  ),
);
const isDrawn = computed(() => widths.value.every((width) => drawn.value[width] !== undefined));

/** Screens that are lower than something is high, and what happens there. */
function tall(at: number): string {
  const rows = widths.value.flatMap((width, index) => {
    const one = drawn.value[width]?.[at];
    const low = SCREENS.filter((height) => (one?.height ?? 0) > height).at(-1);
    if (one === undefined || low === undefined) return [];
    return [
      `${deviceClasses[index]}: taller than ${low} px, ${one.isInDrawer ? 'the drawer scrolls' : 'scrolls inside'}`,
    ];
  });
  return rows.join(' · ');
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
          drops.some(({ trouble }) => trouble !== '') ? '; those with a problem first' : ''
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
      <p v-if="drops.length === 0" class="mute none">This page has no dropdown and no panel.</p>
      <div
        v-else
        class="columns"
        :style="{
          gridTemplateColumns: `${NAMES}px ${widths.map((width) => `${width * scale}px`).join(' ')}`,
        }"
      >
        <b />
        <b v-for="(width, at) in widths" :key="width" class="px">{{ deviceClasses[at] }}, {{ width }} px</b>
        <ol class="names">
          <li
            v-for="(one, at) in drops"
            :key="`${one.part} ${one.item}`"
            :style="{ height: `${(heights[at] ?? 0) * scale}px` }"
          >
            <strong>{{ one.name }}</strong>
            <span class="mute">{{ one.kind }}</span>
            <span v-if="one.trouble !== ''" class="trouble">{{ one.trouble }}</span>
            <span v-if="tall(at) !== ''" class="mute">{{ tall(at) }}</span>
          </li>
        </ol>
        <ContactColumn
          v-for="width in widths"
          :key="width"
          :width="width"
          :scale="scale"
          :shown="shown"
          :heights="heights"
          @drawn="note(width, $event)"
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
