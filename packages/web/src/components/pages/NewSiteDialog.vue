<script setup lang="ts">
import { ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import { useSites } from '../../stores/sites.ts';
import LanguageField from '../common/LanguageField.vue';
import DialogSheet from '../common/DialogSheet.vue';
import ReadingProgress from './ReadingProgress.vue';
import SitemapForm from './SitemapForm.vue';

/** Makes a site: of a sitemap, or empty. */
const isOpen = defineModel<boolean>({ required: true });
const sites = useSites();
const router = useRouter();
const name = ref('');
const language = ref('en');
const bytes = ref<Blob | null>(null);
const problem = ref<string | null>(null);
const progress = ref<{ stored: number; of: number } | null>(null);
const stop = shallowRef<AbortController | null>(null);

function wanted() {
  return {
    name: name.value,
    language: language.value,
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  };
}

async function make(): Promise<void> {
  problem.value = name.value.trim() === '' ? 'Enter a name for the site.' : null;
  if (problem.value !== null) return;
  if (bytes.value === null) return makeEmpty();
  progress.value = { stored: 0, of: 0 };
  stop.value = new AbortController();
  const { signal } = stop.value;
  const answer = await sites.makeFromSitemap(
    wanted(),
    bytes.value,
    (stored, of) => (progress.value = { stored, of }),
    signal,
  );
  progress.value = null;
  if ('value' in answer) await router.push({ name: 'pages', params: { siteKey: answer.value.site } });
  else problem.value = signal.aborted ? 'Stopped. Nothing was saved.' : answer.problem;
}

async function makeEmpty(): Promise<void> {
  const answer = await sites.make(wanted());
  if ('value' in answer) await router.push({ name: 'pages', params: { siteKey: answer.value.key } });
  else problem.value = answer.problem;
}
</script>

<template>
  <DialogSheet
    v-model="isOpen"
    title="New site"
    :problem="problem"
    :is-busy="progress !== null"
    @submit="make"
  >
    <div class="names">
      <v-text-field
        v-model="name"
        label="Site name"
        autofocus
        maxlength="120"
        @update:model-value="problem = null"
      />
      <LanguageField :value="language" @set="language = $event" />
    </div>
    <p class="mute">
      Zorvik builds the page tree from the site’s sitemap. You can also start without pages, and read the site
      or import a table of pages later.
    </p>
    <SitemapForm v-model="bytes" />
    <ReadingProgress v-if="progress !== null" v-bind="progress" />
    <template #actions>
      <v-btn v-if="progress !== null" variant="text" @click="stop?.abort()">Stop</v-btn>
      <v-btn v-else variant="text" @click="isOpen = false">Cancel</v-btn>
      <v-btn color="primary" type="submit" :disabled="progress !== null">
        {{ bytes === null ? 'Create without pages' : 'Create site' }}
      </v-btn>
    </template>
  </DialogSheet>
</template>

<style scoped>
.names {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 180px);
  align-items: end;
  gap: 12px;
}
</style>
