<script setup lang="ts">
import { computed } from 'vue';
import { deviceClasses, type DeviceClass } from '@zorvik/core';
import { useSettings } from '../../composables/useSettings.ts';
import ChipSet from '../common/ChipSet.vue';
import ChoiceRow from '../common/ChoiceRow.vue';

/** Where an item shows, and in which tab it opens. */
const { faces, common, set } = useSettings();
const devices = (['wide', 'medium', 'narrow'] as const).map((value) => ({ value, label: value }));
const shownOn = computed({
  get: () => deviceClasses.filter((device) => !(common('hiddenOn').value ?? []).includes(device)),
  set: (shown: readonly DeviceClass[]) => void set({ hiddenOn: deviceClasses.filter((device) => !shown.includes(device)) }),
});
const leads = computed(() => faces.value.some(({ destination }) => destination.kind !== 'none'));
const tab = computed({
  get: () => (common('opensNewTab').isMixed ? null : common('opensNewTab').value === true),
  set: (isNew) => void set({ opensNewTab: isNew === true }),
});
</script>

<template>
  <div class="shown">
    <ChipSet v-model="shownOn" label="Shown on" :choices="devices" :is-mixed="common('hiddenOn').isMixed" />
    <ChoiceRow
      v-if="leads"
      v-model="tab"
      label="Opens in"
      :is-mixed="common('opensNewTab').isMixed"
      :choices="[
        { value: false, label: 'same tab' },
        { value: true, label: 'new tab' },
      ]"
    />
  </div>
</template>

<style scoped>
.shown {
  display: grid;
  gap: 5px;
}
</style>
