<script setup lang="ts">
import { computed, onMounted, ref, shallowRef, useTemplateRef } from 'vue';
import { usualIcons } from './usualIcons.ts';

/**
 * Icons to choose from: those that menus use, and all that a word finds in the open set of Material Design icons (Apache
 * 2.0).
 */
type Found = { readonly name: string; readonly path: string };
const emit = defineEmits<{ pick: [icon: Found] }>();
const MOST = 60;
const typed = ref('');
const icons = shallowRef<readonly Found[]>([]);
const input = useTemplateRef<HTMLInputElement>('input');
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
onMounted(async () => {
  input.value?.focus();
  icons.value = (await import('virtual:icon-set')).default;
});
</script>

<template>
  <div class="icons">
    <input
      ref="input"
      v-model="typed"
      class="plain-field"
      type="text"
      aria-label="Find an icon"
      placeholder="leaf, cart, phone …"
      autocomplete="off"
      spellcheck="false"
      @keydown.enter.prevent="found[0] && emit('pick', found[0])"
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
        @click="emit('pick', one)"
      >
        <svg viewBox="0 0 24 24" width="20" height="20" aria-hidden="true">
          <path :d="one.path" fill="currentColor" />
        </svg>
      </button>
    </div>
  </div>
</template>

<style scoped>
.icons {
  display: grid;
  gap: 8px;
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
  color: var(--ink);
  cursor: pointer;
}
.grid button:hover {
  background: var(--accent-tint);
}
</style>
