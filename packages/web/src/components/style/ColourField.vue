<script setup lang="ts">
import { computed, ref } from 'vue';
import { colourShown, colourTyped, plainColour } from '@zorvik/core';
import { useFrame } from '../../stores/frame.ts';
import { usePalette } from '../../stores/palette.ts';
import LineField from '../common/LineField.vue';
import ColourPick from './ColourPick.vue';

/** A colour: its swatch opens the colours of the site; its name or its digits can be typed. */
const props = defineProps<{
  label: string;
  isLabelHidden?: boolean;
  /** As it is kept. */
  value: string;
  /** Only a colour itself, not the name of one. */
  isPlain?: boolean;
  against?: string | null;
  /** Where the list opens: above the strip, below a row. */
  location?: 'top start' | 'bottom start';
  keep: (value: string) => string | null;
}>();
const palette = usePalette();
const frame = useFrame();
const isOpen = ref(false);
const css = computed(() => plainColour(palette.all, props.value, frame.scheme));
const shown = computed(() => (props.isPlain ? props.value : colourShown(palette.all, props.value)));

function typed(text: string, isFinal: boolean): string | null {
  if (!isFinal || text.trim() === shown.value) return null;
  return props.keep(props.isPlain ? text : colourTyped(palette.all, text));
}
</script>

<template>
  <LineField :label="label" :is-label-hidden="isLabelHidden" :value="shown" :keep="typed">
    <template #before>
      <v-menu v-model="isOpen" :close-on-content-click="false" :location="location ?? 'top start'">
        <template #activator="{ props: activator }">
          <button
            type="button"
            class="swatch"
            v-bind="activator"
            :aria-label="`Choose ${label}`"
            :class="{ none: css === '#00000000', unknown: css === null }"
          >
            <i :style="{ background: css ?? 'none' }" />
          </button>
        </template>
        <ColourPick
          :model-value="value"
          :is-plain="isPlain"
          :against="against ?? null"
          @update:model-value="keep($event)"
        />
      </v-menu>
    </template>
  </LineField>
</template>

<style scoped>
.swatch {
  flex: none;
  inline-size: 24px;
  block-size: 24px;
  margin-inline-start: -5px;
  padding: 0;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  overflow: hidden;
  background: repeating-conic-gradient(#ccc 0 25%, #fff 0 50%) 0 0 / 8px 8px;
  cursor: pointer;
}
.swatch i {
  display: block;
  block-size: 100%;
}
.swatch.unknown {
  border-style: dashed;
  background: none;
}
.swatch.none {
  background: linear-gradient(135deg, #fff 46%, var(--brick) 46% 54%, #fff 54%);
}
</style>
