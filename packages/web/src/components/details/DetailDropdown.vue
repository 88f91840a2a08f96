<script setup lang="ts">
import { computed } from 'vue';
import { dropdownForms, LEAST_WIDTH, MOST_COLUMNS, MOST_OFFSET, MOST_WIDTH, type DropdownForm } from '@zorvik/core';
import { useDropdown } from '../../composables/useDropdown.ts';
import { useComposer } from '../../stores/composer.ts';
import { useSelection } from '../../stores/selection.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import LineField from '../common/LineField.vue';
import ExtentChoice from './ExtentChoice.vue';

/** What drops from an item of a bar: a list, flyouts, a row across it, or a panel of balanced columns; and how far, when, and as what on narrow screens. */
defineProps<{ /** It is shown where the panel is composed. */ isComposed?: boolean }>();
const { form, panel, list, dropdown, change, columns, isMadeOfRows } = useDropdown();
const composer = useComposer();
const selection = useSelection();
const formWords: Readonly<Record<DropdownForm, { label: string; hint: string }>> = {
  list: { label: 'list', hint: 'Levels open inside it' },
  flyouts: { label: 'flyouts', hint: 'Each level opens beside the one above' },
  row: { label: 'row', hint: 'Links side by side across the bar' },
  panel: { label: 'panel', hint: 'Groups in columns' },
};
const forms = dropdownForms.map((value) => ({ value, ...formWords[value] }));
const counts = Array.from({ length: MOST_COLUMNS }, (_, at) => ({ value: at + 1, label: String(at + 1) }));
const count = computed(() => panel.value.columns ?? columns.value?.sizes.length ?? null);
const isSpanning = computed(() => ['bar', 'container', 'page'].includes(String(panel.value.extent ?? 'bar')));
const lines = computed(() => {
  const heights = columns.value?.heights.map((height) => Math.round(height)) ?? [];
  const [last, ...rest] = heights.toReversed();
  if (last === undefined) return '';
  return rest.length === 0 ? `${last} lines high` : `${rest.toReversed().join(', ')} and ${last} lines high`;
});

/** A number of px that may be left out. */
function px(name: string, least: number, most: number, keep: (value: number | null) => string | null) {
  return (typed: string): string | null => {
    const text = typed.trim();
    if (text === '') return keep(null);
    const value = Number(text);
    return /^-?\d+$/.test(text) && value >= least && value <= most
      ? keep(value)
      : `${name} is a whole number of px from ${least} to ${most}; “${text}” is none.`;
  };
}
</script>

