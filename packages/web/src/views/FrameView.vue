<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, ref, useTemplateRef, watch } from 'vue';
import type { Id } from '@zorvik/core';
import FrameAdd from '../components/frame/FrameAdd.vue';
import FrameHead from '../components/frame/FrameHead.vue';
import FrameStart from '../components/frame/FrameStart.vue';
import FrameStrip from '../components/frame/FrameStrip.vue';
import FrameTable from '../components/frame/FrameTable.vue';
import WidthRuler from '../components/live/WidthRuler.vue';
import { useFrameStage } from '../composables/useFrameStage.ts';
import { useFrame } from '../stores/frame.ts';
import { FIRST_WIDTH, useLiveView } from '../stores/liveView.ts';

/** The whole page as visitors get it, composed where it is drawn; what is selected has its settings below. */
const frame = useFrame();
const live = useLiveView();
const iframe = useTemplateRef<HTMLIFrameElement>('iframe');
const room = useTemplateRef<HTMLDivElement>('room');
const strip = useTemplateRef<InstanceType<typeof FrameStrip>>('strip');
const available = ref({ width: FIRST_WIDTH, height: 400 });
/** Where the list of parts to add opens, in px of the room; null: where keys have led. */
const addingAt = ref<{ x: number; y: number } | null>(null);

const scale = computed(() => Math.min(1, available.value.width / live.width));
const inset = computed(() => (available.value.width - live.width * scale.value) / 2);
useFrameStage(iframe, {
  adds: (x, y) => (addingAt.value = { x: x * scale.value + inset.value, y: y * scale.value }),
  renames: (item: Id) => strip.value?.rename(item),
});

async function added(): Promise<void> {
  addingAt.value = null;
  await nextTick();
  strip.value?.focus();
}

let observer: ResizeObserver | null = null;
watch(room, (now) => {
  observer?.disconnect();
  if (now === null) return;
  observer = new ResizeObserver(([entry]) => {
    const { width, height } = entry?.contentRect ?? available.value;
    live.follow(Math.floor(width));
    available.value = { width: Math.floor(width), height };
  });
  observer.observe(now);
});
onBeforeUnmount(() => observer?.disconnect());
</script>

<template>
  <div class="frame">
    <FrameHead />
    <FrameTable v-if="frame.view === 'table'" class="table" />
    <section v-else class="picture" aria-label="Live page">
      <div ref="room" class="room">
        <iframe
          ref="iframe"
          title="Live page"
          src="/frame.html"
          sandbox="allow-scripts"
          :style="{
            width: `${live.width}px`,
            height: `${available.height / scale}px`,
            transform: `scale(${scale})`,
            marginInlineStart: `${inset}px`,
          }"
        />
        <FrameStart v-if="frame.isEmpty" />
        <FrameAdd v-if="frame.adding !== null" :at="addingAt" @left="added" />
      </div>
      <WidthRuler is-alone />
    </section>
    <FrameStrip v-if="frame.view === 'picture'" ref="strip" />
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  height: 100%;
}
.table {
  grid-row: 2 / -1;
}
.picture {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  min-height: 0;
  padding: 10px 14px 0;
  background: repeating-linear-gradient(90deg, var(--paper-deep) 0 1px, transparent 1px 80px), var(--stage);
}
.room {
  position: relative;
  min-height: 0;
}
iframe {
  position: absolute;
  inset-block-start: 0;
  inset-inline-start: 0;
  border: 0;
  transform-origin: 0 0;
  border-radius: 4px 4px 0 0;
  background: #fff;
  color-scheme: light;
  box-shadow: 0 8px 22px -14px var(--shadow-color);
}
</style>
