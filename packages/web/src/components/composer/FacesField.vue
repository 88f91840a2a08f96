<script setup lang="ts">
import { computed } from 'vue';
import type { DeviceClass, Faces } from '@zorvik/core';
import DeviceSelects from '../common/DeviceSelects.vue';

/** Icon, text or both, on each device class. */
const props = defineProps<{ label: string; faces: Faces }>();
const emit = defineEmits<{ set: [faces: Faces | null] }>();
const choices = [
  { value: 'both' as const, label: 'icon and text' },
  { value: 'icon' as const, label: 'icon' },
  { value: 'text' as const, label: 'text' },
];
type Face = (typeof choices)[number]['value'];
const values = computed((): Record<DeviceClass, Face> => ({
  narrow: 'both',
  medium: 'both',
  wide: 'both',
  ...props.faces,
}));

function choose(device: DeviceClass, value: Face): void {
  const { [device]: _, ...others } = props.faces;
  const next: Faces = value === 'both' ? others : { ...others, [device]: value };
  emit('set', Object.keys(next).length === 0 ? null : next);
}
</script>

<template>
  <DeviceSelects :label="label" :values="values" :choices="choices" @choose="choose" />
</template>
