<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, useTemplateRef, watch } from 'vue';
import { inWords, placePhrase } from '@zorvik/core';
import { useLiveStage } from '../../composables/useLiveStage.ts';
import { shortcutFor } from '../../shortcuts/shortcuts.ts';
import { useComposer } from '../../stores/composer.ts';
import { FIRST_WIDTH, useLiveView } from '../../stores/liveView.ts';
import { useSelection } from '../../stores/selection.ts';
import HeightHandle from './HeightHandle.vue';
import NarrowBeside from './NarrowBeside.vue';
import WidthRuler from './WidthRuler.vue';

/**
 * The real picture of the place that the menu is in, drawn by the renderer that serves the site. A dropdown
 * is shown whole or not at all: in the header's own height where that is enough, else over the work, while
 * somebody is in the header or asks for it.
 */
/** Where the iframe begins, and what is left free below it, in px of the window. */
const TOP = 58 + 20;
/** The height of a bar of one row, until its own is known, in its own px. */
const USUAL_BAR = 62;
/** What is left to the strip in which a panel is composed, with all around the live header, in px. */
const COMPOSER = 392;
/** What the narrow form next to it takes of the width, in px. */
const NARROW_ROOM = 300;
const selection = useSelection();
const live = useLiveView();
const composer = useComposer();
const iframe = useTemplateRef<HTMLIFrameElement>('iframe');
const room = useTemplateRef<HTMLDivElement>('room');
const available = ref(FIRST_WIDTH);

const isNarrowSeen = computed(
  () => composer.owner !== null && live.place !== 'inPage' && composer.isNarrowSeen,
);
const wideRoom = computed(() => available.value - (isNarrowSeen.value ? NARROW_ROOM : 0));
const scale = computed(() => Math.min(1, wideRoom.value / live.width));
const dockedHeight = computed(() =>
  composer.owner !== null && live.place !== 'inPage'
    ? Math.max(220, live.windowHeight - COMPOSER)
    : live.height,
);
const most = computed(() => (live.windowHeight - TOP - live.keptFree) / scale.value);
const peek = computed(() => (live.isDropdownShown ? most.value : dockedHeight.value / scale.value));
const { shown, isActive, needed, bar, span, isComposing } = useLiveStage(iframe, { peek, room: most });
const height = computed(() => {
  const docked = dockedHeight.value / scale.value;
  const isOver = !isComposing.value && (isActive.value || live.isDropdownShown);
  return isOver ? Math.max(docked, Math.min(needed.value, most.value)) : docked;
});
/** Beside a dropdown that lies over the work, the work can be seen and pointed at. */
const SHADOW = 30;
const clip = computed(() => {
  const docked = Math.max(bar.value, dockedHeight.value / scale.value);
  if (isComposing.value || height.value <= docked + 1) return 'none';
  const [left, right] = [span.value.left - SHADOW, span.value.right + SHADOW];
  return `polygon(0 0, 100% 0, 100% ${docked}px, ${right}px ${docked}px, ${right}px 100%, ${left}px 100%, ${left}px ${docked}px, 0 ${docked}px)`;
});
const inset = computed(() => `${(wideRoom.value - live.width * scale.value) / 2}px`);

watch(
  () => Math.round((bar.value || USUAL_BAR) * scale.value),
  (px) => (live.barHeight = px),
  { immediate: true },
);

/** Work that goes on below closes the dropdown that lies over it; its own settings do not. */
function workGoesOn(event: Event): void {
  const { target } = event;
  // The key that shows and hides it is not work.
  if (event instanceof KeyboardEvent && shortcutFor(event, 'tree') === 'showDropdown') return;
  const isEscape = event instanceof KeyboardEvent && event.key === 'Escape';
  if (isEscape) live.isDropdownShown = false;
  else if (
    live.isDropdownShown &&
    target instanceof Element &&
    target.closest('main') !== null &&
    target.closest('[data-keeps-dropdown]') === null
  )
    live.isDropdownShown = false;
}

let observer: ResizeObserver | null = null;
onMounted(() => {
  window.addEventListener('pointerdown', workGoesOn, true);
  window.addEventListener('keydown', workGoesOn, true);
  observer = new ResizeObserver(([entry]) => {
    const width = Math.floor(entry?.contentRect.width ?? available.value);
    live.follow(width);
    available.value = width;
  });
  if (room.value !== null) observer.observe(room.value);
});
onBeforeUnmount(() => {
  window.removeEventListener('pointerdown', workGoesOn, true);
  window.removeEventListener('keydown', workGoesOn, true);
  observer?.disconnect();
});
</script>

<template>
  <section
    class="live"
    :class="{ unfolded: live.isUnfolded || isComposing }"
    :aria-label="`Live header: ${selection.menu?.name ?? ''}, ${inWords(placePhrase(live.place))}`"
  >
    <div ref="room" class="room" :style="{ height: `${dockedHeight}px` }">
      <div
        class="page"
        :style="{ width: `${live.width * scale}px`, height: `${dockedHeight}px`, marginInlineStart: inset }"
      />
      <iframe
        ref="iframe"
        title="Live header"
        src="/live.html"
        sandbox="allow-scripts"
        :class="{ active: isActive || live.isDropdownShown }"
        :style="{
          width: `${live.width}px`,
          height: `${height}px`,
          transform: `scale(${scale})`,
          marginInlineStart: inset,
          clipPath: clip,
        }"
      />
      <NarrowBeside
        v-if="isNarrowSeen"
        :shown="shown"
        :owner="composer.owner"
        :height="dockedHeight"
        :room="NARROW_ROOM"
      />
    </div>
    <button
      type="button"
      class="plain-button unfold"
      :aria-expanded="live.isUnfolded"
      @click="live.isUnfolded = !live.isUnfolded"
    >
      {{ live.isUnfolded ? 'Hide live header' : 'Show live header' }}
    </button>
    <WidthRuler />
    <HeightHandle v-if="!isComposing" />
  </section>
</template>

<style scoped>
.live {
  position: relative;
  /* Over the work: a dropdown may lie on it. */
  z-index: 10;
  padding: 12px 14px 6px;
  border-bottom: 1px solid var(--line);
  background: repeating-linear-gradient(90deg, var(--paper-deep) 0 1px, transparent 1px 80px), var(--stage);
}
.room {
  position: relative;
}
.unfold {
  display: none;
}
@media (max-width: 600px) {
  .live {
    padding: 6px 8px;
  }
  .unfold {
    display: inline-flex;
    min-height: 1.75rem;
  }
  .live:not(.unfolded) > :not(.unfold) {
    display: none;
  }
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
