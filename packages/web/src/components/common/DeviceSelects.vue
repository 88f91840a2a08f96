<script setup lang="ts" generic="T extends string">
import { deviceClasses, type DeviceClass } from '@zorvik/core';

/** One of several values for each device class. */
defineProps<{
  label: string;
  values: Readonly<Record<DeviceClass, T>>;
  choices: readonly { readonly value: T; readonly label: string }[];
}>();
const emit = defineEmits<{ choose: [device: DeviceClass, value: T] }>();
const chosen = (event: Event): T => (event.target as HTMLSelectElement).value as T;
</script>

<template>
  <fieldset>
    <legend>{{ label }}</legend>
    <label v-for="device in deviceClasses" :key="device">
      <span>{{ device }}</span>
      <select class="plain-field" :value="values[device]" @change="emit('choose', device, chosen($event))">
        <option v-for="one in choices" :key="one.value" :value="one.value">{{ one.label }}</option>
      </select>
    </label>
  </fieldset>
</template>

<style scoped>
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  margin: 0;
  padding: 0;
  border: 0;
}
legend {
  padding: 0;
  color: var(--mute);
  font-size: 0.75rem;
}
label {
  display: flex;
  align-items: center;
  gap: 5px;
  font-size: 0.75rem;
}
</style>
