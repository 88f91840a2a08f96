<script setup lang="ts">
import { computed } from 'vue';
import type { Badge } from '@zorvik/core';
import type { EntryLooks } from '../../composables/useEntryLooks.ts';
import { contrast } from '../../theme/contrast.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import LineField from '../common/LineField.vue';
import EntryColour from './EntryColour.vue';

type Position = NonNullable<Badge['position']>;
/** A badge beside a label: its text, two colours with their contrast, and where it stands. */
const props = defineProps<{
  badge: Badge | null;
  /** What is chosen has different badges, or some has none. */
  isMixed?: boolean;
  /** Where it stands when it does not say so itself. */
  usualPosition: Position | undefined;
  /** Keeps what is typed; gives what is wrong with it, or null. */
  keep: (text: string, isFinal: boolean) => string | null;
  looks: EntryLooks;
}>();
const emit = defineEmits<{ set: [badge: Badge] }>();
const colours = computed(() => ({
  color: props.looks.colourOf('color'),
  background: props.looks.colourOf('background'),
}));
const ratio = computed(() => {
  const { color, background } = colours.value;
  return color === null || background === null ? null : contrast(color, background);
});
const position = computed({
  get: () => props.badge?.position ?? props.usualPosition ?? 'after',
  set(at) {
    if (props.badge === null) return;
    const { position: _, ...rest } = props.badge;
    emit('set', at === null || at === props.usualPosition ? rest : { ...rest, position: at });
  },
});
</script>

<template>
  <div class="badge">
    <LineField
      label="Badge"
      :value="badge?.text ?? ''"
      :placeholder="isMixed ? 'differs' : 'none'"
      :keep="keep"
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
      <EntryColour :looks="looks" property="color" label="Badge text colour" />
      <EntryColour :looks="looks" property="background" label="Badge background" />
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
