<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp, mdiClose } from '@mdi/js';
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue';
import { counted } from '@zorvik/core';
import { findItems, itemStates, levelsOf, type ItemState } from '../../composables/findItems.ts';
import { useArrange } from '../../stores/arrange.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import IconButton from '../common/IconButton.vue';

/** Finds items of the menu, folded or not: each is selected, and its branch unfolded, as one goes through them. */
const emit = defineEmits<{ leave: [] }>();
const arrange = useArrange();
const copy = useWorkingCopy();
const selection = useSelection();
const input = useTemplateRef<HTMLInputElement>('input');
const text = ref('');
const level = ref<number | null>(null);
const state = ref<ItemState | null>(null);
const stateWords: Readonly<Record<ItemState, string>> = {
  noLink: 'no link yet',
  heading: 'heading',
  unpublished: 'unpublished',
  draft: 'page is a draft',
  deleted: 'page was deleted',
  follows: 'follows pages',
};
const levels = computed(() =>
  copy.document === null || selection.menu === null ? 0 : levelsOf(copy.document, selection.menu.id),
);
const found = computed(() =>
  copy.document === null || selection.menu === null
    ? []
    : findItems(copy.document, selection.menu.id, {
        text: text.value,
        level: level.value,
        state: state.value,
      }),
);
const isAsked = computed(() => text.value.trim() !== '' || level.value !== null || state.value !== null);
const at = computed(() => found.value.indexOf(selection.item?.id ?? ''));
const words = computed(() => {
  if (!isAsked.value) return '';
  if (found.value.length === 0) return 'No item matches';
  return at.value < 0
    ? counted(found.value.length, '# item', '# items')
    : `${at.value + 1} of ${found.value.length}`;
});

function go(step: 1 | -1): void {
  const count = found.value.length;
  if (count === 0) return;
  const next = at.value < 0 ? (step > 0 ? 0 : count - 1) : (at.value + step + count) % count;
  selection.select(found.value[next] ?? null);
}
// What is typed leads to the first match at once; one that is still a match stays.
watch([text, level, state], () => {
  if (isAsked.value && at.value < 0) go(1);
});
function close(): void {
  arrange.isFinding = false;
  emit('leave');
}
onMounted(() => input.value?.focus());
watch(
  () => arrange.findCalls,
  () => input.value?.select(),
);
</script>

<template>
  <form
    class="find"
    role="search"
    aria-label="Find in this menu"
    @submit.prevent="go(1)"
    @keydown.escape.stop="close"
    @keydown.enter.shift.prevent="go(-1)"
  >
    <input
      ref="input"
      v-model="text"
      class="plain-field"
      type="search"
      aria-label="Find in this menu"
      placeholder="Label or address"
      autocomplete="off"
    />
    <select v-model="level" class="plain-field" aria-label="Level">
      <option :value="null">all levels</option>
      <option v-for="one in levels" :key="one" :value="one">level {{ one }}</option>
    </select>
    <select v-model="state" class="plain-field" aria-label="State">
      <option :value="null">any state</option>
      <option v-for="one in itemStates" :key="one" :value="one">{{ stateWords[one] }}</option>
    </select>
    <span class="count number" role="status">{{ words }}</span>
    <IconButton label="Previous match" :icon="mdiArrowUp" keys="Shift Enter" @press="go(-1)" />
    <IconButton label="Next match" :icon="mdiArrowDown" keys="Enter" @press="go(1)" />
    <IconButton label="Close search" :icon="mdiClose" keys="Esc" @press="close" />
  </form>
</template>

<style scoped>
.find {
  position: absolute;
  z-index: 8;
  inset-block-end: 10px;
  inset-inline-end: 20px;
  display: flex;
  align-items: center;
  gap: 6px;
  max-width: calc(100% - 40px);
  padding: 6px 8px;
  border: 1px solid var(--line-strong);
  border-radius: var(--radius);
  background: var(--sheet);
  box-shadow: 0 6px 18px rgb(0 0 0 / 0.14);
}
input {
  width: 190px;
  min-width: 90px;
}
select {
  max-width: 130px;
}
.count {
  min-width: 86px;
  color: var(--mute);
  font-size: 0.75rem;
  white-space: nowrap;
}
@media (max-width: 620px) {
  .find {
    flex-wrap: wrap;
  }
}
</style>
