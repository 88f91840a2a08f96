<script setup lang="ts">
import { computed } from 'vue';
import { exceptionsOf, pagesOf, type Id, type Part, type PartOf } from '@zorvik/core';
import { useFraming } from '../../composables/useFraming.ts';
import { useFrame } from '../../stores/frame.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ExceptionList, { type ExceptionRow } from './ExceptionList.vue';

/** Where the part is shown and, for a menu's place, which menu: for all pages, and the exceptions from that. */
const props = defineProps<{ part: Part }>();
const copy = useWorkingCopy();
const frame = useFrame();
const framing = useFraming();
const selection = useSelection();

const isPlacement = computed(() => props.part.kind === 'placement');
const exceptions = computed(() => (copy.document === null ? [] : exceptionsOf(copy.document, props.part.id)));
const deciding = computed(() => frame.deciding(props.part.id));
const HIDDEN = 'hidden';
const NONE = 'none';

interface Choice {
  readonly value: string;
  readonly label: string;
}
const choices = computed((): readonly Choice[] =>
  isPlacement.value
    ? [
        ...selection.menus.map(({ id, name }) => ({ value: id, label: name })),
        { value: NONE, label: 'No menu' },
        { value: HIDDEN, label: 'Hidden' },
      ]
    : [
        { value: 'shown', label: 'Shown' },
        { value: HIDDEN, label: 'Hidden' },
      ],
);
const valueOf = (isShown: boolean, shows: Id | undefined): string =>
  !isShown
    ? HIDDEN
    : !isPlacement.value
      ? 'shown'
      : shows === undefined || !choices.value.some(({ value }) => value === shows)
        ? NONE
        : shows;
const usual = computed(() => valueOf(props.part.isHidden !== true, props.part.shows));
const ofException = (one: PartOf<'exception'>): string => valueOf(one.isShown, one.shows);
/** What holds where changes apply now. */
const here = computed(() =>
  frame.scopeOn === null ? usual.value : deciding.value === null ? usual.value : ofException(deciding.value),
);
const where = computed(() =>
  copy.document === null || frame.scopeOn === null ? 'all pages' : pagesOf(copy.document, frame.scopeOn),
);

function set(value: string): void {
  if (value === HIDDEN) return framing.setShown(props.part, false);
  if (!isPlacement.value) return framing.setShown(props.part, true);
  // Who says which menu wants to see it.
  if (frame.scopeOn === null && props.part.isHidden === true) framing.setShown(props.part, true);
  framing.setMenu(props.part, value === NONE ? null : value);
}
const labelOf = (value: string): string => choices.value.find((one) => one.value === value)?.label ?? '';
const rows = computed((): ExceptionRow[] =>
  exceptions.value.map((one) => ({
    id: one.id,
    pages: copy.document === null ? '' : pagesOf(copy.document, one),
    says: labelOf(ofException(one)),
    isDeciding: one.id === deciding.value?.id,
  })),
);
</script>

<template>
  <div class="shown">
    <label class="field">
      <span>{{ isPlacement ? 'Menu' : 'Visibility' }} on {{ where }}</span>
      <select class="plain-field" :value="here" @change="set(($event.target as HTMLSelectElement).value)">
        <option v-for="one in choices" :key="one.value" :value="one.value">{{ one.label }}</option>
      </select>
    </label>
    <ExceptionList label="Where this is different" :rows="rows">
      <li v-if="frame.scopeOn !== null">
        <span class="mute">all pages</span>
        {{ labelOf(usual) }}
      </li>
    </ExceptionList>
  </div>
</template>

<style scoped>
.shown {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 24px;
  align-items: start;
}
.field {
  display: grid;
  gap: 3px;
}
.field span {
  color: var(--mute);
  font-size: 0.75rem;
}
select {
  min-width: 180px;
}
</style>
