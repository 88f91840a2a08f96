<script setup lang="ts">
import { computed } from 'vue';
import { useEntryLooks } from '../../composables/useEntryLooks.ts';
import { useSettings } from '../../composables/useSettings.ts';
import { useSelection } from '../../stores/selection.ts';
import IconField from './IconField.vue';

/** The icon of the chosen items. */
const selection = useSelection();
const { common, set } = useSettings();
const icon = computed(() => common('icon'));
const looks = useEntryLooks('icon', () => selection.chosen);
</script>

<template>
  <IconField
    :icon="icon.value"
    :is-mixed="icon.isMixed"
    :looks="looks"
    @set="(to) => set({ icon: to }, 'icon')"
  />
</template>
