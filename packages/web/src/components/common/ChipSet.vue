<script setup lang="ts" generic="T extends string">
import { mdiCheckBold, mdiMinusThick } from '@mdi/js';

/** A few choices of which any number may hold, as tick boxes in a row. */
defineProps<{
  label: string;
  choices: readonly { readonly value: T; readonly label: string }[];
  isMixed?: boolean;
}>();
const chosen = defineModel<readonly T[]>({ required: true });

function toggle(value: T, isOn: boolean): void {
  chosen.value = isOn ? [...chosen.value, value] : chosen.value.filter((one) => one !== value);
}
</script>

<template>
  <fieldset class="choices">
    <legend>
      {{ label }}
      <em v-if="isMixed">differs</em>
    </legend>
    <label
      v-for="choice in choices"
      :key="choice.value"
      class="tick"
      :class="{ on: chosen.includes(choice.value), mixed: isMixed }"
    >
      <input
        type="checkbox"
        :checked="chosen.includes(choice.value)"
        :indeterminate="isMixed"
        @change="toggle(choice.value, ($event.target as HTMLInputElement).checked)"
      />
      <i aria-hidden="true">
        <svg v-if="isMixed || chosen.includes(choice.value)" viewBox="0 0 24 24" width="12" height="12">
          <path :d="isMixed ? mdiMinusThick : mdiCheckBold" fill="currentColor" />
        </svg>
      </i>
      <span>{{ choice.label }}</span>
    </label>
  </fieldset>
</template>

<style scoped src="./choices.css"></style>
