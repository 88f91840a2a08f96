<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue';
import { bringIn, type ImportPlan } from '@zorvik/core';
import { useItemActions } from '../../composables/useItemActions.ts';
import { useSpotForNew } from '../../composables/useSpotForNew.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import DialogSheet from '../common/DialogSheet.vue';
import BringInSource from './BringInSource.vue';

/** Brings items into the menu from a file or a text, behind what is selected; one edit that can be undone. */
const isOpen = defineModel<boolean>({ required: true });
const copy = useWorkingCopy();
const spot = useSpotForNew();
const { selectAdded } = useItemActions();
const plan = shallowRef<ImportPlan | null>(null);
const problem = ref<string | null>(null);

watch(isOpen, () => {
  plan.value = null;
  problem.value = null;
});

function bring(): void {
  const at = spot.value;
  const planned = plan.value;
  if (at === null || planned === null) {
    problem.value = 'There is nothing to bring in yet. Choose a file, or paste a text.';
    return;
  }
  const done = copy.perform((context) => bringIn(context, planned, at));
  problem.value = done.ok ? null : done.refusal.message;
  if (!done.ok) return;
  selectAdded(done.value);
  isOpen.value = false;
}
</script>

<template>
  <DialogSheet v-model="isOpen" title="Bring items in" :problem="problem" :width="720" @submit="bring">
    <BringInSource v-if="isOpen" v-model="plan" />
    <template #actions>
      <v-btn variant="text" @click="isOpen = false">Cancel</v-btn>
      <v-btn color="primary" type="submit">{{ plan === null ? 'Bring in' : `Bring ${plan.items.length - plan.dropped} items in` }}</v-btn>
    </template>
  </DialogSheet>
</template>
