<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref, useTemplateRef, watch } from 'vue';
import { fromContact, type DrawnColumn, type ToContact } from '../../live/contactMessages.ts';

/** One width of the contact sheet: all dropdowns and panels, one below the other, as visitors get them. */
const props = defineProps<{
  title: string;
  width: number;
  scale: number;
  shown: Extract<ToContact, { kind: 'show' }> | null;
  heights: readonly number[];
}>();
const emit = defineEmits<{ drawn: [column: DrawnColumn] }>();
const iframe = useTemplateRef<HTMLIFrameElement>('iframe');
const isReady = ref(false);

function tell(message: ToContact | null): void {
  if (!isReady.value || message === null) return;
  // The sandboxed iframe has an opaque origin, which no target can name. What is reactive cannot be sent.
  iframe.value?.contentWindow?.postMessage(JSON.parse(JSON.stringify(message)), '*');
}
function hear({ source, data }: MessageEvent): void {
  if (iframe.value === null || source !== iframe.value.contentWindow) return;
  const message = fromContact(data);
  if (message?.kind === 'drawn') emit('drawn', { drops: message.drops, findings: message.findings });
  if (message?.kind !== 'ready') return;
  isReady.value = true;
  tell(props.shown);
}
watch(() => props.shown, tell);
watch(
  () => props.heights,
  (heights) => tell({ kind: 'heights', heights }),
);
onMounted(() => window.addEventListener('message', hear));
onBeforeUnmount(() => window.removeEventListener('message', hear));
const total = (): number => props.heights.reduce((sum, height) => sum + height, 0);
</script>

<template>
  <div class="column" :style="{ width: `${width * scale}px`, height: `${total() * scale}px` }">
    <iframe
      ref="iframe"
      :title="title"
      src="/contact.html"
      sandbox="allow-scripts"
      tabindex="-1"
      :style="{ width: `${width}px`, height: `${Math.max(900, total())}px`, transform: `scale(${scale})` }"
    />
  </div>
</template>

<style scoped>
.column {
  position: relative;
  overflow: clip;
  background: #fff;
  box-shadow: 0 0 0 1px var(--line);
}
iframe {
  position: absolute;
  inset-block-start: 0;
  inset-inline-start: 0;
  border: 0;
  transform-origin: 0 0;
  color-scheme: light;
}
</style>
