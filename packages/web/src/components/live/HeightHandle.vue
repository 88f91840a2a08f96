<script setup lang="ts">
import { useLiveView } from '../../stores/liveView.ts';

/** The lower edge of the live header: dragged, or moved by keys, it sets its height, which is remembered. */
const live = useLiveView();
const STEP = 16;

function press(event: PointerEvent): void {
  const handle = event.currentTarget as HTMLElement;
  const begin = live.height - event.clientY;
  const move = ({ clientY }: PointerEvent): void => live.dragTo(begin + clientY);
  handle.setPointerCapture(event.pointerId);
  handle.addEventListener('pointermove', move);
  handle.addEventListener('lostpointercapture', () => handle.removeEventListener('pointermove', move), {
    once: true,
  });
}

function key(event: KeyboardEvent): void {
  const step = event.key === 'ArrowDown' ? STEP : event.key === 'ArrowUp' ? -STEP : 0;
  if (step !== 0) live.dragTo(live.height + step);
  else if (event.key === 'Home') live.resetHeight();
  else return;
  event.preventDefault();
}
</script>

<template>
  <div
    class="handle"
    role="separator"
    tabindex="0"
    aria-orientation="horizontal"
    aria-label="Height of the live header"
    :aria-valuenow="live.height"
    :aria-valuemin="live.lowest"
    :aria-valuemax="live.highest"
    title="Drag to change the height of the live header; double-click to reset it"
    @pointerdown.prevent="press"
    @keydown="key"
    @dblclick="live.resetHeight()"
  />
</template>

<style scoped>
.handle {
  position: absolute;
  z-index: 1;
  inset-inline: 0;
  inset-block-end: -4px;
  height: 8px;
  cursor: ns-resize;
  touch-action: none;
}
.handle::after {
  content: '';
  position: absolute;
  inset-block-start: 2px;
  inset-inline-start: calc(50% - 22px);
  width: 44px;
  height: 4px;
  border-radius: 2px;
  background: var(--line-strong);
  opacity: 0.5;
}
.handle:hover::after,
.handle:focus-visible::after {
  background: var(--accent);
  opacity: 1;
}
.handle:focus-visible {
  outline-offset: -1px;
}
</style>
