<script setup lang="ts">
import { useTemplateRef } from 'vue';
import { counted, importStyle, styleChanged, styleOf } from '@zorvik/core';
import { saveFile } from '../../composables/saveFile.ts';
import { useFileImport } from '../../composables/useFileImport.ts';
import { useNotices } from '../../stores/notices.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ImportChanges from './ImportChanges.vue';

/** All looks of the site as a file, in and out. What an import changes is said first. */
const copy = useWorkingCopy();
const notices = useNotices();
const input = useTemplateRef<HTMLInputElement>('input');
const { problem, isOpen, preview, chosen, take } = useFileImport({
  read: async (text) => (await import('../../composables/styleFile.ts')).readStyleFile(text),
  preview: styleChanged,
  take: importStyle,
  counted: ['# change of looks', '# changes of looks'],
});

async function save(): Promise<void> {
  const { document } = copy;
  if (document === null) return;
  const { writeStyleFile } = await import('../../composables/styleFile.ts');
  const { style: made, left } = styleOf(document);
  saveFile(`${document.site.key}.style.json`, 'application/json', writeStyleFile(made));
  if (left > 0)
    notices.say(
      `${counted(left, '# value', '# values')} of single items and parts can’t be used on another site and were not exported.`,
    );
}
</script>

<template>
  <div class="files">
    <button type="button" class="plain-button" @click="input?.click()">Import looks …</button>
    <button type="button" class="plain-button" @click="save">Export looks</button>
    <input
      ref="input"
      type="file"
      class="only-heard"
      tabindex="-1"
      aria-label="File of looks"
      accept=".json,application/json"
      @change="chosen"
    />
    <ImportChanges
      v-model="isOpen"
      title="Import looks"
      :changes="preview.changes"
      :skipped="preview.problems"
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
