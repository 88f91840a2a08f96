<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, useTemplateRef, watch } from 'vue';
import {
  childrenOf,
  inWords,
  keepInColumn,
  movePartTo,
  placementOf,
  placePhrase,
  renderMenu,
  renderStyles,
  resolveMenu,
  setPart,
  shapeCell,
} from '@zorvik/core';
import { PICTURES } from '@zorvik/contract';
import { fromFrame, type FromFrame, type ToFrame } from '../../live/messages.ts';
import { useComposing } from '../../composables/useComposing.ts';
import { useComposer } from '../../stores/composer.ts';
import { useDetails } from '../../stores/details.ts';
import { useLiveView } from '../../stores/liveView.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import NarrowBeside from './NarrowBeside.vue';
import WidthRuler from './WidthRuler.vue';

/**
 * The real picture of the place that the chosen menu stands in, drawn by the renderer that the site is served by. It lies over the
 * workspace while somebody points at it; otherwise it keeps to its own height.
 */
const STAGE = 132;
/** While what drops is being set it may be as high as this: a panel is composed by looking at it. */
const PANEL_STAGE = 330;
/** Where the frame begins, and what is left free below it, in px of the window. */
const TOP = 58 + 20;
/** What is left to the band in which a panel is composed, with all around the live header, in px. */
const COMPOSER = 392;
const copy = useWorkingCopy();
const selection = useSelection();
const live = useLiveView();
const details = useDetails();
const composer = useComposer();
const composing = useComposing();
const frame = useTemplateRef<HTMLIFrameElement>('frame');
const room = useTemplateRef<HTMLDivElement>('room');
const available = ref(1252);
const windowHeight = ref(window.innerHeight);
const needed = ref(STAGE);
const isReady = ref(false);
const isActive = ref(false);

const place = computed(() => {
  const { document } = copy;
  const { menu } = selection;
  return (document === null || menu === null ? null : placementOf(document, menu.id)?.place) ?? 'inPage';
});
const shown = computed((): ToFrame | null => {
  const { document } = copy;
  const { menu } = selection;
  if (document === null || menu === null) return null;
  const { compare } = new Intl.Collator(document.site.language, { numeric: true });
  const resolved = resolveMenu(document, menu.id, { compareTitles: compare, keepsEmpty: composer.owner !== null });
  const html = renderMenu(resolved, { place: place.value, marks: true, pictures: PICTURES.replace(':siteKey', document.site.key) });
  return { kind: 'show', html, css: renderStyles(document.site, [resolved]), place: place.value, siteName: document.site.name };
});
const isComposing = computed(() => composer.owner !== null && place.value !== 'inPage');
/** What the narrow form beside takes of the room. */
const NARROW_ROOM = 300;
const isNarrowSeen = computed(() => isComposing.value && composer.isNarrowSeen);
const wideRoom = computed(() => available.value - (isNarrowSeen.value ? NARROW_ROOM : 0));
const scale = computed(() => Math.min(1, wideRoom.value / live.width));
/** What drops from the selected item, or from the one above it, is being set: it is to be seen whole. */
const isDropSeen = computed(() => {
  const { document } = copy;
  if (details.view !== 'drops' || document === null || selection.item === null || (place.value !== 'bar' && place.value !== 'secondBar')) return false;
  let top = selection.item;
  for (let above = document.items.nodes.get(top.parent); above !== undefined; above = document.items.nodes.get(top.parent)) top = above;
  return childrenOf(document.items, top.id).size > 0;
});
const composingStage = computed(() => Math.max(220, windowHeight.value - COMPOSER));
const stage = computed(() =>
  isComposing.value ? composingStage.value : isDropSeen.value ? Math.max(STAGE, Math.min(PANEL_STAGE, needed.value * scale.value)) : STAGE,
);
const peek = computed(() => (isComposing.value ? composingStage.value : isDropSeen.value ? PANEL_STAGE : STAGE) / scale.value);
const most = computed(() => (windowHeight.value - TOP) / scale.value);
const height = computed(() =>
  isComposing.value
    ? stage.value / scale.value
    : isActive.value
      ? Math.max(stage.value / scale.value, Math.min(needed.value, most.value))
      : stage.value / scale.value,
);

function tell(message: ToFrame | null): void {
  if (!isReady.value || message === null) return;
  // The sandboxed frame has an opaque origin, which no target can name.
  frame.value?.contentWindow?.postMessage(message, '*');
}

function tellHeights(): void {
  tell({ kind: 'heights', peek: peek.value, room: most.value });
}

function tellSelection(): void {
  tell({ kind: 'select', id: selection.item?.id ?? null, opens: !isActive.value });
}

function hear({ source, data }: MessageEvent): void {
  if (frame.value === null || source !== frame.value.contentWindow) return;
  const message = fromFrame(data);
  if (message === null) return;
  if (message.kind === 'ready') {
    isReady.value = true;
    tellHeights();
    tell(shown.value);
    tellSelection();
    tellComposing();
  } else heed(message);
}

