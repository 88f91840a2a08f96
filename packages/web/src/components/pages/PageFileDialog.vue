<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { counted, diffReading, chunksOf, pagesToTake, seededRandom, takeChunk } from '@zorvik/core';
import type * as Formats from '@zorvik/formats';
import type { PageColumn, PagesFromFile, PageTable } from '@zorvik/formats';
import type { MissingPages } from '../../stores/sites.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import DialogSheet from '../common/DialogSheet.vue';
import ColumnChoice from './ColumnChoice.vue';

/**
 * Pages from a file: a table whose columns are chosen in a preview, or nested entries. What comes of it is
 * shown before it is taken in.
 */
const isOpen = defineModel<boolean>({ required: true });
const copy = useWorkingCopy();
const bytes = shallowRef<Uint8Array | null>(null);
const pasted = ref('');
const name = ref('');
const table = shallowRef<PageTable | null>(null);
const nested = shallowRef<PagesFromFile | null>(null);
const columns = ref<(PageColumn | '')[]>([]);
const missing = ref<MissingPages | null>('keep');
const problem = ref<string | null>(null);
const formats = shallowRef<typeof Formats | null>(null);
watch(isOpen, async (now) => {
  if (!now) return;
  bytes.value = null;
  pasted.value = '';
  name.value = '';
  problem.value = null;
  formats.value ??= await import('@zorvik/formats');
});
watch([bytes, pasted, formats], () => {
  const library = formats.value;
  table.value = null;
  nested.value = null;
  problem.value = null;
  const { document } = copy;
  if (library === null || document === null || (bytes.value === null && pasted.value.trim() === '')) return;
  const text = bytes.value === null ? pasted.value : library.tableText(bytes.value, library.decodeHtml);
  if (/^\s*[<{[]/.test(text)) {
    const { found } = library.readMenus(text);
    if (!found.ok) return void (problem.value = found.refusal.message);
    nested.value = library.pagesFromSketches(
      found.value.flatMap(({ sketches }) => sketches),
      document.site.origin,
    );
    return;
  }
  const read = library.readPageTable(text);
  if (!read.ok) return void (problem.value = read.refusal.message);
  table.value = read.value;
  columns.value = read.value.guesses.map((guess) => guess ?? '');
});

const made = computed((): PagesFromFile | null => {
  const library = formats.value;
  if (nested.value !== null) return nested.value;
  if (library === null || table.value === null) return null;
  return library.pagesFromTable(
    table.value,
    columns.value.map((column) => (column === '' ? null : column)),
  );
});
const difference = computed(() =>
  copy.stored === null || made.value === null
    ? null
    : diffReading(copy.stored, made.value.pages, {
        missing: missing.value ?? 'keep',
        random: seededRandom(1),
      }),
);

async function take(event: Event): Promise<void> {
  const [file] = (event.target as HTMLInputElement).files ?? [];
  if (file === undefined) return;
  name.value = file.name;
  bytes.value = new Uint8Array(await file.arrayBuffer());
}

function keep(): void {
  const pages = made.value?.pages;
  if (pages === undefined) {
    problem.value = 'There is nothing to import yet. Choose a file or paste a table.';
    return;
  }
  const wanted = copy.attempt((context) => pagesToTake(context, pages, missing.value ?? 'keep'));
  if (!wanted.ok) return void (problem.value = wanted.refusal.message);
  // Very many go out in parts, one after the other; they are taken back together.
  const done = copy.performAll(chunksOf(wanted.value).map((part) => (context) => takeChunk(context, part)));
  problem.value = done.ok ? null : done.refusal.message;
  if (done.ok) isOpen.value = false;
}
</script>

<template>
  <DialogSheet v-model="isOpen" title="Import pages" :width="820" :problem="problem" @submit="keep">
    <p class="mute">
      Import pages from a CSV table with column names, or from OPML, an HTML list or JSON. You can undo the
      import.
    </p>
    <div class="row">
      <label class="plain-button file">
        Choose a file …
        <input type="file" accept=".csv,.tsv,.txt,.opml,.xml,.html,.htm,.json" @change="take" />
      </label>
      <span class="mute">{{ name }}</span>
    </div>
    <textarea
      v-if="bytes === null"
      v-model="pasted"
      rows="4"
      aria-label="Pages as text"
      placeholder="… or paste text here"
      spellcheck="false"
    />
    <ColumnChoice
      v-if="table !== null"
      v-model="columns"
      :table="table"
      :choices="formats?.pageColumns ?? []"
    />
    <section v-if="difference !== null && made !== null" aria-label="Preview" aria-live="polite">
      <h2>{{ counted(made.pages.length, '# page', '# pages') }} found</h2>
      <p>
        <b class="number">{{ difference.added.length }}</b>
        new,
        <b class="number">{{ difference.renamed.length }}</b>
        renamed,
        <b class="number">{{ difference.moved.length }}</b>
        moved,
        <b class="number">{{ difference.readdressed.length }}</b>
        with a new address,
        <b class="number">{{ difference.gone.length }}</b>
        deleted
      </p>
      <ChoiceRow
        v-model="missing"
        label="Pages missing from the file"
        :choices="[
          { value: 'keep', label: 'keep' },
          { value: 'retire', label: 'delete (undoable)' },
        ]"
      />
      <details v-if="made.problems.length > 0">
        <summary>
          <b class="number">{{ made.problems.length }}</b>
          {{ made.problems.length === 1 ? 'line' : 'lines' }} to check
        </summary>
        <ul>
          <li v-for="(one, at) in made.problems.slice(0, 200)" :key="at">
            {{ nested === null ? 'Line' : 'Entry' }} {{ one.line }}: {{ one.reason }}
          </li>
        </ul>
      </details>
    </section>
    <template #actions>
      <v-btn variant="text" @click="isOpen = false">Cancel</v-btn>
      <v-btn color="primary" type="submit">Import pages</v-btn>
    </template>
  </DialogSheet>
</template>

<style scoped>
.row {
  display: flex;
  align-items: center;
  gap: 10px;
}
.file input {
  position: absolute;
  width: 1px;
  height: 1px;
  opacity: 0;
}
textarea {
  width: 100%;
  padding: 8px 10px;
  border: 1px solid var(--line-strong);
  border-radius: 6px;
  background: var(--field);
  font:
    0.75rem/1.5 ui-monospace,
    monospace;
}
section {
  display: grid;
  gap: 8px;
}
h2 {
  font-size: 0.875rem;
}
ul {
  max-height: 140px;
  overflow: auto;
  margin: 0;
  padding-inline-start: 18px;
  font-size: 0.75rem;
}
</style>
