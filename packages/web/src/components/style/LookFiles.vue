<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue';
import { counted, importStyle, styleChanged, styleOf, type PortableStyle } from '@zorvik/core';
import { saveFile } from '../../composables/saveFile.ts';
import { useNotices } from '../../stores/notices.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ImportChanges from './ImportChanges.vue';

/** All looks of the site as a file, in and out. What an import changes is said first. */
const copy = useWorkingCopy();
const notices = useNotices();
const input = useTemplateRef<HTMLInputElement>('input');
const style = ref<PortableStyle | null>(null);
const problem = ref<string | null>(null);
const isOpen = computed({
  get: () => style.value !== null || problem.value !== null,
  set: (is) => {
    if (!is) [style.value, problem.value] = [null, null];
  },
});
/** What would change now, also when somebody else has changed something meanwhile. */
const preview = computed(() => {
  const { value: some } = style;
  let found: ReturnType<typeof styleChanged> = { changes: [], problems: [] };
  if (some !== null && copy.document !== null)
    copy.attempt((context) => {
      found = styleChanged(context, some);
      return importStyle(context, some);
    });
  return found;
});

async function chosen(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement;
  const [file] = field.files ?? [];
  if (file === undefined) return;
  const { readStyleFile } = await import('../../composables/styleFile.ts');
  const read = readStyleFile(await file.text());
  field.value = '';
  problem.value = read.ok ? null : read.refusal.message;
  style.value = read.ok ? read.value : null;
}
function take(): void {
  const { value: some } = style;
  if (some === null) return;
  const { length } = preview.value.changes;
  const done = copy.perform((context) => importStyle(context, some));
  problem.value = done.ok ? null : done.refusal.message;
  if (!done.ok) return;
  style.value = null;
  notices.say(`Imported ${counted(length, '# change', '# changes')} of looks.`);
}
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
