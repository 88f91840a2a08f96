<script setup lang="ts">
import { mdiChevronDown, mdiChevronUp } from '@mdi/js';
import { computed, defineAsyncComponent, watch } from 'vue';
import { ancestors, counted, labelOf, menuOf, type Item } from '@zorvik/core';
import { useDropdown } from '../../composables/useDropdown.ts';
import { useDetails, type DetailView } from '../../stores/details.ts';
import { useLiveView } from '../../stores/liveView.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import DetailItem from './DetailItem.vue';
import DetailMore from './DetailMore.vue';
import MenuSummary from './MenuSummary.vue';

const DetailColumn = defineAsyncComponent(() => import('./DetailColumn.vue'));
const DetailDropdown = defineAsyncComponent(() => import('./DetailDropdown.vue'));

/**
 * Details of what is selected, along the bottom, so that the work lies wide like the bar itself. The band is
 * always equally high: selecting something, or opening other settings, moves nothing above it.
 */
const copy = useWorkingCopy();
const selection = useSelection();
const details = useDetails();
const live = useLiveView();
const { isTop, group } = useDropdown();

const item = computed(() => selection.item);
const count = computed(() => selection.chosen.length);
/** Only items of a bar have dropdowns. */
const hasDropdown = computed(() => isTop.value && (live.place === 'bar' || live.place === 'secondBar'));
const view = computed({
  get: (): DetailView =>
    details.view === 'drops' && !hasDropdown.value && group.value === null ? 'item' : details.view,
  set: (next: DetailView | null) => (details.view = next ?? 'item'),
});
const views = computed(() => [
  { value: 'item' as const, label: 'Item' },
  { value: 'more' as const, label: 'More', hint: 'More settings (M)' },
  ...(hasDropdown.value || group.value !== null
    ? [{ value: 'drops' as const, label: hasDropdown.value ? 'Dropdown' : 'Column' }]
    : []),
]);
// Whoever sets up a dropdown sees it.
watch(
  () => view.value === 'drops',
  (isSetUp) => isSetUp && (live.isDropdownShown = true),
);

const title = computed(() => {
  if (count.value > 1) return counted(count.value, '# item', '# items');
  return copy.document === null || item.value === null ? '' : labelOf(copy.document, item.value);
});
const path = computed(() => {
  const { document } = copy;
  if (document === null || item.value === null) return '';
  if (count.value > 1) return `Changes apply to all ${count.value}.`;
  const parentOf = ({ parent }: Item): Item | undefined => document.items.nodes.get(parent);
  const names = [...ancestors(item.value, parentOf)].map((one) => labelOf(document, one)).reverse();
  return [menuOf(document, item.value.id).name, ...names].join(' / ');
});
</script>

<template>
  <section
    class="strip"
    :class="{ open: details.isSheetOpen }"
    aria-label="Details of the selected item"
    data-keeps-dropdown
  >
    <MenuSummary v-if="item === null" />
    <template v-else>
      <div class="who">
        <div class="names">
          <h2 :title="title">{{ title }}</h2>
          <p class="mute path" :title="path">{{ path }}</p>
        </div>
        <ChoiceRow v-model="view" class="views" label="Settings" is-label-hidden :choices="views" />
        <button
          type="button"
          class="plain-button sheet"
          :aria-expanded="details.isSheetOpen"
          @click="details.isSheetOpen = !details.isSheetOpen"
        >
          {{ details.isSheetOpen ? 'Close' : 'Details' }}
          <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
            <path :d="details.isSheetOpen ? mdiChevronDown : mdiChevronUp" fill="currentColor" />
          </svg>
        </button>
      </div>
      <div class="facts" @change.capture="view === 'drops' && (live.isDropdownShown = true)">
        <DetailItem v-if="view === 'item'" :key="item.id" :item="item" />
        <DetailMore v-else-if="view === 'more'" />
        <DetailDropdown v-else-if="hasDropdown" />
        <DetailColumn v-else />
      </div>
    </template>
  </section>
</template>

<style scoped src="./strip.css"></style>
