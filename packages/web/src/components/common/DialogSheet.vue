<script setup lang="ts">
import { useId } from 'vue';

/** A dialog as a form: its title, what it asks, what is wrong with the answer, and its buttons (slot `actions`). */
withDefaults(defineProps<{ title: string; problem?: string | null; isBusy?: boolean; width?: number }>(), { problem: null, width: 560 });
const emit = defineEmits<{ submit: [] }>();
const isOpen = defineModel<boolean>({ required: true });
const id = useId();
</script>

<template>
  <v-dialog v-model="isOpen" :max-width="width" :persistent="isBusy" :aria-labelledby="id">
    <form class="sheet" novalidate @submit.prevent="emit('submit')">
      <h1 :id="id">{{ title }}</h1>
      <slot />
      <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
      <div class="end"><slot name="actions" /></div>
    </form>
  </v-dialog>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 14px;
  padding: 20px;
  border-radius: 12px;
  background: var(--sheet);
  overflow: auto;
}
.problem {
  padding: 8px 10px;
  border-radius: var(--radius);
  background: var(--brick-tint);
  color: var(--brick);
  overflow-wrap: anywhere;
}
.end {
  display: flex;
  justify-content: end;
  gap: 8px;
}
</style>
