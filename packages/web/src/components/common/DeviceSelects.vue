<script setup lang="ts" generic="T extends string">
import { deviceClasses, type DeviceClass } from '@zorvik/core';

/** One of several values for each device class. */
defineProps<{
  label: string;
  /** Null: what is chosen differs. */
  values: Readonly<Record<DeviceClass, T>> | null;
  choices: readonly { readonly value: T; readonly label: string }[];
  /** One below the other, where choices are long. */
  isStacked?: boolean;
}>();
const emit = defineEmits<{ choose: [device: DeviceClass, value: T] }>();
const chosen = (event: Event): T => (event.target as HTMLSelectElement).value as T;
</script>

<template>
  <fieldset :class="{ stacked: isStacked }">
    <legend>{{ label }}</legend>
    <label v-for="device in deviceClasses" :key="device">
      <span>{{ device }}</span>
      <select
        class="plain-field"
        :value="values?.[device] ?? ''"
        @change="emit('choose', device, chosen($event))"
      >
        <option v-if="values === null" value="" disabled>differs</option>
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
  min-width: 0;
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
.stacked {
  flex-flow: column nowrap;
  gap: 4px;
}
.stacked label {
  gap: 10px;
}
.stacked span {
  width: var(--device-name-width, 56px);
  color: var(--mute);
}
select {
  min-width: 0;
  max-width: 100%;
}
</style>
