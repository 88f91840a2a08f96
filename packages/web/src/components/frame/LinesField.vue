<script setup lang="ts">
import { useId } from 'vue';
import { useTyping } from '../../composables/useTyping.ts';

/** Lines of text, kept as one types. */
const props = defineProps<{
  label: string;
  lines: readonly string[];
  keep: (lines: string[]) => string | null;
}>();
const id = useId();
const { typed, problem, begin, input, composing, end } = useTyping({
  value: () => props.lines.join('\n'),
  keep: (text) =>
    props.keep(
      text
        .split('\n')
        .map((line) => line.trim())
        .filter((line) => line !== ''),
    ),
});
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <textarea
      :id="id"
      v-model="typed"
      class="plain-field"
      rows="3"
      :aria-invalid="problem !== null"
      @focus="begin"
      @input="input"
      @compositionstart="composing(true)"
      @compositionend="composing(false)"
      @blur="end"
    />
    <p v-if="problem !== null" class="problem small" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.field {
  display: grid;
  gap: 3px;
}
label {
  color: var(--mute);
  font-size: 0.75rem;
}
textarea {
  height: auto;
  padding-block: 6px;
  resize: vertical;
}
</style>
