<script setup lang="ts">
import { computed, onMounted, useTemplateRef, watch } from 'vue';
import { contrastOf, hexOf, oklchOf, rgbOf } from '@zorvik/core';

/**
 * A colour by lightness, chroma and hue. The plane shows every colour of a hue that screens can show; the line in it
 * is where text in that colour reads on `against`, at 4.5:1.
 */
const props = defineProps<{ against: string | null }>();
const value = defineModel<string>({ required: true });
const canvas = useTemplateRef<HTMLCanvasElement>('canvas');
const WIDTH = 240;
const HEIGHT = 120;
const MOST_CHROMA = 0.33;
const READABLE = 4.5;

const now = computed(() => oklchOf(value.value));
/** A grey has no hue: the last one stays, so that the plane does not jump. */
let lastHue = now.value.h;
const hue = computed(() => {
  if (now.value.c > 0.004) lastHue = now.value.h;
  return lastHue;
});
const spot = computed(() => ({
  x: (now.value.c / MOST_CHROMA) * WIDTH,
  y: (1 - now.value.l) * HEIGHT,
}));

/** Where colours begin to read on what is behind them, for each chroma. */
const limit = computed(() => {
  const { against } = props;
  if (against === null) return '';
  const points: string[] = [];
  for (let x = 0; x <= WIDTH; x += 8) {
    const chroma = (x / WIDTH) * MOST_CHROMA;
    let was: boolean | null = null;
    for (let y = 0; y <= HEIGHT; y += 2) {
      const l = 1 - y / HEIGHT;
      if (rgbOf(l, chroma, hue.value) === null) continue;
      const is = contrastOf(hexOf(l, chroma, hue.value), against) >= READABLE;
      if (was !== null && is !== was) {
        points.push(`${x},${y}`);
        break;
      }
      was = is;
    }
  }
  return points.join(' ');
});

function draw(): void {
  const context = canvas.value?.getContext('2d');
  if (context === null || context === undefined) return;
  const image = context.createImageData(WIDTH, HEIGHT);
  for (let y = 0; y < HEIGHT; y += 1)
    for (let x = 0; x < WIDTH; x += 1) {
      const rgb = rgbOf(1 - y / HEIGHT, (x / WIDTH) * MOST_CHROMA, hue.value);
      if (rgb !== null) image.data.set([...rgb, 255], (y * WIDTH + x) * 4);
    }
  context.putImageData(image, 0, 0);
}
onMounted(draw);
watch(hue, draw);

function pick(event: PointerEvent): void {
  if (event.buttons === 0) return;
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect();
  const x = Math.max(0, Math.min(1, (event.clientX - box.left) / box.width));
  const y = Math.max(0, Math.min(1, (event.clientY - box.top) / box.height));
  value.value = hexOf(1 - y, x * MOST_CHROMA, hue.value);
}
function hold(event: PointerEvent): void {
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
  pick(event);
}

const sliders = computed(() => [
  {
    name: 'Lightness',
    value: Math.round(now.value.l * 100),
    most: 100,
    unit: '%',
    set: (to: number) => hexOf(to / 100, now.value.c, hue.value),
  },
  {
    name: 'Chroma',
    value: Math.round((now.value.c / MOST_CHROMA) * 100),
    most: 100,
    unit: '%',
    set: (to: number) => hexOf(now.value.l, (to / 100) * MOST_CHROMA, hue.value),
  },
  {
    name: 'Hue',
    value: Math.round(hue.value),
    most: 360,
    unit: '°',
    set: (to: number) => hexOf(now.value.l, now.value.c, (lastHue = to)),
  },
]);
</script>

<template>
  <div class="oklch">
    <div class="plane" @pointerdown="hold" @pointermove="pick">
      <canvas ref="canvas" :width="WIDTH" :height="HEIGHT" aria-hidden="true" />
      <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" aria-hidden="true">
        <polyline :points="limit" class="under" />
        <polyline :points="limit" class="limit" />
        <circle :cx="spot.x" :cy="spot.y" r="5" class="under" />
        <circle :cx="spot.x" :cy="spot.y" r="5" class="limit" />
      </svg>
    </div>
    <label v-for="one in sliders" :key="one.name" class="slider">
      <span>{{ one.name }}</span>
      <input
        type="range"
        min="0"
        :max="one.most"
        :value="one.value"
        :aria-valuetext="`${one.value}${one.unit}`"
        @input="value = one.set(Number(($event.target as HTMLInputElement).value))"
      />
      <span class="number">{{ one.value }}{{ one.unit }}</span>
    </label>
    <p v-if="against !== null" class="mute">
      The line: where text reads on
      <i class="chip" :style="{ background: against }" />
      {{ against }} (4.5:1).
    </p>
  </div>
</template>

<style scoped>
.oklch {
  display: grid;
  gap: 6px;
}
.plane {
  position: relative;
  touch-action: none;
  cursor: crosshair;
}
canvas,
svg {
  display: block;
  inline-size: 100%;
  border-radius: 6px;
}
canvas {
  background: repeating-conic-gradient(var(--paper-deep) 0 25%, var(--sheet) 0 50%) 0 0 / 12px 12px;
}
svg {
  position: absolute;
  inset: 0;
  overflow: visible;
  pointer-events: none;
}
svg * {
  fill: none;
}
.under {
  stroke: #000;
  stroke-width: 3;
}
.limit {
  stroke: #fff;
  stroke-width: 1.5;
}
.slider {
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr) 40px;
  align-items: center;
  gap: 8px;
  font-size: 0.75rem;
}
.slider input {
  min-width: 0;
  accent-color: var(--accent-fill);
}
.slider .number {
  text-align: end;
}
.chip {
  display: inline-block;
  inline-size: 12px;
  block-size: 12px;
  border: 1px solid var(--line-strong);
  border-radius: 3px;
  vertical-align: -2px;
}
p {
  font-size: 0.75rem;
}
</style>
