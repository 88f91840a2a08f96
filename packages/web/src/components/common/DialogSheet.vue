<script setup lang="ts">
import { useId, watch } from 'vue';
import { workElement } from '../../composables/workElement.ts';

/**
 * A dialog as a form: its title, what it asks, what is wrong with the answer, and its buttons (slot
 * `actions`).
 */
withDefaults(defineProps<{ title: string; problem?: string | null; isBusy?: boolean; width?: number }>(), {
  problem: null,
  width: 560,
});
const emit = defineEmits<{ submit: [] }>();
const isOpen = defineModel<boolean>({ required: true });
const id = useId();

/** What had the focus when it was opened. */
let before: Element | null = null;
watch(
  isOpen,
  (now) => {
    if (now) before = document.activeElement;
  },
  { immediate: true, flush: 'sync' },
);
/** Gives the focus back, unless it went elsewhere; what opened it may be in a list that has closed. */
function giveBack(): void {
  if (document.activeElement !== document.body) return;
  const opener = before instanceof HTMLElement && before.checkVisibility() ? before : workElement();
  opener?.focus({ preventScroll: true });
}
</script>

<template>
  <v-dialog
    v-model="isOpen"
    :max-width="width"
    :persistent="isBusy"
    :aria-labelledby="id"
    @after-leave="giveBack"
  >
    <form class="sheet" novalidate @submit.prevent="emit('submit')">
      <h1 :id="id">{{ title }}</h1>
      <div class="body" tabindex="0"><slot /></div>
      <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
      <div class="end"><slot name="actions" /></div>
    </form>
  </v-dialog>
</template>

<style scoped>
.sheet {
  display: grid;
  /* What is asked scrolls; its title and its buttons stay in sight. */
  grid-template-rows: auto minmax(0, 1fr);
  gap: 8px;
  max-height: calc(100dvh - 48px);
  padding: 20px 0;
  border-radius: 12px;
  background: var(--sheet);
}
h1,
.end {
  padding-inline: 20px;
}
.body {
  display: grid;
  align-content: start;
  gap: 14px;
  overflow: auto;
  padding: 8px 20px 2px;
}
.problem {
  margin-inline: 20px;
}
.end {
  display: flex;
  justify-content: end;
  gap: 8px;
}
</style>
