<script setup lang="ts">
import { computed } from 'vue';
import { useComposer } from '../../stores/composer.ts';
import { NARROWEST, useLiveView, WIDEST } from '../../stores/liveView.ts';
import { useSelection } from '../../stores/selection.ts';
import DeviceButtons from './DeviceButtons.vue';
import FitNote from './FitNote.vue';
import FitStrip from './FitStrip.vue';

/** The width of the live header: drawn, or by device class. The marks are the site's breakpoints. */
/** `isAlone`: it has no dropdown of a selected item to show. */
const props = defineProps<{ isAlone?: boolean }>();
const live = useLiveView();
const selection = useSelection();
/** In Arrange, the ruler is about the menu that is worked on. */
const menu = computed(() => (props.isAlone ? null : (selection.menu?.id ?? null)));
const composer = useComposer();
const share = (px: number): string => `${((px - NARROWEST) / (WIDEST - NARROWEST)) * 100}%`;
const marks = computed(() => [live.breakpoints.medium, live.breakpoints.wide]);
</script>

<template>
  <div class="ruler">
    <DeviceButtons />
    <button
      v-if="!isAlone && live.isBar && composer.owner === null"
      type="button"
      class="plain-button whole"
      :disabled="live.branch === null"
      :aria-pressed="live.isDropdownShown"
      :title="
        live.branch === null ? 'Select an item with a dropdown first' : 'Show or hide the whole dropdown (V)'
      "
      @click="live.isDropdownShown = !live.isDropdownShown"
    >
      {{ live.isDropdownShown ? 'Hide dropdown' : 'Show dropdown' }}
    </button>
    <div class="track">
      <i
        v-for="mark in marks"
        :key="mark"
        :style="{ insetInlineStart: share(mark) }"
        :title="`Breakpoint at ${mark} px`"
      />
      <input
        v-model.number="live.width"
        type="range"
        :min="NARROWEST"
        :max="WIDEST"
        step="1"
        aria-label="Width of the live header in pixels"
      />
      <FitStrip :menu="menu" />
    </div>
    <FitNote :menu="menu" />
    <slot />
    <output class="number">
      <strong>{{ live.width }} px</strong>
    </output>
  </div>
</template>

<style scoped>
.ruler {
  display: flex;
  align-items: center;
  gap: 14px;
  height: 36px;
  color: var(--mute);
  font-size: 0.75rem;
}
.whole {
  min-height: 1.625rem;
  font-size: 0.75rem;
}
.whole:disabled {
  border-color: transparent;
  background: none;
  color: var(--mute);
  cursor: default;
}
.track {
  position: relative;
  flex: 1;
  height: 24px;
}
.track i {
  position: absolute;
  top: 6px;
  height: 12px;
  border-inline-start: 2px solid var(--line-strong);
}
input {
  position: absolute;
  inset: 0;
  width: 100%;
  margin: 0;
  background: none;
  appearance: none;
  cursor: pointer;
}
input::-webkit-slider-runnable-track {
  height: 4px;
  border-radius: 2px;
  background: linear-gradient(var(--moss), var(--moss));
}
input::-webkit-slider-thumb {
  appearance: none;
  width: 18px;
  height: 18px;
  margin-top: -7px;
  border: 2px solid var(--accent);
  border-radius: 50%;
  background: var(--field);
}
input::-moz-range-track {
  height: 4px;
  border-radius: 2px;
  background: var(--moss);
}
input::-moz-range-thumb {
  width: 14px;
  height: 14px;
  border: 2px solid var(--accent);
  border-radius: 50%;
  background: var(--field);
}
output {
  min-width: 60px;
  text-align: end;
}
strong {
  color: var(--ink);
  font-weight: 600;
}
</style>
