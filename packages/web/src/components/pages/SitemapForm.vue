<script setup lang="ts">
import { mdiFileUploadOutline } from '@mdi/js';
import { computed, ref } from 'vue';

/** A sitemap, as a file or as pasted text. What it gives are bytes: only the server reads them. */
const bytes = defineModel<Blob | null>({ required: true });
const pasted = ref('');
const file = ref<File | null>(null);
const isOver = ref(false);
const words = computed(() => (file.value === null ? null : `${file.value.name}, ${sizeOf(file.value.size)}`));

function sizeOf(size: number): string {
  return size < 1024
    ? `${size} bytes`
    : size < 1_048_576
      ? `${Math.round(size / 1024)} KB`
      : `${(size / 1_048_576).toFixed(1)} MB`;
}

function take(chosen: File | undefined): void {
  if (chosen === undefined) return;
  file.value = chosen;
  pasted.value = '';
  bytes.value = chosen;
}

function typed(): void {
  file.value = null;
  bytes.value = pasted.value.trim() === '' ? null : new Blob([pasted.value]);
}
</script>

<template>
  <div class="sitemap">
    <label
      class="drop"
      :class="{ over: isOver }"
      @dragover.prevent="isOver = true"
      @dragleave="isOver = false"
      @drop.prevent="
        isOver = false;
        take($event.dataTransfer?.files[0]);
      "
    >
      <svg viewBox="0 0 24 24" width="22" height="22" aria-hidden="true">
        <path :d="mdiFileUploadOutline" fill="currentColor" />
      </svg>
      <span v-if="words === null">
        Choose or drop a
        <strong>sitemap.xml</strong>
      </span>
      <span v-else>
        <strong>{{ words }}</strong>
      </span>
      <input
        type="file"
        accept=".xml,application/xml,text/xml"
        aria-label="sitemap.xml"
        @change="take(($event.target as HTMLInputElement).files?.[0])"
      />
    </label>
    <v-textarea
      v-model="pasted"
      label="or paste it here"
      rows="4"
      no-resize
      spellcheck="false"
      @update:model-value="typed"
    />
  </div>
</template>

<style scoped>
.sitemap {
  display: grid;
  gap: 12px;
}
.drop {
  position: relative;
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 56px;
  padding: 0 14px;
  border: 1px dashed var(--line-strong);
  border-radius: 8px;
  background: var(--field);
  color: var(--mute);
  cursor: pointer;
}
.drop strong {
  color: var(--ink);
}
.drop.over,
.drop:hover {
  border-color: var(--accent);
}
.drop:focus-within {
  outline: 2px solid var(--ink);
  outline-offset: 2px;
}
.drop input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
</style>
