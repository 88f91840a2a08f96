<script setup lang="ts">
import { mdiBackupRestore } from '@mdi/js';
import { defineAsyncComponent } from 'vue';
import type { Property } from '@zorvik/core';
import type { EntryLooks } from '../../composables/useEntryLooks.ts';
import IconButton from '../common/IconButton.vue';

/** A colour of an icon or a badge: a colour of the site, or any other. */
defineProps<{ looks: EntryLooks; property: Property; label: string }>();
const ColourField = defineAsyncComponent(() => import('../style/ColourField.vue'));
</script>

<template>
  <span class="entry-colour">
    <ColourField
      :label="label"
      is-label-hidden
      :value="looks.valueOf(property)"
      :against="null"
      location="bottom start"
      :keep="(to) => looks.set(property, to.trim() === '' ? null : to)"
    />
    <IconButton
      v-if="looks.isOwn(property)"
      :icon="mdiBackupRestore"
      :label="`Reset ${label.toLowerCase()}`"
      @click="looks.set(property, null)"
    />
  </span>
</template>

<style scoped>
.entry-colour {
  display: inline-flex;
  align-items: center;
  flex: 1 1 100px;
  min-width: 0;
}
</style>
