<script setup lang="ts">
import { computed } from 'vue';
import { deviceClasses, type DeviceClass } from '@zorvik/core';
import { useSettings } from '../../composables/useSettings.ts';
import ChipSet from '../common/ChipSet.vue';
import ChoiceRow from '../common/ChoiceRow.vue';
import VariantField from '../common/VariantField.vue';

/** How and where an item is shown, whether it is published, and in which tab it opens. */
defineProps<{ hasLink: boolean }>();
const { common, set } = useSettings();
const devices = (['wide', 'medium', 'narrow'] as const).map((value) => ({ value, label: value }));
const shownOn = computed({
  get: () => deviceClasses.filter((device) => !(common('hiddenOn').value ?? []).includes(device)),
  set: (shown: readonly DeviceClass[]) =>
    void set({ hiddenOn: deviceClasses.filter((device) => !shown.includes(device)) }),
});
const tab = computed({
  get: () => (common('opensNewTab').isMixed ? null : common('opensNewTab').value === true),
  set: (isNew) => void set({ opensNewTab: isNew === true }),
});
const held = computed({
  get: () => (common('heldBack').isMixed ? null : common('heldBack').value === true),
  set: (isHeld) => void set({ heldBack: isHeld === true ? true : null }),
});
</script>

<template>
  <div class="shown">
    <div class="pair">
      <VariantField
        label="Shown as"
        :value="common('look').isMixed ? null : (common('look').value ?? 'link')"
        :plain="{ value: 'link', label: 'link' }"
        :is-mixed="common('look').isMixed"
        @set="set({ look: $event === 'link' ? null : $event })"
      />
      <ChoiceRow
        v-if="hasLink"
        v-model="tab"
        label="Opens in"
        :is-mixed="common('opensNewTab').isMixed"
        :choices="[
          { value: false, label: 'same tab' },
          { value: true, label: 'new tab' },
        ]"
      />
    </div>
    <ChoiceRow
      v-model="held"
      label="Publication"
      :is-mixed="common('heldBack').isMixed"
      :choices="[
        { value: false, label: 'published' },
        { value: true, label: 'unpublished', hint: 'Visitors do not see it or the items below it' },
      ]"
    />
    <ChipSet v-model="shownOn" label="Shown on" :choices="devices" :is-mixed="common('hiddenOn').isMixed" />
  </div>
</template>

<style scoped>
.shown {
  display: grid;
  gap: 5px;
}
.pair {
  display: flex;
  flex-wrap: wrap;
  gap: 5px 14px;
}
</style>
