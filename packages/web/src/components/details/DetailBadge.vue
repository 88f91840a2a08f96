<script setup lang="ts">
import { computed } from 'vue';
import { useEntryLooks } from '../../composables/useEntryLooks.ts';
import { useDropdown } from '../../composables/useDropdown.ts';
import { useSettings } from '../../composables/useSettings.ts';
import { contrast } from '../../theme/contrast.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import LineField from '../common/LineField.vue';
import EntryColour from './EntryColour.vue';

/** A badge beside the label: its text, two colours with their contrast, and where it stands. */
const { common, set, keepTyped } = useSettings();
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
  keepTyped('badge', (text) => (text.trim() === '' ? null : { ...badge.value, text })),
);
const { usual } = useDropdown();
const position = computed({
  get: () => badge.value?.position ?? usual.value.badgeAt ?? 'after',
  set(at) {
    if (badge.value === null) return;
    const { position: _, ...rest } = badge.value;
    set({ badge: at === null || at === usual.value.badgeAt ? rest : { ...rest, position: at } });
  },
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
