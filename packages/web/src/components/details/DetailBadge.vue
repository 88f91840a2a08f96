<script setup lang="ts">
import { computed } from 'vue';
import type { Badge } from '@zorvik/core';
import { useEntryLooks } from '../../composables/useEntryLooks.ts';
import { useSettings } from '../../composables/useSettings.ts';
import { contrast } from '../../theme/contrast.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import LineField from '../common/LineField.vue';
import EntryColour from './EntryColour.vue';

/** A badge beside the label: its text, two colours with their contrast, and where it stands. */
const { common, set, keepTyped } = useSettings();
const FIRST: Omit<Badge, 'text'> = { position: 'after' };
const badge = computed(() => common('badge').value);
const looks = useEntryLooks('badge');
const colours = computed(() => ({
  color: looks.colourOf('color'),
  background: looks.colourOf('background'),
}));
const ratio = computed(() => {
  const { color, background } = colours.value;
  return color === null || background === null ? null : contrast(color, background);
});
const keepText = computed(() =>
  keepTyped('badge', (text) => (text.trim() === '' ? null : { ...FIRST, ...badge.value, text })),
);
const position = computed({
  get: () => badge.value?.position ?? 'after',
  set: (at) => void (badge.value !== null && set({ badge: { ...badge.value, position: at ?? 'after' } })),
});
</script>

<template>
  <div class="badge">
    <LineField
      label="Badge"
      :value="badge?.text ?? ''"
      :placeholder="common('badge').isMixed ? 'differs' : 'none'"
      :keep="keepText"
    >
      <template v-if="badge !== null" #after>
        <b :style="{ color: colours.color ?? 'inherit', background: colours.background ?? 'none' }">
          {{ badge.text }}
        </b>
        <span
          v-if="ratio !== null"
          class="number"
          :class="{ low: ratio < 4.5 }"
          :title="ratio < 4.5 ? 'Contrast is too low: 4.5 : 1 is needed' : 'Contrast of text and background'"
        >
          {{ ratio.toFixed(1) }} : 1{{ ratio < 4.5 ? ' ⚠' : '' }}
        </span>
      </template>
    </LineField>
    <div v-if="badge !== null" class="row">
      <EntryColour thing="badge" property="color" label="Badge text colour" />
      <EntryColour thing="badge" property="background" label="Badge background" />
      <ChoiceRow
        v-model="position"
        label="Badge position"
        is-label-hidden
        class="where"
        :choices="[
          { value: 'after', label: 'after' },
          { value: 'before', label: 'before' },
          { value: 'above', label: 'above' },
        ]"
      />
    </div>
  </div>
</template>

<style scoped>
.badge {
  min-width: 0;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 6px;
}
b {
  flex: none;
  max-width: 90px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  padding: 0 8px;
  border-radius: 9px;
  font-size: 0.75rem;
}
.number {
  color: var(--mute);
  font-size: 0.75rem;
  white-space: nowrap;
}
.number.low {
  color: var(--brick);
  font-weight: 600;
}
</style>
