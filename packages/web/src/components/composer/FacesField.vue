<script setup lang="ts">
import { deviceClasses, type DeviceClass, type Faces } from '@zorvik/core';

/** Icon, text or both, on each device class. */
const props = defineProps<{ label: string; faces: Faces }>();
const emit = defineEmits<{ set: [faces: Faces | null] }>();

function choose(device: DeviceClass, event: Event): void {
  const { value } = event.target as HTMLSelectElement;
  const { [device]: _, ...others } = props.faces;
  const next: Faces = value === 'both' ? others : { ...others, [device]: value };
  emit('set', Object.keys(next).length === 0 ? null : next);
}
</script>

<template>
  <fieldset>
    <legend>{{ label }}</legend>
    <label v-for="device in deviceClasses" :key="device">
      <span>{{ device }}</span>
      <select class="plain-field" :value="faces[device] ?? 'both'" @change="choose(device, $event)">
        <option value="both">icon and text</option>
        <option value="icon">icon</option>
        <option value="text">text</option>
      </select>
    </label>
  </fieldset>
</template>

<style scoped>
fieldset {
  display: flex;
  gap: 8px;
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
