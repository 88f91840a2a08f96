<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue';
import { bringIn, counted, type ImportPlan } from '@zorvik/core';
import { useItemActions } from '../../composables/useItemActions.ts';
import { useSpotForNew } from '../../composables/useSpotForNew.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import DialogSheet from '../common/DialogSheet.vue';
import BringInSource from './BringInSource.vue';

/** Imports items from a file or pasted text, after the selected item; one edit that can be undone. */
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
    problem.value = 'There is nothing to import yet. Choose a file or paste text.';
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
  <DialogSheet v-model="isOpen" title="Import items" :problem="problem" :width="720" @submit="bring">
    <BringInSource v-if="isOpen" v-model="plan" />
    <template #actions>
      <v-btn variant="text" @click="isOpen = false">Cancel</v-btn>
      <v-btn color="primary" type="submit">
        {{
          plan === null
            ? 'Import'
            : `Import ${counted(plan.items.length - plan.dropped, '# item', '# items')}`
        }}
      </v-btn>
    </template>
  </DialogSheet>
</template>