<template>
  <section class="drops" aria-label="What drops from it">
    <ChoiceRow v-if="!isComposed" :model-value="form" label="Drops as" :choices="forms" @update:model-value="$event !== null && change({ form: $event })" />
    <template v-if="form === 'panel'">
      <button
        v-if="!isComposed && selection.chosen.length === 1"
        type="button"
        class="compose"
        title="Compose the panel (C)"
        @click="selection.item !== null && composer.open(selection.item.id)"
      >
        Compose it …
        <span>{{ isMadeOfRows ? 'rows and parts of its own' : 'pictures, text, buttons, rows and cells' }}</span>
      </button>
      <div v-if="!isMadeOfRows">
        <ChoiceRow :model-value="count" label="Columns from what stands below" :choices="counts" @update:model-value="change({ panel: { columns: $event } })" />
        <p class="mute lines" role="status">{{ lines }}</p>
      </div>
      <ExtentChoice :model-value="panel.extent ?? 'bar'" @update:model-value="change({ panel: { extent: $event } })" />
      <ChoiceRow
        v-if="!isSpanning"
        :model-value="panel.align ?? 'item'"
        label="In line with"
        :choices="[
          { value: 'item', label: 'the item' },
          { value: 'start', label: 'bar’s beginning' },
          { value: 'centre', label: 'centre' },
          { value: 'end', label: 'end' },
        ]"
        @update:model-value="$event !== null && change({ panel: { align: $event } })"
      />
      <LineField
        v-else
        class="px"
        label="Content held to px"
        :value="String(panel.innerWidth ?? '')"
        placeholder="as wide as it"
        :keep="px('The width', LEAST_WIDTH, MOST_WIDTH, (value) => change({ panel: { innerWidth: value } }))"
      />
      <LineField
        class="px"
        label="Gap to the bar, px"
        :value="String(panel.gap ?? '')"
        placeholder="0"
        :keep="px('The gap', 0, 64, (value) => change({ panel: { gap: value } }))"
      />
      <LineField
        v-if="isComposed && !isSpanning"
        class="px"
        label="Put on by, px"
        :value="String(panel.offset ?? '')"
        placeholder="0"
        :keep="px('How far it is put on', -MOST_OFFSET, MOST_OFFSET, (value) => change({ panel: { offset: value === 0 ? null : value } }))"
      />
      <ChoiceRow
        :model-value="panel.narrow ?? 'stacked'"
        label="On narrow screens"
        :choices="[
          { value: 'stacked', label: 'stacked', hint: 'One below the other' },
          { value: 'list', label: 'one list', hint: 'Its links alone' },
          ...(isMadeOfRows ? [{ value: 'own' as const, label: 'rows of its own', hint: 'Other content, made for them' }] : []),
          { value: 'item', label: 'only the item' },
        ]"
        @update:model-value="$event !== null && change({ panel: { narrow: $event === 'stacked' ? null : $event } })"
      />
      <ChoiceRow
        v-if="isComposed"
        :model-value="panel.medium ?? 'grid'"
        label="On medium ones"
        :choices="[
          { value: 'grid', label: 'as on wide' },
          { value: 'two', label: 'two a row' },
          { value: 'stacked', label: 'stacked' },
          { value: 'list', label: 'one list' },
          ...(isMadeOfRows ? [{ value: 'own' as const, label: 'rows of its own' }] : []),
          { value: 'item', label: 'only the item' },
        ]"
        @update:model-value="$event !== null && change({ panel: { medium: $event === 'grid' ? null : $event } })"
      />
      <ChoiceRow
        v-if="isComposed"
        :model-value="panel.isFetched === true"
        label="Its content comes"
        :choices="[
          { value: false, label: 'with the page' },
          { value: true, label: 'on first opening', hint: 'Without a script, the item’s own link is what is left' },
        ]"
        @update:model-value="change({ panel: { isFetched: $event === true ? true : null } })"
      />
    </template>
    <template v-if="form === 'list'">
      <LineField
        class="px"
        label="Width, px"
        :value="String(list.width ?? '')"
        placeholder="as its content"
        :keep="px('The width', LEAST_WIDTH, MOST_WIDTH, (value) => change({ list: { width: value } }))"
      />
      <ChoiceRow
        :model-value="list.align ?? 'start'"
        label="Its edge"
        :choices="[
          { value: 'start', label: 'at the beginning' },
          { value: 'centre', label: 'centred' },
          { value: 'end', label: 'at the end' },
        ]"
        @update:model-value="change({ list: { align: $event === 'start' ? null : $event } })"
      />
      <ChoiceRow
        :model-value="list.columns ?? 1"
        label="Columns"
        :choices="[1, 2, 3, 4].map((value) => ({ value, label: String(value) }))"
        @update:model-value="change({ list: { columns: $event === 1 ? null : $event } })"
      />
    </template>
    <ChoiceRow
      :model-value="dropdown?.opens ?? 'rest'"
      label="Opens"
      :choices="[
        { value: 'rest', label: 'when the pointer rests' },
        { value: 'atOnce', label: 'at once' },
        { value: 'press', label: 'when pressed' },
      ]"
      @update:model-value="change({ opens: $event === 'rest' ? null : $event })"
    />
    <slot />
  </section>
</template>

<style scoped>
.drops {
  display: flex;
  flex-wrap: wrap;
  align-items: start;
  gap: 8px 22px;
}
.compose {
  display: grid;
  justify-items: start;
  padding: 7px 14px;
  border: 0;
  border-radius: var(--radius);
  background: var(--persimmon);
  color: var(--white);
  font-weight: 650;
  cursor: pointer;
}
.compose:hover {
  background: #9c3614;
}
.compose span {
  font-size: 12px;
  font-weight: 400;
}
.px {
  width: 122px;
}
.lines {
  font-size: 12px;
}
</style>
