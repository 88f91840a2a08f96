<script setup lang="ts" generic="T extends string">
/** A few choices of which any number may hold, as chips in a row: tick boxes to keys and screen readers. */
defineProps<{ label: string; choices: readonly { readonly value: T; readonly label: string }[]; isMixed?: boolean }>();
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
    <label v-for="choice in choices" :key="choice.value" class="chip" :class="{ on: chosen.includes(choice.value), mixed: isMixed }">
      <input
        type="checkbox"
        :checked="chosen.includes(choice.value)"
        :indeterminate="isMixed"
        @change="toggle(choice.value, ($event.target as HTMLInputElement).checked)"
      />
      <span>{{ choice.label }}</span>
    </label>
  </fieldset>
</template>

<style scoped src="./chips.css"></style>
