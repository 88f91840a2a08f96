<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { removeExceptions, type Id } from '@zorvik/core';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import IconButton from '../common/IconButton.vue';

/** On which pages something is different, each with what holds there, to be removed one by one. */
export interface ExceptionRow {
  readonly id: Id;
  readonly pages: string;
  readonly says: string;
  /** It decides on the page that is looked at. */
  readonly isDeciding: boolean;
}
defineProps<{ label: string; rows: readonly ExceptionRow[] }>();
const copy = useWorkingCopy();
const reset = (id: Id): void => void copy.perform((context) => removeExceptions(context, [id]));
</script>

<template>
  <ul v-if="rows.length > 0" class="list" :aria-label="label">
    <slot />
    <li v-for="row in rows" :key="row.id" :class="{ wins: row.isDeciding }">
      <span class="mute">{{ row.pages }}</span>
      {{ row.says }}
      <span v-if="row.isDeciding" class="mute">· applies on this page</span>
      <IconButton label="Remove this exception" :icon="mdiClose" @press="reset(row.id)" />
    </li>
  </ul>
</template>

<style scoped>
.list {
  display: grid;
  gap: 2px;
  margin: 0;
  padding: 0;
  list-style: none;
  font-size: 0.75rem;
}
li,
.list > :slotted(li) {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 26px;
}
.wins {
  font-weight: 600;
}
</style>
