<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref, useTemplateRef, watch } from 'vue';
import type { Id } from '@zorvik/core';
import { fromFrame, type ToFrame } from '../../live/messages.ts';

/** The same menu as a phone shows it, beside the wide one, with the composed panel open. */
const props = defineProps<{ shown: ToFrame | null; owner: Id | null; height: number; room: number }>();
const PHONE = 390;
const GAP = 14;
const frame = useTemplateRef<HTMLIFrameElement>('frame');
const isReady = ref(false);
const scale = (props.room - GAP) / PHONE;

function tell(message: ToFrame | null): void {
  // The sandboxed frame has an opaque origin, which no target can name.
  if (isReady.value && message !== null) frame.value?.contentWindow?.postMessage(message, '*');
}

function tellAll(): void {
  const height = props.height / scale;
  tell({ kind: 'heights', peek: height, room: height });
  tell(props.shown);
  tell({ kind: 'compose', owner: props.owner, part: null });
}

function hear({ source, data }: MessageEvent): void {
  if (frame.value === null || source !== frame.value.contentWindow || fromFrame(data)?.kind !== 'ready') return;
  isReady.value = true;
  tellAll();
}

watch(() => [props.shown, props.owner, props.height], tellAll, { flush: 'post' });
onMounted(() => window.addEventListener('message', hear));
onBeforeUnmount(() => window.removeEventListener('message', hear));
</script>

<template>
  <iframe
    ref="frame"
    class="narrow"
    title="Narrow form, 390 px wide"
    src="/live.html"
    sandbox="allow-scripts"
    :style="{ width: `${PHONE}px`, height: `${height / scale}px`, transform: `scale(${scale})` }"
  />
</template>

<style scoped>
iframe.narrow {
  position: absolute;
  inset: 0 0 auto auto;
  border: 0;
  border-radius: 6px;
  background: var(--field);
  box-shadow: 0 8px 22px -14px var(--shadow-color);
  transform-origin: 100% 0;
  color-scheme: light;
}
</style>
