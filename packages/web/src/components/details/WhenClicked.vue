<script setup lang="ts">
import { computed } from 'vue';
import { deviceClasses, type Activation, type DeviceClass, type MenuUsual } from '@zorvik/core';
import { activationWords } from '../../composables/settingWords.ts';
import DeviceSelects from '../common/DeviceSelects.vue';

/** What a click does on items with a link and a submenu, by device class; null: items differ. */
type Activations = NonNullable<MenuUsual['activation']>;
const props = defineProps<{
  value: Activations | null;
  /** What the menu says, where nothing is said here; not there: this is the menu’s own setting. */
  usual?: Activations | undefined;
}>();
const emit = defineEmits<{ change: [value: Activations] }>();
const choices = (Object.keys(activationWords) as Activation[]).map((value) => ({
  value,
  label: activationWords[value],
}));
const usualOn = (device: DeviceClass): Activation => props.usual?.[device] ?? 'split';
const values = computed(() => {
  const { value } = props;
  if (value === null) return null;
  return Object.fromEntries(
    deviceClasses.map((device) => [device, value[device] ?? usualOn(device)]),
  ) as Record<DeviceClass, Activation>;
});
function set(device: DeviceClass, what: Activation): void {
  const { [device]: _, ...rest } = props.value ?? {};
  // What is as usual needs not be kept.
  emit('change', what === usualOn(device) ? rest : { ...rest, [device]: what });
}
</script>

<template>
  <DeviceSelects
    class="clicks"
    label="When clicked (items with a link and a submenu)"
    :values="values"
    :choices="choices"
    is-stacked
    @choose="set"
  />
</template>
