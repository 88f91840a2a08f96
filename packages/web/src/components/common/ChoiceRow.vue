<script setup lang="ts" generic="T extends string | number | boolean">
/** A few choices of which one holds, as chips in a row: radio buttons to keys and screen readers. */
defineProps<{ label: string; choices: readonly { readonly value: T; readonly label: string; readonly hint?: string }[] }>();
const chosen = defineModel<T>({ required: true });
const name = `choice-${Math.floor(performance.now() * 1000)}`;
</script>

<template>
  <fieldset class="choices">
    <legend>{{ label }}</legend>
    <label v-for="choice in choices" :key="String(choice.value)" class="chip" :class="{ on: choice.value === chosen }" :title="choice.hint">
      <input v-model="chosen" type="radio" :name="name" :value="choice.value" />
      <span>{{ choice.label }}</span>
    </label>
  </fieldset>
</template>

<style scoped>
.choices {
  border: 0;
  margin: 0;
  padding: 0;
  min-width: 0;
}
legend {
  color: var(--mute);
  font-size: 12px;
  padding: 0;
  margin-bottom: 3px;
}
.chip {
  position: relative;
  display: inline-flex;
  align-items: center;
  min-height: 26px;
  padding: 0 11px;
  margin: 0 4px 4px 0;
  border: 1px solid var(--line);
  border-radius: 13px;
  background: var(--white);
  cursor: pointer;
}
.chip:hover {
  border-color: var(--line-strong);
}
.chip.on {
  background: var(--ink);
  border-color: var(--ink);
  color: var(--white);
}
.chip:focus-within {
  outline: 2px solid var(--ink);
  outline-offset: 2px;
}
.chip input {
  position: absolute;
  inset: 0;
  margin: 0;
  opacity: 0;
  cursor: pointer;
}
</style>
