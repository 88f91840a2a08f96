<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue';
import type { Icon } from '@zorvik/core';
import type { EntryLooks } from '../../composables/useEntryLooks.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import IconSet from '../common/IconSet.vue';
import EntryColour from './EntryColour.vue';

/** An icon next to a label: which, in which colour, and where it stands. */
const props = defineProps<{
  icon: Icon | null;
  /** What is chosen has different icons, or some has none. */
  isMixed?: boolean;
  looks: EntryLooks;
}>();
const emit = defineEmits<{ set: [icon: Icon | null] }>();
const isOpen = ref(false);
const opener = useTemplateRef<HTMLButtonElement>('opener');

function close(): void {
  isOpen.value = false;
  opener.value?.focus();
}
function take({ name, path }: { readonly name: string; readonly path: string }): void {
  emit('set', { name, path, position: props.icon?.position ?? 'before' });
  close();
}
const position = computed({
  get: () => props.icon?.position ?? 'before',
  set(at) {
    if (props.icon !== null) emit('set', { ...props.icon, position: at ?? 'before' });
  },
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
        @click="isOpen ? close() : (isOpen = true)"
      >
        <span class="only-heard">Icon:</span>
        <svg v-if="icon !== null" viewBox="0 0 24 24" width="18" height="18" aria-hidden="true">
          <path :d="icon.path" :fill="looks.colourOf('color') ?? 'currentColor'" />
        </svg>
        <span :class="{ mute: icon === null }">{{ icon?.name ?? (isMixed ? 'differs' : 'none') }}</span>
      </button>
      <button
        v-if="icon !== null || isMixed"
        type="button"
        class="plain-button"
        aria-label="Remove icon"
        @click="emit('set', null)"
      >
        Remove
      </button>
    </div>
    <div v-if="icon !== null" class="row">
      <EntryColour :looks="looks" property="color" label="Icon colour" />
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
    <div v-if="isOpen" class="picker" @keydown.escape.stop.prevent="close"><IconSet @pick="take" /></div>
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
  width: 340px;
  padding: 12px;
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--sheet);
  box-shadow: var(--shadow);
}
</style>
