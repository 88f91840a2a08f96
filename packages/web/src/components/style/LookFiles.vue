<script setup lang="ts">
import { counted, importStyle, styleChanged, styleOf, type PortableStyle, type Result } from '@zorvik/core';
import { saveFile } from '../../composables/saveFile.ts';
import { useNotices } from '../../stores/notices.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ImportFile from './ImportFile.vue';

/** All looks of the site as a file, in and out. */
const copy = useWorkingCopy();
const notices = useNotices();
const read = async (text: string): Promise<Result<PortableStyle>> =>
  (await import('../../composables/styleFile.ts')).readStyleFile(text);
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
    <ImportFile
      title="Import looks"
      file-label="File of looks"
      accept=".json,application/json"
      :read="read"
      :preview="styleChanged"
      :take="importStyle"
      :unit="['# change of looks', '# changes of looks']"
    />
    <button type="button" class="plain-button" @click="save">Export looks</button>
  </div>
</template>

<style scoped>
.files {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
