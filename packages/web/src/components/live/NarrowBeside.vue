<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref, useTemplateRef, watch } from 'vue';
import type { Id } from '@zorvik/core';
import { fromStage, type ToStage } from '../../live/messages.ts';

/** The same menu as a phone shows it, beside the wide one, with the composed panel open. */
const props = defineProps<{ shown: ToStage | null; owner: Id | null; height: number; room: number }>();
const PHONE = 390;
const GAP = 14;
const iframe = useTemplateRef<HTMLIFrameElement>('iframe');
const isReady = ref(false);
const scale = (props.room - GAP) / PHONE;

function tell(message: ToStage | null): void {
  // The sandboxed iframe has an opaque origin, which no target can name.
  if (isReady.value && message !== null) iframe.value?.contentWindow?.postMessage(message, '*');
}

function tellAll(): void {
  const height = props.height / scale;
  tell({ kind: 'heights', peek: height, room: height });
  tell(props.shown);
  tell({ kind: 'compose', owner: props.owner, part: null });
}

function hear({ source, data }: MessageEvent): void {
  if (iframe.value === null || source !== iframe.value.contentWindow || fromStage(data)?.kind !== 'ready')
    return;
  isReady.value = true;
  tellAll();
}

watch(() => [props.shown, props.owner, props.height], tellAll, { flush: 'post' });
onMounted(() => window.addEventListener('message', hear));
onBeforeUnmount(() => window.removeEventListener('message', hear));
</script>

<template>
  <iframe
    ref="iframe"
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
