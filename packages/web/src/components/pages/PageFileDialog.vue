<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue';
import { chunksOf, counted, pagesToTake, takeChunk } from '@zorvik/core';
import { usePageFile } from '../../composables/usePageFile.ts';
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
const missing = ref<MissingPages | null>('keep');
const { file, table, isNested, columns, problem, outcome, pages } = usePageFile(isOpen, missing);
const bytes = shallowRef<Uint8Array | null>(null);
const pasted = ref('');
const name = ref('');
watch(isOpen, (now) => {
  if (!now) return;
  bytes.value = null;
  pasted.value = '';
  name.value = '';
});
watch([bytes, pasted], () => (file.value = bytes.value ?? pasted.value));

async function take(event: Event): Promise<void> {
  const [chosen] = (event.target as HTMLInputElement).files ?? [];
  if (chosen === undefined) return;
  name.value = chosen.name;
  bytes.value = new Uint8Array(await chosen.arrayBuffer());
}

async function keep(): Promise<void> {
  const found = await pages();
  if (found === null) {
    problem.value ??= 'There is nothing to import yet. Choose a file or paste a table.';
    return;
  }
  const wanted = copy.attempt((context) => pagesToTake(context, found, missing.value ?? 'keep'));
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
      class="plain-field text"
      v-if="bytes === null"
      v-model="pasted"
      rows="4"
      aria-label="Pages as text"
      placeholder="… or paste text here"
      spellcheck="false"
    />
    <ColumnChoice v-if="table !== null" v-model="columns" :table="table" />
    <section v-if="outcome !== null" aria-label="Preview" aria-live="polite">
      <h2>{{ counted(outcome.count, '# page', '# pages') }} found</h2>
      <p v-if="outcome.changes !== null">
        <b class="number">{{ outcome.changes.added }}</b>
        new,
        <b class="number">{{ outcome.changes.renamed }}</b>
        renamed,
        <b class="number">{{ outcome.changes.moved }}</b>
        moved,
        <b class="number">{{ outcome.changes.readdressed }}</b>
        with a new address,
        <b class="number">{{ outcome.changes.gone }}</b>
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
      <details v-if="outcome.problemCount > 0">
        <summary>
          <b class="number">{{ outcome.problemCount }}</b>
          {{ outcome.problemCount === 1 ? 'line' : 'lines' }} to check
        </summary>
        <ul>
          <li v-for="(one, at) in outcome.problems" :key="at">
            {{ isNested ? 'Entry' : 'Line' }} {{ one.line }}: {{ one.reason }}
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
