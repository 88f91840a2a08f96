<script setup lang="ts">
import { computed } from 'vue';
import { areaWords, type DeviceClass } from '@zorvik/core';
import { useDrawer } from '../../stores/drawer.ts';
import type { HeldAs } from '../../live/frameMessages.ts';
import { useFrame, type PictureName } from '../../stores/frame.ts';
import { NARROWEST } from '../../stores/liveView.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import FrameNotes from './FrameNotes.vue';

/** What a picture of the page shows: its device class and width, what it is held as, and its own arrangement. */
const props = defineProps<{ name: PictureName; device: DeviceClass; width: number }>();
const frame = useFrame();
const drawer = useDrawer();

/** The wide picture is held as the page is once it has been scrolled, and the narrow one with it. */
const heldAs = computed({
  get: () => (frame.held.main === 'scrolled' ? 'scrolled' : 'loaded'),
  set: (next: HeldAs | null) => {
    frame.hold('main', next ?? 'loaded');
    if (frame.held.narrow !== 'drawer') frame.hold('narrow', next ?? 'loaded');
  },
});
const situations: { value: HeldAs; label: string; hint: string }[] = [
  { value: 'loaded', label: 'as loaded', hint: 'The page before anybody has scrolled it' },
  { value: 'scrolled', label: 'scrolled', hint: 'The header once the page has been scrolled' },
];
const hasDrawer = computed(() => drawer.isThere && drawer.takesOver(props.width));
const isOpen = computed(() => frame.held[props.name] === 'drawer');
const toggle = (): void => frame.hold(props.name, isOpen.value ? 'loaded' : 'drawer');
const area = computed(() => drawer.arrangedArea);
const device = computed(() => (props.device === 'wide' ? null : props.device));
const isApart = computed(() => device.value !== null && drawer.isApart(area.value, device.value));

function setWidth(event: Event): void {
  const input = event.target as HTMLInputElement;
  const px = Math.round(Number(input.value));
  if (Number.isFinite(px)) frame.narrowWidth = Math.max(NARROWEST, Math.min(px, 1200));
  input.value = String(frame.narrowWidth);
}
</script>

<template>
  <div class="head">
    <h2>{{ device === null ? 'Wide' : device === 'medium' ? 'Medium' : 'Narrow' }}</h2>
    <label v-if="name === 'narrow'" class="px">
      <input
        class="plain-field"
        type="number"
        :value="width"
        :min="NARROWEST"
        max="1200"
        aria-label="Width of the narrow screen in pixels"
        @change="setWidth"
      />
      px
    </label>
    <ChoiceRow
      v-if="name === 'main' && drawer.doesMove"
      v-model="heldAs"
      label="Show the page"
      is-label-hidden
      :choices="situations"
    />
    <button
      v-if="hasDrawer"
      type="button"
      class="plain-button"
      :aria-pressed="isOpen"
      :title="isOpen ? 'Close the drawer' : 'Open the drawer'"
      @click="toggle"
    >
      Drawer
    </button>
    <button
      v-if="name === 'narrow' && !drawer.isThere && !frame.isEmpty"
      type="button"
      class="plain-button"
      title="Add a drawer with everything that the header has no room for on narrow screens"
      @click="drawer.add()"
    >
      Add drawer
    </button>
    <button
      v-if="device !== null && !frame.isEmpty"
      type="button"
      class="plain-button apart"
      :aria-pressed="isApart"
      :title="
        isApart
          ? `Remove the separate arrangement of the ${areaWords[area]} on ${device} screens`
          : `Give the ${areaWords[area]} another order on ${device} screens`
      "
      @click="drawer.arrange(area, device, !isApart)"
    >
      {{ isApart ? 'Arranged separately' : 'Arrange separately' }}
    </button>
    <FrameNotes v-if="name === 'main'" class="notes" />
  </div>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 8px;
  min-height: 34px;
  padding-block: 2px 4px;
}
h2 {
  font-size: 0.8125rem;
}
.px {
  display: flex;
  align-items: center;
  gap: 4px;
  color: var(--mute);
  font-size: 0.75rem;
}
.px input {
  width: 54px;
  min-height: 26px;
  padding-inline: 6px;
  padding-block: 0;
}
.notes {
  margin-inline-start: auto;
}
.head :deep(.plain-button) {
  min-height: 26px;
  padding-inline: 8px;
  font-size: 0.75rem;
}
.head [aria-pressed='true'] {
  border-color: var(--accent);
  color: var(--accent);
}
</style>
