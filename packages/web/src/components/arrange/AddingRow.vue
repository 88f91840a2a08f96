<script setup lang="ts">
import { useTemplateRef } from 'vue';
import type { Picked } from '../../composables/picked.ts';
import PagePick from './PagePick.vue';

/** The row in which a new item is typed. */
defineProps<{ isSlim?: boolean }>();
const emit = defineEmits<{
  pick: [picked: Picked];
  leave: [];
  nest: [isDeeper: boolean];
  lines: [text: string];
}>();
const field = useTemplateRef<InstanceType<typeof PagePick>>('field');
defineExpose({ focus: () => field.value?.focus() });
</script>

<template>
  <div class="adding">
    <PagePick
      ref="field"
      label="New item: page, label, or Label | address"
      :placeholder="isSlim ? 'Page or label' : 'Page, label, or Label | https://…'"
      is-bare
      @pick="emit('pick', $event)"
      @leave="emit('leave')"
      @nest="emit('nest', $event)"
      @lines="emit('lines', $event)"
    />
    <span v-if="!isSlim" class="mute hint">
      <kbd>Enter</kbd>
      add,
      <kbd>Tab</kbd>
      indent,
      <kbd>Esc</kbd>
      finish
    </span>
  </div>
</template>

<style scoped>
.adding {
  display: flex;
  align-items: center;
  gap: 12px;
  height: 32px;
  padding-inline-end: 14px;
  background: var(--accent-tint);
}
.hint {
  white-space: nowrap;
  font-size: 0.75rem;
}
</style>
