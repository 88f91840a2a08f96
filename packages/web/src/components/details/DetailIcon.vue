<script setup lang="ts">
import { computed, nextTick, ref, shallowRef, useId, useTemplateRef } from 'vue';
import type { Icon } from '@zorvik/core';
import { useSettings } from '../../composables/useSettings.ts';
import { usualIcons } from './usualIcons.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import { useEntryLooks } from '../../composables/useEntryLooks.ts';
import EntryColour from './EntryColour.vue';

/**
 * An icon next to the label: one of those that menus use, or found by name in the open set of Material Design
 * icons (Apache 2.0).
 */
type Found = { readonly name: string; readonly path: string };
const MOST = 60;
const { common, set } = useSettings();
const id = useId();
const icon = computed(() => common('icon').value);
const looks = useEntryLooks('icon');
const isOpen = ref(false);
const typed = ref('');
const icons = shallowRef<readonly Found[]>([]);
const input = useTemplateRef<HTMLInputElement>('input');
const opener = useTemplateRef<HTMLButtonElement>('opener');
const found = computed(() => {
  const words = typed.value
    .toLowerCase()
    .split(/[\s-]+/)
    .filter(Boolean);
  if (words.length === 0)
    return usualIcons.flatMap((name) => icons.value.find((one) => one.name === name) ?? []);
  const fits = icons.value.filter(({ name }) => words.every((word) => name.includes(word)));
  return fits.toSorted((a, b) => a.name.length - b.name.length).slice(0, MOST);
});

async function open(): Promise<void> {
  isOpen.value = true;
  await nextTick();
  input.value?.focus();
  if (icons.value.length === 0) icons.value = (await import('virtual:icon-set')).default;
}

function close(): void {
  isOpen.value = false;
  opener.value?.focus();
}

function take({ name, path }: Found): void {
  const { position = 'before' } = icon.value ?? {};
  set({ icon: { name, path, position } });
  close();
}

function change(changes: Partial<Icon>): string | null {
  return icon.value === null ? null : set({ icon: { ...icon.value, ...changes } }, 'icon');
}
const position = computed({
  get: () => icon.value?.position ?? 'before',
  set: (at) => void change({ position: at ?? 'before' }),
});
</script>

<template>
  <div class="icon">
    <span class="caption">Icon</span>
    <div class="row">
      <button
        ref="opener"
        type="button"
        class="shown plain-field"
        :aria-expanded="isOpen"
        @click="isOpen ? close() : open()"
      >
        <span class="only-heard">Icon:</span>
        <svg v-if="icon !== null" viewBox="0 0 24 24" width="18" height="18" aria-hidden="true">
          <path :d="icon.path" :fill="looks.colourOf('color') ?? 'currentColor'" />
        </svg>
        <span :class="{ mute: icon === null }">
          {{ icon?.name ?? (common('icon').isMixed ? 'differs' : 'none') }}
        </span>
      </button>
      <button
        v-if="icon !== null || common('icon').isMixed"
        type="button"
        class="plain-button"
        @click="set({ icon: null })"
      >
        Remove
      </button>
    </div>
    <div v-if="icon !== null" class="row">
      <EntryColour thing="icon" property="color" label="Icon colour" />
      <ChoiceRow
        v-model="position"
        label="Icon position"
        is-label-hidden
        :choices="[
          { value: 'before', label: 'before' },
          { value: 'after', label: 'after' },
          { value: 'above', label: 'above' },
        ]"
      />
    </div>
    <div v-if="isOpen" class="picker" @keydown.escape.stop.prevent="close">
      <label class="only-heard" :for="id">Find an icon</label>
      <input
        class="plain-field"
        :id="id"
        ref="input"
        v-model="typed"
        type="text"
        placeholder="leaf, cart, phone …"
        autocomplete="off"
        spellcheck="false"
        @keydown.enter.prevent="found[0] && take(found[0])"
      />
      <p v-if="icons.length === 0" class="mute">Loading icons …</p>
      <p v-else-if="found.length === 0" class="mute">
        No icon matches “{{ typed }}”. Try another English word.
      </p>
      <div class="grid">
        <button
          v-for="one in found"
          :key="one.name"
          type="button"
          :title="one.name"
          :aria-label="one.name"
          @click="take(one)"
        >
          <svg viewBox="0 0 24 24" width="20" height="20" aria-hidden="true">
            <path :d="one.path" fill="currentColor" />
          </svg>
        </button>
      </div>
    </div>
  </div>
</template>

<style scoped>
.icon {
  position: relative;
  min-width: 0;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-bottom: 6px;
}
.shown {
  display: flex;
  align-items: center;
  gap: 7px;
  flex: 1;
  min-width: 0;
  cursor: pointer;
}
.shown:hover {
  border-color: var(--ink);
}
.picker {
  position: fixed;
  z-index: 20;
  inset-block-end: 14px;
  inset-inline-end: 14px;
  display: grid;
  gap: 8px;
  width: 340px;
  padding: 12px;
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--sheet);
  box-shadow: var(--shadow);
}
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, 36px);
  gap: 2px;
  max-height: 240px;
  overflow: auto;
}
.grid button {
  display: grid;
  place-items: center;
  width: 36px;
  height: 36px;
  border: 0;
  border-radius: 6px;
  background: none;
  cursor: pointer;
}
.grid button:hover {
  background: var(--accent-tint);
}
</style>
