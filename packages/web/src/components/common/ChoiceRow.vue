<script setup lang="ts" generic="T extends string | number | boolean">
import { useId } from 'vue';

/** A few choices of which one holds, as chips in a row: radio buttons to keys and screen readers. */
defineProps<{
  label: string;
  /** Not seen: what stands around says it. */ isLabelHidden?: boolean;
  choices: readonly { readonly value: T; readonly label: string; readonly hint?: string }[];
  isMixed?: boolean;
}>();
/** Null: none of them holds for all that it is about. */
const chosen = defineModel<T | null>({ required: true });
const name = useId();
</script>

<template>
  <fieldset class="choices" :class="{ plain: isLabelHidden }">
    <legend :class="{ 'only-heard': isLabelHidden }">
      {{ label }}
      <em v-if="isMixed">differs</em>
    </legend>
    <label v-for="choice in choices" :key="String(choice.value)" class="chip" :class="{ on: choice.value === chosen }" :title="choice.hint">
      <input v-model="chosen" type="radio" :name="name" :value="choice.value" />
      <span>{{ choice.label }}</span>
    </label>
  </fieldset>
</template>

<style scoped src="./chips.css"></style>
