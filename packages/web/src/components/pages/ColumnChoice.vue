<script setup lang="ts">
import { computed } from 'vue';
import type { PageColumn, PageTable } from '@zorvik/formats';

/** What each column of a table holds, with some of its cells. An empty choice skips the column. */
const props = defineProps<{ table: PageTable }>();
const columns = defineModel<(PageColumn | '')[]>({ required: true });
const columnNames: Readonly<Record<PageColumn, string>> = {
  title: 'title',
  address: 'address',
  id: 'id',
  parent: 'parent',
  path: 'path (titles)',
  kind: 'kind',
  state: 'state',
  template: 'template',
  categories: 'categories',
  date: 'date',
  visits: 'visits',
  order: 'order',
};
const choices = Object.keys(columnNames) as PageColumn[];
/** Some cells of each column, so that one sees what it holds. */
const samples = computed(
  () => props.table?.headers.map((_, at) => props.table?.rows.map((row) => row[at] ?? '') ?? []) ?? [],
);

function choose(at: number, column: string): void {
  columns.value = columns.value.map((one, index) => (index === at ? (column as PageColumn | '') : one));
}
</script>

<template>
  <div class="columns" role="group" aria-label="Columns">
    <div v-for="(header, at) in table.headers" :key="at" class="column">
      <b>{{ header }}</b>
      <select
        class="plain-field"
        :value="columns[at]"
        @change="choose(at, ($event.target as HTMLSelectElement).value)"
        :aria-label="`Column “${header}”`"
        :class="{ none: columns[at] === '' }"
      >
        <option value="">skip</option>
        <option
          v-for="column in choices"
          :key="column"
          :value="column"
          :disabled="columns.includes(column) && columns[at] !== column"
        >
          {{ columnNames[column] }}
        </option>
      </select>
      <span v-for="(cell, index) in samples[at]" :key="index" class="mute cell">{{ cell }}</span>
    </div>
  </div>
</template>

<style scoped>
.columns {
  display: flex;
  gap: 12px;
  overflow-x: auto;
  padding-bottom: 6px;
}
.column {
  display: grid;
  align-content: start;
  gap: 3px;
  flex: none;
  width: 138px;
}
.column b,
.cell {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.cell {
  font-size: 0.75rem;
}
select.none {
  color: var(--mute);
}
</style>
