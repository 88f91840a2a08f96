<script setup lang="ts">
import { computed } from 'vue';
import { useDropdown } from '../../composables/useDropdown.ts';
import { useEntryLooks } from '../../composables/useEntryLooks.ts';
import { useSettings } from '../../composables/useSettings.ts';
import { useSelection } from '../../stores/selection.ts';
import BadgeField from './BadgeField.vue';

/** The badge of the chosen items. */
const selection = useSelection();
const { usual } = useDropdown();
const { common, set, keepTyped } = useSettings();
const badge = computed(() => common('badge'));
const looks = useEntryLooks('badge', () => selection.chosen);
const keepText = computed(() =>
  keepTyped('badge', (text) => (text.trim() === '' ? null : { ...badge.value.value, text })),
);
</script>

<template>
  <BadgeField
    :badge="badge.value"
    :is-mixed="badge.isMixed"
    :usual-position="usual.badgeAt"
    :keep="keepText"
    :looks="looks"
    @set="(to) => set({ badge: to })"
  />
</template>
