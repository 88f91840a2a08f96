<script setup lang="ts">
import type { Activation, DeviceClass, MenuUsual } from '@zorvik/core';
import { activationWords } from '../../composables/settingWords.ts';

/** What a click does on items with a link and a submenu, by device class; null: items differ. */
type Activations = NonNullable<MenuUsual['activation']>;
const props = defineProps<{
  value: Activations | null;
  /** What the menu says, where nothing is said here; not there: this is the menu’s own setting. */
  usual?: Activations | undefined;
}>();
const emit = defineEmits<{ change: [value: Activations] }>();
const devices = ['wide', 'medium', 'narrow'] as const;
const shown = (device: DeviceClass): Activation | '' =>
  props.value === null ? '' : (props.value[device] ?? props.usual?.[device] ?? 'split');
function set(device: DeviceClass, what: Activation): void {
  const { [device]: _, ...rest } = props.value ?? {};
  // What is as usual needs not be kept.
  const isUsual = what === (props.usual?.[device] ?? 'split');
  emit('change', isUsual ? rest : { ...rest, [device]: what });
}
</script>

<template>
  <fieldset class="clicks">
    <legend class="caption">When clicked (items with a link and a submenu)</legend>
    <label v-for="device in devices" :key="device">
      <span>{{ device }}</span>
      <select
        class="plain-field"
        :value="shown(device)"
        @change="set(device, ($event.target as HTMLSelectElement).value as Activation)"
      >
        <option v-if="value === null" value="" disabled>differs</option>
        <option v-for="(words, what) in activationWords" :key="what" :value="what">{{ words }}</option>
      </select>
    </label>
  </fieldset>
</template>

<style scoped>
.clicks {
  display: grid;
  gap: 4px;
  min-width: 0;
  margin: 0;
  padding: 0;
  border: 0;
}
.caption {
  padding: 0;
}
label {
  display: flex;
  align-items: center;
  gap: 8px;
}
label span {
  width: 56px;
  color: var(--mute);
  font-size: 0.75rem;
}
select {
  min-width: 0;
  max-width: 100%;
}
</style>
