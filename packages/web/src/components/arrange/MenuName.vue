<script setup lang="ts">
import { nextTick, ref, useTemplateRef } from 'vue';
import { renameMenu } from '@zorvik/core';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/** The menu's name; a click makes it a field. */
const copy = useWorkingCopy();
const selection = useSelection();
const isEditing = ref(false);
const typed = ref('');
const input = useTemplateRef<HTMLInputElement>('input');

async function start(): Promise<void> {
  typed.value = selection.menu?.name ?? '';
  isEditing.value = true;
  await nextTick();
  input.value?.select();
}

function keep(): void {
  const { menu } = selection;
  if (!isEditing.value || menu === null) return;
  const isDone = typed.value === menu.name || copy.perform((context) => renameMenu(context, menu.id, typed.value)).ok;
  isEditing.value = !isDone;
}
</script>

<template>
  <h1>
    <input
      v-if="isEditing"
      ref="input"
      v-model="typed"
      type="text"
      aria-label="Name of the menu"
      @keydown.enter="keep"
      @keydown.escape="isEditing = false"
      @blur="keep"
    />
    <button v-else type="button" title="Rename the menu" @click="start">{{ selection.menu?.name }}</button>
  </h1>
</template>

<style scoped>
h1 {
  font-size: 15px;
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
  background: var(--white);
  font: inherit;
}
</style>
