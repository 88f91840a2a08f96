<script setup lang="ts">
import { computed } from 'vue';
import { dropdownForms, LEAST_WIDTH, MOST_COLUMNS, MOST_OFFSET, MOST_WIDTH } from '@zorvik/core';
import { dropdownWords, openingWords } from '../../composables/settingWords.ts';
import { useDropdown } from '../../composables/useDropdown.ts';
import { useSettings } from '../../composables/useSettings.ts';
import { useComposer } from '../../stores/composer.ts';
import { useSelection } from '../../stores/selection.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import LineField from '../common/LineField.vue';
import ExtentChoice from './ExtentChoice.vue';
import ListSettings from './ListSettings.vue';
import WhenClicked from './WhenClicked.vue';
import { px } from './px.ts';

/**
 * The dropdown of an item in a bar: its type, width, alignment, what opens it, and its form on other screens.
 */
defineProps<{ /** It is shown where the panel is composed. */ isComposed?: boolean }>();
const { form, usual, opens, panel, change, columns, isMadeOfRows } = useDropdown();
const { common, set } = useSettings();
const composer = useComposer();
const selection = useSelection();
const forms = dropdownForms.map((value) => ({ value, ...dropdownWords[value] }));
const openings = (['rest', 'atOnce', 'press'] as const).map((value) => ({
  value,
  label: openingWords[value],
}));
const counts = Array.from({ length: MOST_COLUMNS }, (_, at) => ({ value: at + 1, label: String(at + 1) }));
const count = computed(() => panel.value.columns ?? columns.value?.sizes.length ?? null);
const isSpanning = computed(() => ['bar', 'container', 'page'].includes(String(panel.value.extent ?? 'bar')));
const lines = computed(() => {
  const heights = columns.value?.heights.map((height) => Math.round(height)) ?? [];
  const [last, ...rest] = heights.toReversed();
  if (last === undefined) return '';
  return `Rows per column: ${[...rest.toReversed(), last].join(', ')}`;
});
</script>

<template>
  <section class="drops" aria-label="Dropdown settings">
    <ChoiceRow
      v-if="!isComposed"
      :model-value="form"
      label="Dropdown type"
      :choices="forms"
      @update:model-value="$event !== null && change({ form: $event })"
    />
    <template v-if="form === 'panel'">
      <button
        v-if="!isComposed && selection.chosen.length === 1"
        type="button"
        class="compose"
        title="Compose the panel (C)"
        @click="selection.item !== null && composer.open(selection.item.id)"
      >
        Compose panel …
        <span>
          {{ isMadeOfRows ? 'edit its rows and parts' : 'add pictures, text, buttons, rows and cells' }}
        </span>
      </button>
      <div v-if="!isMadeOfRows">
        <ChoiceRow
          :model-value="count"
          label="Columns"
          :choices="counts"
          @update:model-value="change({ panel: { columns: $event } })"
        />
        <p class="mute lines" role="status">{{ lines }}</p>
      </div>
      <ExtentChoice
        :model-value="panel.extent ?? 'bar'"
        @update:model-value="change({ panel: { extent: $event } })"
      />
      <ChoiceRow
        v-if="!isSpanning"
        :model-value="panel.align ?? 'item'"
        label="Align"
        :choices="[
          { value: 'item', label: 'item' },
          { value: 'start', label: 'start' },
          { value: 'centre', label: 'centre' },
          { value: 'end', label: 'end' },
        ]"
        @update:model-value="$event !== null && change({ panel: { align: $event } })"
      />
      <LineField
        v-else
        class="px"
        label="Max. content width (px)"
        :value="String(panel.innerWidth ?? '')"
        placeholder="no limit"
        :keep="px('width', LEAST_WIDTH, MOST_WIDTH, (value) => change({ panel: { innerWidth: value } }))"
      />
      <LineField
        class="px"
        label="Gap (px)"
        :value="String(panel.gap ?? '')"
        placeholder="0"
        :keep="px('gap', 0, 64, (value) => change({ panel: { gap: value } }))"
      />
      <LineField
        v-if="isComposed && !isSpanning"
        class="px"
        label="Offset (px)"
        :value="String(panel.offset ?? '')"
        placeholder="0"
        :keep="
          px('offset', -MOST_OFFSET, MOST_OFFSET, (value) =>
            change({ panel: { offset: value === 0 ? null : value } }),
          )
        "
      />
      <ChoiceRow
        :model-value="panel.narrow ?? 'stacked'"
        label="On narrow screens"
        :choices="[
          { value: 'stacked', label: 'stacked', hint: 'Cells one below the other' },
          { value: 'list', label: 'list', hint: 'Links only' },
          ...(isMadeOfRows
            ? [{ value: 'own' as const, label: 'own rows', hint: 'Separate content for narrow screens' }]
            : []),
          { value: 'item', label: 'link only' },
        ]"
        @update:model-value="
          $event !== null && change({ panel: { narrow: $event === 'stacked' ? null : $event } })
        "
      />
      <ChoiceRow
        v-if="isComposed"
        :model-value="panel.medium ?? 'grid'"
        label="On medium screens"
        :choices="[
          { value: 'grid', label: 'same as wide' },
          { value: 'two', label: 'two per row' },
          { value: 'stacked', label: 'stacked' },
          { value: 'list', label: 'list' },
          ...(isMadeOfRows ? [{ value: 'own' as const, label: 'own rows' }] : []),
          { value: 'item', label: 'link only' },
        ]"
        @update:model-value="
          $event !== null && change({ panel: { medium: $event === 'grid' ? null : $event } })
        "
      />
      <ChoiceRow
        v-if="isComposed"
        :model-value="panel.isFetched === true"
        label="Load content"
        :choices="[
          { value: false, label: 'with the page' },
          {
            value: true,
            label: 'when first opened',
            hint: 'Without JavaScript, only the item’s own link is available',
          },
        ]"
        @update:model-value="change({ panel: { isFetched: $event === true ? true : null } })"
      />
    </template>
    <ListSettings v-if="form === 'list'" />
    <ChoiceRow
      :model-value="opens"
      label="Opens on"
      :choices="openings"
      @update:model-value="change({ opens: $event === (usual.opens ?? 'rest') ? null : $event })"
    />
    <WhenClicked
      v-if="!isComposed"
      :value="common('activation').isMixed ? null : (common('activation').value ?? {})"
      :usual="usual.activation ?? {}"
      @change="set({ activation: $event })"
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
  background: var(--accent-fill);
  color: var(--on-fill);
  font-weight: 650;
  cursor: pointer;
}
.compose:hover {
  background: var(--accent-fill-hover);
}
.compose span {
  font-size: 0.75rem;
  font-weight: 400;
}
.px {
  width: 152px;
}
.lines {
  font-size: 0.75rem;
}
</style>
