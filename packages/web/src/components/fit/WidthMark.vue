<script setup lang="ts">
import { NARROWEST, WIDEST } from '../../stores/liveView.ts';

/** A width at which something changes, dragged along the chart or moved by the arrow keys. */
const props = defineProps<{ name: string; px: number; least: number; most: number; isInside?: boolean }>();
/** `group`: moves of one drag are one step of the history. */
const emit = defineEmits<{ move: [px: number, group: string] }>();
let group = '';
let frame = 0;

function begin(event: PointerEvent): void {
  if (event.button !== 0) return;
  event.stopPropagation();
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
  group = `width ${props.name} ${Date.now()}`;
}
function drag(event: PointerEvent): void {
  if (!(event.currentTarget as HTMLElement).hasPointerCapture(event.pointerId)) return;
  event.stopPropagation();
  const scale = (event.currentTarget as HTMLElement).parentElement?.getBoundingClientRect();
  if (scale === undefined) return;
  const px = NARROWEST + ((event.clientX - scale.left) / scale.width) * (WIDEST - NARROWEST);
  cancelAnimationFrame(frame);
  frame = requestAnimationFrame(() => move(Math.round(px)));
}
function move(px: number): void {
  const next = Math.min(props.most, Math.max(props.least, px));
  if (next !== props.px) emit('move', next, group);
}
function press(event: KeyboardEvent): void {
  const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
  if (step === undefined) return;
  event.preventDefault();
  event.stopPropagation();
  group = `width ${props.name} keys`;
  move(props.px + step * (event.shiftKey ? 10 : 1));
}
const share = (px: number): string => `${((px - NARROWEST) / (WIDEST - NARROWEST)) * 100}%`;
</script>

<template>
  <button
    type="button"
    class="mark"
    :class="{ inside: isInside }"
    role="slider"
    :aria-label="name === 'takeover' ? 'Drawer takes over below, in pixels' : `${name} from, in pixels`"
    :aria-valuenow="px"
    :aria-valuemin="least"
    :aria-valuemax="most"
    :title="
      name === 'takeover'
        ? `The drawer takes over below ${px} px. Drag to change.`
        : `${name} screens begin at ${px} px. Drag to change.`
    "
    :style="{ insetInlineStart: share(px) }"
    @pointerdown="begin"
    @pointermove="drag"
    @keydown="press"
    @click.stop
  >
    <span v-if="!isInside" class="number">
      {{ px }}
      <small>{{ name }}</small>
    </span>
  </button>
</template>

<style scoped>
.mark {
  position: absolute;
  z-index: 2;
  inset-block: 0;
  inline-size: 24px;
  margin-inline-start: -12px;
  padding: 0;
  border: 0;
  background: linear-gradient(90deg, transparent 11px, var(--ink) 11px 13px, transparent 13px);
  cursor: ew-resize;
  touch-action: none;
}
.mark:not(.inside) {
  background: none;
}
.mark span {
  position: absolute;
  inset-block-end: 3px;
  inset-inline-start: 12px;
  translate: -14px;
  padding-inline: 3px;
  border-block-end: 2px solid var(--ink);
  background: var(--paper);
  color: var(--ink);
  font-size: 0.75rem;
  font-weight: 650;
  white-space: nowrap;
}
.mark small {
  color: var(--mute);
  font-size: 0.6875rem;
  font-weight: 500;
}
@media (max-width: 760px) {
  .mark small {
    display: none;
  }
}
</style>
