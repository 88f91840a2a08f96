<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue';
import { counted, planSketch, type ImportPlan } from '@zorvik/core';
import type { FoundMenu } from '@zorvik/formats';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ImportPreview from './ImportPreview.vue';

/**
 * A menu from a file or a text: reads it in whatever format it is, lets choose where a page holds several,
 * and shows what it becomes.
 */
const plan = defineModel<ImportPlan | null>({ required: true });
const copy = useWorkingCopy();
const text = ref('');
const format = ref('');
const found = shallowRef<readonly FoundMenu[]>([]);
const chosen = ref(0);
const problem = ref<string | null>(null);

watch(text, async (now) => {
  plan.value = null;
  found.value = [];
  problem.value = null;
  if (now.trim() === '') return;
  const { readMenus } = await import('@zorvik/formats');
  if (text.value !== now) return;
  const read = readMenus(now);
  format.value = read.format.name;
  if (!read.found.ok) {
    problem.value = read.found.refusal.message;
    return;
  }
  found.value = read.found.value;
  chosen.value = 0;
  look();
});
watch(chosen, look);

function look(): void {
  const menu = found.value[chosen.value];
  plan.value = copy.document === null || menu === undefined ? null : planSketch(copy.document, menu.sketches);
}

async function take(event: Event): Promise<void> {
  const [file] = (event.target as HTMLInputElement).files ?? [];
  if (file !== undefined) text.value = await file.text();
}

async function drop(event: DragEvent): Promise<void> {
  const [file] = event.dataTransfer?.files ?? [];
  if (file !== undefined) text.value = await file.text();
}
</script>

<template>
  <div class="source" @dragover.prevent @drop.prevent="drop">
    <label class="plain-button file">
      Choose a file …
      <input type="file" accept=".json,.csv,.opml,.xml,.md,.html,.htm,.txt" @change="take" />
    </label>
    <span class="mute">JSON, CSV, OPML, Markdown, HTML (a list or a whole page), or lines of text</span>
    <textarea
      class="plain-field text"
      v-model="text"
      rows="5"
      aria-label="Menu as text"
      placeholder="… or paste text here, or drop a file"
      spellcheck="false"
    />
    <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
    <fieldset v-if="found.length > 1">
      <legend>{{ found.length }} menus found. Which one?</legend>
      <label v-for="(menu, at) in found" :key="at">
        <input v-model="chosen" type="radio" name="found-menu" :value="at" />
        {{ menu.name || `Menu ${at + 1}` }}
        <span class="mute">{{ counted(menu.sketches.length, '# top-level item', '# top-level items') }}</span>
      </label>
    </fieldset>
    <template v-if="plan !== null">
      <p class="mute">Format: {{ format }}. Nothing is imported yet.</p>
      <ImportPreview :plan="plan" />
    </template>
  </div>
</template>

<style scoped>
.source {
  display: grid;
  gap: 8px;
}
.file {
  position: relative;
  justify-self: start;
  display: inline-flex;
  align-items: center;
  cursor: pointer;
}
.file:focus-within {
  outline: 2px solid var(--ink);
  outline-offset: 2px;
}
.file input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
textarea {
  resize: vertical;
}
textarea::placeholder {
  color: var(--mute);
  opacity: 1;
}
fieldset {
  display: grid;
  gap: 3px;
  max-height: 130px;
  overflow: auto;
  border: 0;
  padding: 0;
  margin: 0;
}
legend {
  color: var(--mute);
}
</style>
