<script setup lang="ts">
import { computed, defineAsyncComponent, ref, shallowRef, watch } from 'vue';
import {
  createMenu,
  planSketch,
  MOST_LEVELS,
  starters,
  starterFor,
  starterSketch,
  type Id,
  type ImportPlan,
  type MenuFill,
  type Place,
} from '@zorvik/core';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import DialogSheet from '../common/DialogSheet.vue';
import type { Picked } from '../../composables/picked.ts';
import PagePick from '../arrange/PagePick.vue';
import PlaceChoice from './PlaceChoice.vue';

/** A new menu: its name, where it is meant to stand, and what it begins with. */
const BringInSource = defineAsyncComponent(() => import('../arrange/BringInSource.vue'));
const ImportPreview = defineAsyncComponent(() => import('../arrange/ImportPreview.vue'));
const emit = defineEmits<{ made: [key: string] }>();
const isOpen = defineModel<boolean>({ required: true });
const copy = useWorkingCopy();
const selection = useSelection();
const name = ref('');
const place = ref<Place>('bar');
const begins = ref<'empty' | 'starter' | 'pages' | 'copy' | 'follow' | 'file' | null>('empty');
const starterKey = ref(starters[0]?.key ?? '');
const below = ref<Id | null>(null);
const depth = ref<number | null>(1);
const copied = ref<Id | null>(null);
const plan = shallowRef<ImportPlan | null>(null);
const isPicking = ref(false);
const problem = ref<string | null>(null);

/** The starter that fits the place, until somebody chooses one. */
watch(place, (now) => (starterKey.value = starterFor(now)));
watch(isOpen, () => {
  name.value = '';
  place.value = 'bar';
  begins.value = 'empty';
  below.value = null;
  plan.value = null;
  copied.value = selection.menu?.id ?? null;
  problem.value = null;
});

const starter = computed(() => starters.find(({ key }) => key === starterKey.value) ?? starters[0]);
const starterPlan = computed(() =>
  copy.document === null || starter.value === undefined || begins.value !== 'starter'
    ? null
    : planSketch(copy.document, starterSketch(copy.document, starter.value)),
);
const belowTitle = computed(() =>
  below.value === null ? 'whole site' : (copy.document?.pages.nodes.get(below.value)?.title ?? ''),
);

function fill(): MenuFill | null {
  if (begins.value === 'pages') return { kind: 'pages', below: below.value, depth: (depth.value ?? 1) - 1 };
  if (begins.value === 'follow') {
    return copied.value === null
      ? null
      : {
          kind: 'follow',
          follow: { of: { kind: 'menu', menu: copied.value }, depth: MOST_LEVELS, order: 'site' },
        };
  }
  if (begins.value === 'copy') return copied.value === null ? null : { kind: 'copy', menu: copied.value };
  if (begins.value === 'starter')
    return starterPlan.value === null ? null : { kind: 'planned', items: starterPlan.value.items };
  if (begins.value === 'file')
    return plan.value === null ? null : { kind: 'planned', items: plan.value.items };
  return { kind: 'empty' };
}

function make(): void {
  const filling = fill();
  if (filling === null) {
    problem.value =
      begins.value === 'file'
        ? 'There is nothing to import yet. Choose a file or paste text.'
        : 'Choose a menu.';
    return;
  }
  const result = copy.perform((context) =>
    createMenu(context, { name: name.value, place: place.value, fill: filling }),
  );
  problem.value = result.ok ? null : result.refusal.message;
  if (!result.ok) return;
  const [added] = result.value.operations;
  isOpen.value = false;
  if (added?.kind === 'addMenu') emit('made', added.branch[0]?.key ?? '');
}

function pick(picked: Picked): void {
  isPicking.value = false;
  if (picked.kind === 'page') below.value = picked.id;
}
</script>

<template>
  <DialogSheet v-model="isOpen" title="New menu" :width="680" :problem="problem" @submit="make">
    <v-text-field
      v-model="name"
      label="Menu name"
      placeholder="Main menu"
      autofocus
      hide-details
      @update:model-value="problem = null"
    />
    <PlaceChoice v-model="place" />
    <ChoiceRow
      v-model="begins"
      label="Start from"
      :choices="[
        { value: 'empty', label: 'empty' },
        { value: 'starter', label: 'a typical menu' },
        { value: 'pages', label: 'pages' },
        ...(selection.menus.length === 0
          ? []
          : [
              { value: 'copy' as const, label: 'a copy' },
              { value: 'follow' as const, label: 'another menu, followed' },
            ]),
        { value: 'file', label: 'a file' },
      ]"
    />
    <div v-if="begins === 'starter'" class="with">
      <div class="starters">
        <label v-for="one in starters" :key="one.key" class="place" :class="{ on: one.key === starterKey }">
          <input v-model="starterKey" type="radio" name="starter" :value="one.key" />
          <b>{{ one.name }}</b>
          <span class="mute">{{ one.about }}</span>
        </label>
      </div>
      <ImportPreview v-if="starterPlan !== null" :plan="starterPlan" />
    </div>
    <div v-else-if="begins === 'pages'" class="with row">
      <span class="mute">Pages under</span>
      <PagePick
        v-if="isPicking"
        label="Pages under which page"
        placeholder="Part of a title or an address"
        @pick="pick"
        @leave="isPicking = false"
      />
      <button v-else type="button" class="plain-button" @click="isPicking = true">{{ belowTitle }}</button>
      <ChoiceRow
        v-model="depth"
        label="Levels"
        :choices="[
          { value: 1, label: '1' },
          { value: 2, label: '2' },
          { value: 3, label: '3' },
          { value: 100, label: 'all' },
        ]"
      />
    </div>
    <label v-else-if="begins === 'copy' || begins === 'follow'" class="with row">
      <span class="mute">{{ begins === 'copy' ? 'Copy of' : 'Follow' }}</span>
      <select v-model="copied">
        <option v-for="menu in selection.menus" :key="menu.id" :value="menu.id">{{ menu.name }}</option>
      </select>
    </label>
    <BringInSource v-else-if="begins === 'file'" v-model="plan" class="with" />
    <template #actions>
      <v-btn variant="text" @click="isOpen = false">Cancel</v-btn>
      <v-btn color="primary" type="submit">Create menu</v-btn>
    </template>
  </DialogSheet>
</template>

<style scoped src="./newMenu.css"></style>
