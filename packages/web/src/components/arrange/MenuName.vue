<script setup lang="ts">
import { nextTick, ref, useTemplateRef } from 'vue';
import { renameMenu } from '@zorvik/core';
import { useKeeping } from '../../composables/useKeeping.ts';
import { useTyping } from '../../composables/useTyping.ts';
import { useSelection } from '../../stores/selection.ts';

/** The menu's name; a click makes it a field. */
const selection = useSelection();
const isEditing = ref(false);
const input = useTemplateRef<HTMLInputElement>('input');
const keepBy = useKeeping();
const typing = useTyping({
  value: () => selection.menu?.name ?? '',
  keep: (typed, isFinal) => {
    const id = selection.menu?.id ?? '';
    return keepBy(`menu ${id}`, (context, name) => renameMenu(context, id, name))(typed, isFinal);
  },
});
const { typed } = typing;

async function start(): Promise<void> {
  typing.begin();
  isEditing.value = true;
  await nextTick();
  input.value?.select();
}

function leave(isKept: boolean): void {
  if (!isEditing.value) return;
  if (isKept ? typing.end() : typing.giveBack() || true) isEditing.value = false;
}
</script>

<template>
  <h1>
    <input
      v-if="isEditing"
      ref="input"
      v-model="typed"
      type="text"
      aria-label="Menu name"
      @input="typing.input"
      @compositionstart="typing.composing(true)"
      @compositionend="typing.composing(false)"
      @keydown.enter="!$event.isComposing && leave(true)"
      @keydown.escape="!$event.isComposing && leave(false)"
      @blur="leave(true)"
    />
    <button v-else type="button" title="Rename menu" @click="start">{{ selection.menu?.name }}</button>
  </h1>
</template>

<style scoped>
h1 {
  font-size: 0.9375rem;
  min-width: 0;
}
button {
  max-width: 320px;
  min-height: 28px;
  margin-inline-start: -6px;
  padding: 0 6px;
  border: 0;
  border-radius: 6px;
  background: none;
  font: inherit;
  cursor: text;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
button:hover {
  background: var(--paper-deep);
}
input {
  height: 28px;
  width: 220px;
  margin-inline-start: -6px;
  padding: 0 5px;
  border: 1px solid var(--ink);
  border-radius: 6px;
  background: var(--field);
  font: inherit;
}
</style>
