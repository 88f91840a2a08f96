<script setup lang="ts">
import { computed, nextTick, ref, shallowRef, useTemplateRef } from 'vue';

/** An icon of the open set, found by a word. */
type Found = { readonly name: string; readonly path: string };
const props = defineProps<{ label: string; icon: Found | null }>();
const emit = defineEmits<{ pick: [icon: Found] }>();
const MOST = 28;
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
  if (words.length === 0) return [];
  const fits = icons.value.filter(({ name }) => words.every((word) => name.includes(word)));
  return fits.toSorted((a, b) => a.name.length - b.name.length).slice(0, MOST);
});

async function toggle(): Promise<void> {
  isOpen.value = !isOpen.value;
  if (!isOpen.value) return;
  await nextTick();
  input.value?.focus();
  if (icons.value.length === 0) icons.value = (await import('virtual:icon-set')).default;
}
function take(icon: Found | undefined): void {
  if (icon === undefined) return;
  emit('pick', icon);
  close();
}
function close(): void {
  isOpen.value = false;
  typed.value = '';
  opener.value?.focus();
}
</script>

<template>
  <div class="pick" @keydown.escape.stop="close">
    <button
      ref="opener"
      type="button"
      class="plain-field shown"
      :aria-label="`${label}: ${props.icon?.name ?? 'none'}`"
      :aria-expanded="isOpen"
      @click="toggle"
    >
      <svg v-if="props.icon !== null" viewBox="0 0 24 24" width="18" height="18" aria-hidden="true">
        <path :d="props.icon.path" fill="currentColor" />
      </svg>
      <span v-else class="mute">Icon</span>
    </button>
    <div v-if="isOpen" class="list">
      <input
        ref="input"
        v-model="typed"
        class="plain-field"
        type="search"
        aria-label="Find an icon"
        placeholder="A word, such as camera"
        @keydown.enter.prevent="take(found[0])"
      />
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

<style scoped src="./offers.css"></style>
<style scoped>
.pick {
  position: relative;
}
.shown {
  display: grid;
  place-items: center;
  min-width: 44px;
  cursor: pointer;
}
.list {
  z-index: 30;
  width: 270px;
}
.grid {
  display: grid;
  grid-template-columns: repeat(7, 1fr);
  gap: 2px;
}
.grid button {
  display: grid;
  place-items: center;
  height: 34px;
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
