<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue';
import { counted, importNames, namesChanged, type NamedValue } from '@zorvik/core';
import { saveFile } from '../../composables/saveFile.ts';
import { useNotices } from '../../stores/notices.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import DialogSheet from '../common/DialogSheet.vue';

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
    <DialogSheet v-model="isOpen" title="Import design tokens" :problem="problem" :width="620" @submit="take">
      <p v-if="problem === null && preview.changes.length === 0">
        Nothing in this file would change anything here.
      </p>
      <template v-else-if="problem === null">
        <p>
          {{ counted(preview.changes.length, '# change', '# changes') }} when you import. You can undo this.
        </p>
        <ul class="changes">
          <li v-for="(change, at) in preview.changes" :key="at">{{ change }}</li>
        </ul>
      </template>
      <div v-if="notes.length + preview.problems.length > 0" class="left">
        <h3>Skipped</h3>
        <ul>
          <li v-for="(one, at) in [...preview.problems, ...notes]" :key="at">{{ one }}</li>
        </ul>
      </div>
      <template #actions>
        <button type="button" class="plain-button" @click="isOpen = false">Cancel</button>
        <v-btn v-if="problem === null && preview.changes.length > 0" type="submit" color="primary">
          Import
        </v-btn>
      </template>
    </DialogSheet>
  </div>
</template>

<style scoped>
.files {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
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
