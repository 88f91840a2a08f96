<script setup lang="ts">
import { computed, ref, type Ref, type WritableComputedRef } from 'vue';
import { storeToRefs } from 'pinia';
import type { DeviceClass, HeaderSituation, Scheme } from '@zorvik/core';
import { useReadability } from '../../stores/readability.ts';
import { rowKinds, situationWords, useStyling, type RowKind } from '../../stores/styling.ts';
import ChoiceRow from '../common/ChoiceRow.vue';

/** For where a value is set: everywhere like this, here, or for one thing alone; on all screens or one device class. */
const styling = useStyling();
const readability = useReadability();
const isMore = ref(false);
const scopes = computed(() =>
  styling.offers
    .filter(({ owner, isFar }) => !isFar || isMore.value || owner === styling.owner)
    .map(({ owner, label }) => ({ value: owner, label })),
);
const hasMore = computed(
  () => styling.offers.some(({ isFar }) => isFar) || readability.situations.length > 0,
);
const chosen = storeToRefs(styling);
/** One of some, or a word for all of them, for which the store has null. */
function orAll<T extends string, W extends string>(
  one: Ref<T | null>,
  all: W,
): WritableComputedRef<T | W, T | W | null> {
  return computed({
    get: () => one.value ?? all,
    set: (next) => (one.value = next === all ? null : (next as T | null)),
  });
}
const devices: readonly { readonly value: DeviceClass | 'all'; readonly label: string }[] = [
  { value: 'all', label: 'all screens' },
  { value: 'wide', label: 'wide' },
  { value: 'medium', label: 'medium' },
  { value: 'narrow', label: 'narrow' },
];
const device = orAll(chosen.device, 'all');
const schemes: readonly { readonly value: Scheme | 'both'; readonly label: string }[] = [
  { value: 'both', label: 'light and dark' },
  { value: 'light', label: 'light' },
  { value: 'dark', label: 'dark' },
];
const scheme = orAll(chosen.scheme, 'both');
const situations = computed((): { value: HeaderSituation | 'all'; label: string }[] => [
  { value: 'all', label: 'always' },
  ...readability.situations.map((value) => ({ value, label: situationWords[value] })),
]);
const situation = orAll(chosen.situation, 'all');
const kindWords: Readonly<Record<RowKind, string>> = {
  links: 'text and links',
  surfaces: 'surfaces',
  spacing: 'spacing',
};
const kinds = rowKinds.map((value) => ({ value, label: kindWords[value] }));
const kind = computed({
  get: () => styling.rowKind,
  set: (next: RowKind | null) => (styling.rowKind = next ?? 'links'),
});
</script>

<template>
  <div class="scope">
    <span class="name" aria-hidden="true">Applies to</span>
    <ChoiceRow v-model="styling.owner" label="Applies to" is-label-hidden :choices="scopes" />
    <button
      v-if="hasMore"
      type="button"
      class="plain-button"
      :aria-pressed="isMore"
      @click="isMore = !isMore"
    >
      {{ isMore ? 'Fewer' : 'More' }}
    </button>
    <span class="mute" aria-hidden="true">on</span>
    <ChoiceRow v-model="device" label="Device class" is-label-hidden :choices="devices" />
    <ChoiceRow
      v-if="styling.hasDark"
      v-model="scheme"
      label="Colour scheme"
      is-label-hidden
      :choices="schemes"
    />
    <ChoiceRow
      v-if="situations.length > 1 && (isMore || styling.situation !== null)"
      v-model="situation"
      label="Situation of the header"
      is-label-hidden
      :choices="situations"
    />
    <span class="rows">
      <ChoiceRow v-model="kind" label="Rows" is-label-hidden :choices="kinds" />
    </span>
  </div>
</template>

<style scoped>
.scope {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
  padding: 6px 14px;
  border-block: 1px solid var(--line);
  background: var(--paper);
}
.name {
  font-weight: 650;
}
.rows {
  margin-inline-start: auto;
}
</style>
