<script setup lang="ts">
/** A page as a small picture of it. Its width and height are CSS px of the page itself. */
defineProps<{ page: string; width: number; height: number; loading?: 'lazy' | 'eager' }>();
</script>

<template>
  <span class="drawing" aria-hidden="true" :style="{ aspectRatio: `${width} / ${height}` }">
    <iframe
      :srcdoc="page"
      sandbox=""
      tabindex="-1"
      title=""
      :loading="loading ?? 'lazy'"
      :style="{ inlineSize: `${width}px`, blockSize: `${height}px`, scale: `calc(100cqw / ${width}px)` }"
    />
  </span>
</template>

<style scoped>
.drawing {
  position: relative;
  display: block;
  border: 1px solid var(--line);
  overflow: hidden;
  container-type: inline-size;
}
iframe {
  position: absolute;
  inset: 0;
  border: 0;
  background: #fff;
  color-scheme: light;
  transform-origin: 0 0;
  pointer-events: none;
}
</style>
