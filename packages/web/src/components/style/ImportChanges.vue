<script setup lang="ts">
import { counted } from '@zorvik/core';
import DialogSheet from '../common/DialogSheet.vue';

/** What an import would change, said before it is done; what of the file is skipped, and why. */
defineProps<{
  title: string;
  changes: readonly string[];
  skipped: readonly string[];
  problem: string | null;
}>();
const isOpen = defineModel<boolean>({ required: true });
const emit = defineEmits<{ take: [] }>();
</script>

<template>
  <DialogSheet v-model="isOpen" :title="title" :problem="problem" :width="620" @submit="emit('take')">
    <p v-if="problem === null && changes.length === 0">Nothing in this file would change anything here.</p>
    <template v-else-if="problem === null">
      <p>{{ counted(changes.length, '# change', '# changes') }} when you import. You can undo this.</p>
      <ul class="changes">
        <li v-for="(change, at) in changes" :key="at">{{ change }}</li>
      </ul>
    </template>
    <div v-if="skipped.length > 0" class="left">
      <h3>Skipped</h3>
      <ul>
        <li v-for="(one, at) in skipped" :key="at">{{ one }}</li>
      </ul>
    </div>
    <template #actions>
      <button type="button" class="plain-button" @click="isOpen = false">Cancel</button>
      <v-btn v-if="problem === null && changes.length > 0" type="submit" color="primary">Import</v-btn>
    </template>
  </DialogSheet>
</template>

<style scoped>
ul {
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}
.changes {
  max-height: 300px;
  overflow: auto;
}
li {
  padding: 4px 0;
  border-block-end: 1px solid var(--line-soft);
  overflow-wrap: anywhere;
}
.left {
  margin-block-start: 14px;
  color: var(--mute);
}
h3 {
  font-size: 0.8125rem;
}
</style>