function heed(message: FromFrame): void {
  switch (message.kind) {
    case 'ready':
      return;
    case 'select':
      return selection.select(message.id);
    case 'size':
      return void (needed.value = message.height);
    case 'active':
      return void (isActive.value = message.isActive);
    case 'boxes':
      return void (composer.boxes = message);
    case 'part':
      return composing.choose(message.id);
    case 'key':
      return void composing.press(message);
    case 'addCell':
      return composing.addCell(message.id);
    case 'column':
      return void copy.perform((context) => keepInColumn(context, message.id, message.column));
    case 'span':
      return void copy.perform((context) => shapeCell(context, message.id, message.span));
    case 'rowHeight':
      return void copy.perform((context) => setPart(context, message.id, { height: message.height }));
    case 'movePart':
      copy.perform((context) => movePartTo(context, message.id, { parent: message.parent, after: message.after }));
      return composing.choose(message.id);
  }
}

function tellComposing(): void {
  tell({ kind: 'compose', owner: isComposing.value ? composer.owner : null, part: composer.partId });
}

/** The pointer over anything but the frame means that it has left it; the way back has the grace that it has on the site. */
const GRACE = 320;
let leaving: ReturnType<typeof setTimeout> | undefined;
let lastPlace = '';
function pointerOver({ target, screenX, screenY }: PointerEvent): void {
  // When something changes under where the pointer was, the browser says so again; only a pointer that moved has gone anywhere.
  const place = `${screenX} ${screenY}`;
  if (place === lastPlace) return;
  lastPlace = place;
  clearTimeout(leaving);
  if (isActive.value && !isComposing.value && target !== frame.value) leaving = setTimeout(() => tell({ kind: 'leave' }), GRACE);
}

watch(isActive, (now) => !now && tellSelection());
watch(shown, (now) => {
  tell(now);
  // What is selected may stand elsewhere now; while somebody is in the header, what is open there is theirs.
  if (!isActive.value) tellSelection();
});
watch([() => selection.item?.id, () => selection.menu?.id], tellSelection, { flush: 'post' });
watch([peek, most], tellHeights);
watch(() => [isComposing.value, composer.owner, composer.partId, shown.value, scale.value], tellComposing, { flush: 'post' });

let observer: ResizeObserver | null = null;
onMounted(() => {
  window.addEventListener('message', hear);
  window.addEventListener('pointerover', pointerOver);
  observer = new ResizeObserver(([entry]) => {
    windowHeight.value = window.innerHeight;
    const width = Math.floor(entry?.contentRect.width ?? available.value);
    if (live.width === available.value) live.width = Math.max(320, width);
    available.value = width;
  });
  if (room.value !== null) observer.observe(room.value);
});
onBeforeUnmount(() => {
  window.removeEventListener('message', hear);
  window.removeEventListener('pointerover', pointerOver);
  clearTimeout(leaving);
  observer?.disconnect();
});
</script>

<template>
  <section class="live" :aria-label="`Live header: ${selection.menu?.name ?? ''}, ${inWords(placePhrase(place))}`">
    <div ref="room" class="room" :style="{ height: `${stage}px` }">
      <div class="page" :style="{ width: `${live.width * scale}px`, height: `${stage}px`, marginInlineStart: `${(wideRoom - live.width * scale) / 2}px` }" />
      <iframe
        ref="frame"
        title="Live header"
        src="/live.html"
        sandbox="allow-scripts"
        :class="{ active: isActive }"
        :style="{
          width: `${live.width}px`,
          height: `${height}px`,
          transform: `scale(${scale})`,
          marginInlineStart: `${(wideRoom - live.width * scale) / 2}px`,
        }"
      />
      <NarrowBeside v-if="isNarrowSeen" :shown="shown" :owner="composer.owner" :height="stage" :room="NARROW_ROOM" />
    </div>
    <WidthRuler />
  </section>
</template>

<style scoped>
.live {
  position: relative;
  z-index: 4;
  padding: 12px 14px 6px;
  border-bottom: 1px solid var(--line);
  background: repeating-linear-gradient(90deg, var(--paper-deep) 0 1px, transparent 1px 80px), var(--stage);
}
.room {
  position: relative;
}
.page {
  border-radius: 4px 4px 0 0;
  background: linear-gradient(#fff 62px, #f4f6ef 62px, #fff);
  box-shadow:
    0 1px 0 var(--line),
    0 8px 22px -14px var(--shadow-color);
}
iframe {
  position: absolute;
  inset-block-start: 0;
  inset-inline-start: 0;
  border: 0;
  z-index: 2;
  transform-origin: 0 0;
  border-radius: 4px 4px 0 0;
  color-scheme: light;
}
</style>
