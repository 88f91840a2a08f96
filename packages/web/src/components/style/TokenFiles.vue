<script setup lang="ts">
import { importNames, namesChanged, type CommandContext, type Edit, type Result } from '@zorvik/core';
import type { ReadTokens } from '@zorvik/formats';
import { saveFile } from '../../composables/saveFile.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ImportFile from './ImportFile.vue';

/** Names of the site as files: design tokens in and out, custom properties out. */
const copy = useWorkingCopy();
const read = async (text: string): Promise<Result<ReadTokens>> =>
  (await import('../../composables/tokenFile.ts')).readDesignTokens(text);
function preview(context: CommandContext, { values, notes }: ReadTokens): ReturnType<typeof namesChanged> {
  const { changes, problems } = namesChanged(context, values);
  return { changes, problems: [...problems, ...notes] };
}
const take = (context: CommandContext, { values }: ReadTokens): Result<Edit> => importNames(context, values);
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
    <ImportFile
      title="Import design tokens"
      file-label="File of design tokens"
      accept=".json,.tokens,application/json,application/design-tokens+json"
      :read="read"
      :preview="preview"
      :take="take"
      :unit="['# name', '# names']"
    />
    <button type="button" class="plain-button" @click="save('tokens')">Export design tokens</button>
    <button type="button" class="plain-button" @click="save('css')">Export as CSS</button>
  </div>
</template>

<style scoped>
.files {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
