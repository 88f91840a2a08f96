<script setup lang="ts">
import { computed, ref } from 'vue';
import { followOrders, MOST_PAGES, type FollowOrder, type PageKind, type PageSource } from '@zorvik/core';
import type { Picked } from '../../composables/picked.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChipSet from '../common/ChipSet.vue';
import ChoiceRow from '../common/ChoiceRow.vue';
import LineField from '../common/LineField.vue';
import PagePick from '../arrange/PagePick.vue';

/** Where a live list takes its pages from, in which order and how many. */
const props = defineProps<{ source: PageSource }>();
const emit = defineEmits<{ set: [source: PageSource] }>();
const copy = useWorkingCopy();
const isAsking = ref(false);
const below = computed(() =>
  props.source.page === null
    ? 'whole site'
    : (copy.document?.pages.nodes.get(props.source.page)?.title ?? 'deleted page'),
);
const words: Readonly<Record<FollowOrder, string>> = {
  site: 'as on the site',
  title: 'A to Z',
  visits: 'most visited',
  date: 'newest',
};
const kinds = (['page', 'category', 'article', 'product', 'event'] as const).map((value) => ({
  value,
  label: value,
}));
const chosenKinds = computed({
  get: () => props.source.kinds ?? [],
  set: (some: readonly PageKind[]) => set({ kinds: some.length === 0 ? undefined : [...some] }),
});

function set(changes: { readonly [K in keyof PageSource]?: PageSource[K] | undefined }): void {
  const made = Object.fromEntries(
    Object.entries({ ...props.source, ...changes }).filter(([, value]) => value !== undefined),
  );
  emit('set', made as PageSource);
}

function pick(picked: Picked): void {
  isAsking.value = false;
  if (picked.kind === 'page') set({ page: picked.id });
}

function count(typed: string): string | null {
  const limit = Number(typed.trim());
  if (!Number.isInteger(limit) || limit < 1 || limit > MOST_PAGES)
    return `Use a whole number from 1 to ${MOST_PAGES}.`;
  set({ limit });
  return null;
}

function categories(typed: string): string | null {
  const all = [
    ...new Set(
      typed
        .split(',')
        .map((one) => one.trim())
        .filter((one) => one !== ''),
    ),
  ].slice(0, 50);
  set({ categories: all.length === 0 ? undefined : all });
  return null;
}
</script>

<template>
  <div class="source">
    <div class="below">
      <span class="caption">Pages under</span>
      <PagePick
        v-if="isAsking"
        label="Pages under which page"
        placeholder="Page"
        @pick="pick"
        @leave="isAsking = false"
      />
      <template v-else>
        <button type="button" class="plain-button" @click="isAsking = true">{{ below }}</button>
        <button v-if="source.page !== null" type="button" class="plain-button" @click="set({ page: null })">
          Whole site
        </button>
      </template>
    </div>
    <ChoiceRow
      :model-value="source.order"
      label="Order"
      :choices="followOrders.map((value) => ({ value, label: words[value] }))"
      @update:model-value="$event !== null && set({ order: $event })"
    />
    <LineField class="small" label="Number" :value="String(source.limit)" :keep="count" />
    <ChoiceRow
      :model-value="source.depth === 1 ? 1 : 20"
      label="Levels"
      :choices="[
        { value: 1, label: '1' },
        { value: 20, label: 'all' },
      ]"
      @update:model-value="$event !== null && set({ depth: $event })"
    />
    <ChipSet v-model="chosenKinds" label="Kinds (none selected: all)" :choices="kinds" />
    <LineField
      class="words"
      label="Categories"
      placeholder="all, or names separated by commas"
      :value="(source.categories ?? []).join(', ')"
      :keep="categories"
    />
  </div>
</template>

<style scoped>
.source {
  display: flex;
  flex-wrap: wrap;
  align-items: start;
  gap: 8px 18px;
}
.below {
  min-width: 180px;
}
button + button {
  margin-inline-start: 6px;
}
.small {
  width: 76px;
}
.words {
  width: 190px;
}
</style>
