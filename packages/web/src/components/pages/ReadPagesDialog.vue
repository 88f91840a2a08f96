<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue';
import { useNotices } from '../../stores/notices.ts';
import { useSites, type MissingPages } from '../../stores/sites.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import DialogSheet from '../common/DialogSheet.vue';
import ChoiceRow from '../common/ChoiceRow.vue';
import ReadingProgress from './ReadingProgress.vue';
import SitemapForm from './SitemapForm.vue';

/** Reads a sitemap into the open site: one edit, which undo takes back. */
const STOPPED = 'Stopped. Nothing was imported.';
const isOpen = defineModel<boolean>({ required: true });
const copy = useWorkingCopy();
const sites = useSites();
const notices = useNotices();
const bytes = ref<Blob | null>(null);
const missing = ref<MissingPages>('keep');
const problem = ref<string | null>(null);
const progress = ref<{ stored: number; of: number } | null>(null);
const stop = shallowRef<AbortController | null>(null);

watch(isOpen, () => {
  bytes.value = null;
  problem.value = null;
  progress.value = null;
});

async function read(): Promise<void> {
  if (copy.siteKey === null) return;
  if (bytes.value === null) {
    problem.value = 'There is nothing to import yet. Choose a file or paste a sitemap.';
    return;
  }
  problem.value = null;
  progress.value = { stored: 0, of: 0 };
  stop.value = new AbortController();
  const { signal } = stop.value;
  const answer = await sites.readInto(
    copy.siteKey,
    missing.value,
    bytes.value,
    (stored, of) => (progress.value = { stored, of }),
    signal,
  );
  progress.value = null;
  if ('problem' in answer) {
    problem.value = signal.aborted ? STOPPED : answer.problem;
    // Stopped at the last moment, it may have been kept after all: then it is shown, and undo takes it back.
    await copy.catchUp();
    return;
  }
  const { added, retired, revived } = answer.value;
  await copy.catchUp();
  isOpen.value = false;
  notices.say(`Imported the sitemap: ${added} new, ${retired} deleted, ${revived} restored`);
}
</script>

<template>
  <DialogSheet
    v-model="isOpen"
    title="Import a sitemap"
    :problem="problem"
    :is-busy="progress !== null"
    @submit="read"
  >
    <p class="mute">
      New addresses become pages, placed by their path. Titles and positions you have set are kept. You can
      undo the import.
    </p>
    <SitemapForm v-model="bytes" />
    <ChoiceRow
      v-model="missing"
      label="Pages missing from the sitemap"
      :choices="[
        { value: 'keep', label: 'keep' },
        { value: 'retire', label: 'delete (undoable)' },
      ]"
    />
    <ReadingProgress v-if="progress !== null" v-bind="progress" />
    <template #actions>
      <v-btn v-if="progress !== null" variant="text" @click="stop?.abort()">Stop</v-btn>
      <v-btn v-else variant="text" @click="isOpen = false">Cancel</v-btn>
      <v-btn color="primary" type="submit" :disabled="progress !== null">Import</v-btn>
    </template>
  </DialogSheet>
</template>
