<script setup lang="ts">
import { useId } from 'vue';

/** A colour: a swatch to choose by eye, and its six digits to type. */
const props = defineProps<{ label: string; value: string; keep: (typed: string) => string | null }>();
const id = useId();

function change(event: Event): void {
  const field = event.target as HTMLInputElement;
  const typed = field.value.trim().toLowerCase();
  const color = /^[0-9a-f]{6}$/.test(typed) ? `#${typed}` : typed;
  if (props.keep(color) !== null) field.value = props.value;
}
</script>

<template>
  <span class="color">
    <label class="only-heard" :for="id">{{ label }}</label>
    <input
      type="color"
      :value="value"
      :aria-label="`${label}, colour picker`"
      :title="label"
      @change="change"
    />
    <input
      :id="id"
      type="text"
      :value="value"
      spellcheck="false"
      maxlength="7"
      @change="change"
      @keydown.enter.prevent="change"
    />
  </span>
</template>

<style scoped>
.color {
  display: inline-flex;
  align-items: center;
  gap: 4px;
  height: 28px;
  padding: 0 4px;
  border: 1px solid var(--line-strong);
  border-radius: 6px;
  background: var(--field);
}
.color:focus-within {
  border-color: var(--ink);
  box-shadow: 0 0 0 1px var(--ink);
}
input[type='color'] {
  width: 20px;
  height: 20px;
  padding: 0;
  border: 0;
  background: none;
  cursor: pointer;
}
input[type='text'] {
  width: 62px;
  border: 0;
  outline: 0;
  background: none;
  font-size: 0.75rem;
  font-variant-numeric: tabular-nums;
}
</style>
