<script setup lang="ts" generic="T extends string | number | boolean">
import { useId } from 'vue';

/**
 * A few choices of which one holds, side by side in one outline: radio buttons to keys and screen readers.
 */
defineProps<{
  label: string;
  /** The surroundings make it clear: only screen readers get the label. */ isLabelHidden?: boolean;
  choices: readonly { readonly value: T; readonly label: string; readonly hint?: string }[];
  isMixed?: boolean;
}>();
/** Null: none of them holds for everything it applies to. */
const chosen = defineModel<T | null>({ required: true });
const name = useId();
</script>

<template>
  <fieldset class="choices">
    <legend :class="{ 'only-heard': isLabelHidden }">
      {{ label }}
      <em v-if="isMixed">differs</em>
    </legend>
    <span class="segments" :class="{ mixed: isMixed }">
      <label
        v-for="choice in choices"
        :key="String(choice.value)"
        class="choice"
        :class="{ on: choice.value === chosen }"
        :title="choice.hint"
      >
        <input v-model="chosen" type="radio" :name="name" :value="choice.value" />
        <span>{{ choice.label }}</span>
      </label>
    </span>
  </fieldset>
</template>

<style scoped src="./choices.css"></style>
