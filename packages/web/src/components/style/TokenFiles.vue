<script setup lang="ts">
import { computed, useTemplateRef } from 'vue';
import { importNames, namesChanged } from '@zorvik/core';
import { saveFile } from '../../composables/saveFile.ts';
import { useFileImport } from '../../composables/useFileImport.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ImportChanges from './ImportChanges.vue';

/** Names of the site as files: design tokens in and out, custom properties out. What an import changes is said first. */
const copy = useWorkingCopy();
const input = useTemplateRef<HTMLInputElement>('input');
const { given, problem, isOpen, preview, chosen, take } = useFileImport({
  read: async (text) => (await import('../../composables/tokenFile.ts')).readDesignTokens(text),
  preview: (context, { values }) => namesChanged(context, values),
  take: (context, { values }) => importNames(context, values),
  counted: ['# name', '# names'],
});
const skipped = computed(() => [...preview.value.problems, ...(given.value?.notes ?? [])]);

async function save(kind: 'tokens' | 'css'): Promise<void> {
  const { document } = copy;
  if (document === null) return;
  const { writeCustomProperties, writeDesignTokens } = await import('../../composables/tokenFile.ts');
  if (kind === 'tokens')
    saveFile(
      `${document.site.key}.tokens.json`,
      'application/design-tokens+json',
      writeDesignTokens(document),
    );
  else saveFile(`${document.site.key}-tokens.css`, 'text/css', writeCustomProperties(document));
}
</script>

<template>
  <div class="files">
    <button type="button" class="plain-button" @click="input?.click()">Import design tokens …</button>
    <button type="button" class="plain-button" @click="save('tokens')">Export design tokens</button>
    <button type="button" class="plain-button" @click="save('css')">Export as CSS</button>
    <input
      ref="input"
      type="file"
      class="only-heard"
      tabindex="-1"
      aria-label="File of design tokens"
      accept=".json,.tokens,application/json,application/design-tokens+json"
      @change="chosen"
    />
    <ImportChanges
      v-model="isOpen"
      title="Import design tokens"
      :changes="preview.changes"
      :skipped="skipped"
      :problem="problem"
      @take="take"
    />
  </div>
</template>

<style scoped>
.files {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
