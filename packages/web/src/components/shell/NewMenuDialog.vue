<script setup lang="ts">
import { ref, watch } from 'vue';
import { createMenu, placeNames, places, type Place } from '@zorvik/core';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import DialogSheet from '../common/DialogSheet.vue';
import PlaceSketch from './PlaceSketch.vue';

const emit = defineEmits<{ made: [key: string] }>();
const isOpen = defineModel<boolean>({ required: true });
const copy = useWorkingCopy();
const name = ref('');
const place = ref<Place>('bar');
const problem = ref<string | null>(null);

watch(isOpen, () => {
  name.value = '';
  place.value = 'bar';
  problem.value = null;
});

function make(): void {
  const result = copy.perform((context) => createMenu(context, { name: name.value, place: place.value }));
  problem.value = result.ok ? null : result.refusal.message;
  if (!result.ok) return;
  const [added] = result.value.operations;
  isOpen.value = false;
  if (added?.kind === 'addMenu') emit('made', added.branch[0]?.key ?? '');
}
</script>

<template>
  <DialogSheet v-model="isOpen" title="A new menu" @submit="make">
    <v-text-field v-model="name" label="Its name" placeholder="Main menu" autofocus :error-messages="problem ?? []" @update:model-value="problem = null" />
    <fieldset>
      <legend>Where is it meant to stand?</legend>
      <div class="places">
        <label v-for="one in places" :key="one" class="place" :class="{ on: one === place }">
          <input v-model="place" type="radio" name="place" :value="one" />
          <PlaceSketch :place="one" />
          <span>{{ placeNames[one] }}</span>
        </label>
      </div>
    </fieldset>
    <template #actions>
      <v-btn variant="text" @click="isOpen = false">Cancel</v-btn>
      <v-btn color="primary" type="submit">Make the menu</v-btn>
    </template>
  </DialogSheet>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
}
legend {
  padding: 0;
  margin-bottom: 6px;
  color: var(--mute);
}
.places {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 8px;
}
.place {
  position: relative;
  display: grid;
  gap: 4px;
  padding: 8px 10px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--white);
  cursor: pointer;
}
.place.on {
  border-color: var(--persimmon);
  box-shadow: inset 0 0 0 1px var(--persimmon);
}
.place:focus-within {
  outline: 2px solid var(--ink);
  outline-offset: 2px;
}
.place input {
  position: absolute;
  inset: 0;
  opacity: 0;
  margin: 0;
  cursor: pointer;
}
</style>
