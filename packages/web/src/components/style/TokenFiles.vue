<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue';
import { counted, importNames, namesChanged, type NamedValue } from '@zorvik/core';
import { saveFile } from '../../composables/saveFile.ts';
import { useNotices } from '../../stores/notices.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ImportChanges from './ImportChanges.vue';

/** Names of the site as files: design tokens in and out, custom properties out. What an import changes is said first. */
const copy = useWorkingCopy();
const notices = useNotices();
const input = useTemplateRef<HTMLInputElement>('input');
const values = ref<readonly NamedValue[] | null>(null);
const notes = ref<readonly string[]>([]);
const problem = ref<string | null>(null);
const isOpen = computed({
  get: () => values.value !== null,
  set: (is) => {
    if (!is) values.value = null;
  },
});
/** What would change now, also when somebody else has changed something meanwhile. */
const preview = computed(() => {
  const { value: some } = values;
  if (some === null || copy.document === null) return { changes: [], problems: [] };
  let found: ReturnType<typeof namesChanged> = { changes: [], problems: [] };
  copy.attempt((context) => {
    found = namesChanged(context, some);
    return importNames(context, some);
  });
  return found;
});

async function chosen(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement;
  const [file] = field.files ?? [];
  if (file === undefined) return;
  const { readDesignTokens } = await import('../../composables/tokenFile.ts');
  const read = readDesignTokens(await file.text());
  field.value = '';
  problem.value = read.ok ? null : read.refusal.message;
  values.value = read.ok ? read.value.values : [];
  notes.value = read.ok ? read.value.notes : [];
}
function take(): void {
  const { value: some } = values;
  if (some === null) return;
  const { length } = preview.value.changes;
  const done = copy.perform((context) => importNames(context, some));
  problem.value = done.ok ? null : done.refusal.message;
  if (!done.ok) return;
  values.value = null;
  notices.say(`Imported ${counted(length, '# name', '# names')}.`);
}
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
      :skipped="[...preview.problems, ...notes]"
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
