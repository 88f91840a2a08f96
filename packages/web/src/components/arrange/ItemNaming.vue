<script setup lang="ts">
import { nextTick, onMounted, useTemplateRef } from 'vue';
import type { OutlineRow } from '../../composables/outlineRows.ts';
import type { Tree } from '../../composables/useTree.ts';
import { useTyping } from '../../composables/useTyping.ts';

/** The field in which an item is renamed in its row. */
const props = defineProps<{ row: OutlineRow; label: string; tree: Tree }>();
const input = useTemplateRef<HTMLInputElement>('input');
const typing = useTyping({
  value: () => props.label,
  keep: (...words) => props.tree.keepName(props.row.id)(...words),
});
const { typed, problem, meanwhile } = typing;

onMounted(async () => {
  typing.begin();
  await nextTick();
  input.value?.select();
});

function leave(isKept: boolean): void {
  if (isKept ? typing.end() : typing.giveBack() || true) props.tree.endRenaming();
}
</script>

<template>
  <span class="edit" @pointerdown.stop @click.stop @dblclick.stop>
    <input
      ref="input"
      v-model="typed"
      type="text"
      spellcheck="false"
      :aria-label="`New label for ${label}`"
      :aria-invalid="problem !== null"
      @input="typing.input"
      @compositionstart="typing.composing(true)"
      @compositionend="typing.composing(false)"
      @keydown.enter.stop.prevent="!$event.isComposing && leave(true)"
      @keydown.escape.stop.prevent="!$event.isComposing && leave(false)"
      @keydown.tab.stop.prevent="tree.whileNaming(row.id, $event.shiftKey ? 'unnest' : 'nest')"
      @keydown.backspace="
        typed === '' && row.childCount === 0 && !$event.isComposing && tree.whileNaming(row.id, 'remove')
      "
      @keydown.stop
      @blur="leave(true)"
    />
    <span v-if="problem !== null" class="problem floating" role="alert">{{ problem }}</span>
    <span v-else-if="meanwhile !== null" class="problem floating look" role="status">
      Someone changed this to “{{ meanwhile }}”. Your text replaces it when you leave the field.
    </span>
  </span>
</template>

<style scoped>
.edit {
  position: relative;
  flex: 1;
  max-width: 480px;
}
input {
  width: 100%;
  height: 1.625rem;
  padding: 0 6px;
  border: 1px solid var(--ink);
  border-radius: 5px;
  background: var(--field);
  user-select: text;
}
.problem {
  inset-block-start: 1.8rem;
  inset-inline-start: 0;
}
</style>
