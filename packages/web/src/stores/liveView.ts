import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import type { DeviceClass } from '@zorvik/core';
import { useWorkingCopy } from './workingCopy.ts';

export const NARROWEST = 320;
export const WIDEST = 1920;

/** The width at which the live header is shown, in CSS px, and the device class that it falls in; the same in every workspace. */
export const useLiveView = defineStore('liveView', () => {
  const copy = useWorkingCopy();
  const width = ref(1252);
  const breakpoints = computed(() => copy.document?.site.breakpoints ?? { medium: 768, wide: 1024 });
  const deviceClass = computed<DeviceClass>(() => classAt(width.value));

  function classAt(px: number): DeviceClass {
    const { medium, wide } = breakpoints.value;
    return px < medium ? 'narrow' : px < wide ? 'medium' : 'wide';
  }

  /** A width that stands for a device class: a phone, a tablet held upright, a small desktop. */
  function showClass(wanted: DeviceClass): void {
    const typical: Record<DeviceClass, number> = { narrow: 390, medium: 820, wide: 1252 };
    const { medium, wide } = breakpoints.value;
    const within: Record<DeviceClass, number> = { narrow: medium - 1, medium: wide - 1, wide: WIDEST };
    width.value = Math.min(typical[wanted], within[wanted]);
  }

  return { width, breakpoints, deviceClass, classAt, showClass };
});
