<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { planPage, type Id } from '@zorvik/core';
import { useItemActions } from '../../composables/useItemActions.ts';
import { useSpotForNew } from '../../composables/useSpotForNew.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import DialogSheet from '../common/DialogSheet.vue';
import type { Picked } from '../../composables/picked.ts';
import PagePick from './PagePick.vue';

/**
 * Plans a page that the site has not yet: named, placed among the pages, and put into the menu; held back
 * until it is live.
 */
const isOpen = defineModel<boolean>({ required: true });
const copy = useWorkingCopy();
const selection = useSelection();
const spot = useSpotForNew();
const { selectAdded } = useItemActions();
const title = ref('');
const under = ref<Id | null>(null);
const isPicking = ref(false);
const problem = ref<string | null>(null);
const parent = computed(() =>
  under.value === null ? null : (copy.document?.pages.nodes.get(under.value) ?? null),
);

watch(isOpen, (now) => {
  if (!now) return;
  title.value = '';
  problem.value = null;
  isPicking.value = false;
  const destination = selection.item?.destination;
  // Beside the selected item in the menu, most likely beside its page on the site, too.
  under.value =
    destination?.kind === 'page' ? (copy.document?.pages.nodes.get(destination.page)?.parent ?? null) : null;
  if (under.value === copy.document?.site.id) under.value = null;
});

function pick(picked: Picked): void {
  isPicking.value = false;
  if (picked.kind === 'page') under.value = picked.id;
}

function plan(): void {
  const at = spot.value;
  if (at === null) return;
  const done = copy.perform((context) =>
    planPage(context, { title: title.value, under: under.value, spot: at }),
  );
  problem.value = done.ok ? null : done.refusal.message;
  if (!done.ok) return;
  selectAdded(done.value);
  isOpen.value = false;
}
</script>

<template>
  <DialogSheet v-model="isOpen" title="Add a planned page" :problem="problem" @submit="plan">
    <p class="mute">
      A planned page is a page the site does not have yet. It is in the menu now, and visitors see it once the
      page is live.
    </p>
    <v-text-field
      v-model="title"
      label="Page title"
      placeholder="Autumn planting"
      autofocus
      hide-details
      @update:model-value="problem = null"
    />
    <div>
      <span class="caption">Parent page</span>
      <PagePick
        v-if="isPicking"
        label="Parent page"
        placeholder="Part of a title or an address"
        @pick="pick"
        @leave="isPicking = false"
      />
      <div v-else class="row">
        <button type="button" class="plain-button" @click="isPicking = true">
          {{ parent === null ? 'top level' : parent.title }}
        </button>
        <span class="mute">{{ parent?.address ?? '/' }}</span>
        <button v-if="parent !== null" type="button" class="plain-button" @click="under = null">
          Top level
        </button>
      </div>
    </div>
    <template #actions>
      <v-btn variant="text" @click="isOpen = false">Cancel</v-btn>
      <v-btn color="primary" type="submit">Add page</v-btn>
    </template>
  </DialogSheet>
</template>

<style scoped>
.row {
  display: flex;
  align-items: center;
  gap: 10px;
}
</style>
