<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, ref, toRef, useTemplateRef, watch } from 'vue';
import type { Id } from '@zorvik/core';
import { useFrameStage } from '../../composables/useFrameStage.ts';
import type { ToFrame } from '../../live/frameMessages.ts';
import { useFrame, type PictureName } from '../../stores/frame.ts';
import { FIRST_WIDTH } from '../../stores/liveView.ts';
import FrameAdd from './FrameAdd.vue';

/** One picture of the page, at a width, scaled to the room that it has. */
const props = defineProps<{ name: PictureName; title: string; width: number; shown: ToFrame | null }>();
const emit = defineEmits<{ rename: [item: Id]; added: []; room: [width: number] }>();
const frame = useFrame();
const iframe = useTemplateRef<HTMLIFrameElement>('iframe');
const room = useTemplateRef<HTMLDivElement>('room');
const available = ref({ width: FIRST_WIDTH, height: 400 });
/** Where the list of parts to add opens, in px of the room; null: where keys have led. */
const addingAt = ref<{ x: number; y: number } | null>(null);

const scale = computed(() => Math.min(1, available.value.width / props.width));
const inset = computed(() => (available.value.width - props.width * scale.value) / 2);
const isAdding = computed(() => frame.adding !== null && frame.addingIn === props.name);
useFrameStage(iframe, toRef(props, 'shown'), {
  name: props.name,
  adds: (x, y) => (addingAt.value = { x: x * scale.value + inset.value, y: y * scale.value }),
  renames: (item) => emit('rename', item),
});

async function added(): Promise<void> {
  addingAt.value = null;
  await nextTick();
  emit('added');
}

let observer: ResizeObserver | null = null;
watch(room, (now) => {
  observer?.disconnect();
  if (now === null) return;
  observer = new ResizeObserver(([entry]) => {
    const { width, height } = entry?.contentRect ?? available.value;
    emit('room', Math.floor(width));
    available.value = { width: Math.floor(width), height };
  });
  observer.observe(now);
});
onBeforeUnmount(() => observer?.disconnect());
</script>

<template>
  <div ref="room" class="room">
    <iframe
      ref="iframe"
      :title="title"
      src="/frame.html"
      sandbox="allow-scripts"
      :style="{
        width: `${width}px`,
        height: `${available.height / scale}px`,
        transform: `scale(${scale})`,
        marginInlineStart: `${inset}px`,
      }"
    />
    <slot />
    <FrameAdd v-if="isAdding" :at="addingAt" @left="added" />
  </div>
</template>

<style scoped>
.room {
  position: relative;
  min-height: 0;
  overflow: clip;
  overflow-clip-margin: 12px;
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
