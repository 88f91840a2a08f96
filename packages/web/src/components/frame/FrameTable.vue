<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { computed } from 'vue';
import {
  addPlace,
  counted,
  nodeAt,
  pagesOf,
  placementTable,
  removeExceptions,
  setException,
  setPart,
  setShownMenu,
  type ExceptionOn,
  type Id,
  type PartOf,
  type PlacementRow,
  type Shown,
} from '@zorvik/core';
import { useFrame } from '../../stores/frame.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import IconButton from '../common/IconButton.vue';

/** Which menu shows where, as a whole: a row for each place of a menu, a column for each template. */
const copy = useWorkingCopy();
const frame = useFrame();
const selection = useSelection();
const table = computed(() => (copy.document === null ? null : placementTable(copy.document)));
const NONE = 'none';
const HIDDEN = 'hidden';
const AS_ALL = 'all';

const valueOf = ({ isShown, menu }: Shown): string => (isShown ? (menu ?? NONE) : HIDDEN);
const menus = computed(() => selection.menus.map(({ id, name }) => ({ value: id, label: name })));
const labelOf = (value: string): string =>
  value === NONE
    ? 'No menu'
    : value === HIDDEN
      ? 'Hidden'
      : (menus.value.find((one) => one.value === value)?.label ?? '');
const nameOf = (id: Id): string => (copy.document === null ? '' : nodeAt(copy.document.menus, id).name);
const placeOf = ({ placement }: PlacementRow): string => {
  const path = frame.pathOf(placement.id);
  return path === '' ? (placement.text ?? 'In the page') : path;
};
const pagesIn = (one: PartOf<'exception'>): string =>
  copy.document === null ? '' : pagesOf(copy.document, one);
const ofException = (one: PartOf<'exception'>): string =>
  valueOf({ isShown: one.isShown, menu: one.shows ?? null, by: one });

function setUsual({ placement }: PlacementRow, value: string): void {
  const id = placement.id;
  if (value === HIDDEN) return void copy.perform((context) => setPart(context, id, { isHidden: true }));
  const menu = value === NONE ? null : value;
  copy.performAll([
    ...(placement.isHidden === true ? [(context: Context) => setPart(context, id, { isHidden: null })] : []),
    ...(menu === (placement.shows ?? null) ? [] : [(context: Context) => setShownMenu(context, id, menu)]),
  ]);
}
type Context = Parameters<Parameters<typeof copy.perform>[0]>[0];

function setOn(
  { placement, usual }: PlacementRow,
  on: ExceptionOn,
  by: PartOf<'exception'> | null,
  value: string,
): void {
  if (value === AS_ALL) {
    if (by !== null) copy.perform((context) => removeExceptions(context, [by.id]));
    return;
  }
  const shows = value === HIDDEN ? usual.menu : value === NONE ? null : value;
  copy.perform((context) => setException(context, placement.id, on, { isShown: value !== HIDDEN, shows }));
}
const reset = (id: Id): void => void copy.perform((context) => removeExceptions(context, [id]));
const chosen = (event: Event): string => (event.target as HTMLSelectElement).value;

function show({ placement }: PlacementRow): void {
  frame.view = 'picture';
  frame.select(placement.id);
}
</script>

<template>
  <div v-if="table !== null" class="placements">
    <p v-if="table.rows.length === 0" class="mute">
      No place for a menu yet. Add one to the page, or add a named place below.
    </p>
    <div v-else class="scroller" tabindex="0" role="region" aria-label="Placement table">
      <table>
        <thead>
          <tr>
            <th scope="col">Place</th>
            <th scope="col">All pages</th>
            <th v-for="{ template, pages } in table.templates" :key="template" scope="col">
              {{ template }}
              <small :class="pages === 0 ? 'look' : 'mute'">
                {{ pages === 0 ? 'no page has it' : counted(pages, '# page', '# pages') }}
              </small>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in table.rows" :key="row.placement.id">
            <th scope="row">
              <button type="button" class="place" title="Show it on the page" @click="show(row)">
                {{ placeOf(row) }}
              </button>
            </th>
            <td>
              <select
                class="plain-field"
                :aria-label="`${placeOf(row)}, all pages`"
                :value="valueOf(row.usual)"
                @change="setUsual(row, chosen($event))"
              >
                <option v-for="one in menus" :key="one.value" :value="one.value">{{ one.label }}</option>
                <option :value="NONE">No menu</option>
                <option :value="HIDDEN">Hidden</option>
              </select>
              <ul v-if="row.pages.length > 0">
                <li v-for="one in row.pages" :key="one.id">
                  <span class="mute">{{ pagesIn(one) }}</span>
                  {{ labelOf(ofException(one)) }}
                  <IconButton label="Remove this exception" :icon="mdiClose" @press="reset(one.id)" />
                </li>
              </ul>
            </td>
            <td v-for="(cell, at) in row.cells" :key="table.templates[at]?.template">
              <select
                class="plain-field"
                :class="{ own: cell.by !== null }"
                :aria-label="`${placeOf(row)}, template ${table.templates[at]?.template ?? ''}`"
                :value="cell.by === null ? AS_ALL : valueOf(cell)"
                @change="
                  setOn(row, { template: table.templates[at]?.template ?? '' }, cell.by, chosen($event))
                "
              >
                <option :value="AS_ALL">as all pages</option>
                <option v-for="one in menus" :key="one.value" :value="one.value">{{ one.label }}</option>
                <option :value="NONE">No menu</option>
                <option :value="HIDDEN">Hidden</option>
              </select>
              <ul v-if="cell.pages.length > 0">
                <li v-for="one in cell.pages" :key="one.id">
                  <span class="mute">{{ pagesIn(one) }}</span>
                  {{ labelOf(ofException(one)) }}
                  <IconButton label="Remove this exception" :icon="mdiClose" @press="reset(one.id)" />
                </li>
              </ul>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <div class="below">
      <button type="button" class="plain-button" @click="copy.perform((context) => addPlace(context))">
        Add a named place in the page
      </button>
      <p v-if="table.nowhere.length > 0" class="look">
        On no page:
        <button
          v-for="id in table.nowhere"
          :key="id"
          type="button"
          class="plain-button"
          title="Give it a named place"
          @click="copy.perform((context) => addPlace(context, id))"
        >
          {{ nameOf(id) }}
        </button>
      </p>
      <p class="mute">
        For each page the most specific choice counts: the page, its nearest branch, its template, all pages.
      </p>
    </div>
  </div>
</template>

<style scoped>
.placements {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  gap: 10px;
  min-height: 0;
  padding: 12px 14px;
}
.scroller {
  overflow: auto;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--sheet);
}
table {
  border-collapse: collapse;
  min-width: 100%;
}
th,
td {
  padding: 8px 10px;
  border-bottom: 1px solid var(--line);
  text-align: start;
  vertical-align: top;
}
thead th {
  position: sticky;
  inset-block-start: 0;
  z-index: 1;
  background: var(--sheet);
  font-size: 0.75rem;
  white-space: nowrap;
}
thead small {
  display: block;
  font-weight: 400;
}
tbody th {
  position: sticky;
  inset-inline-start: 0;
  background: var(--sheet);
}
.place {
  padding: 4px 0;
  border: 0;
  background: none;
  color: var(--ink);
  font-weight: 600;
  text-align: start;
  white-space: nowrap;
  cursor: pointer;
}
.place:hover {
  text-decoration: underline;
}
select {
  width: 190px;
}
/* What is as everywhere stays quiet, so that exceptions are seen at once. */
td:not(:first-of-type) select:not(.own) {
  border-color: transparent;
  background: none;
  color: var(--mute);
}
td:not(:first-of-type) select:not(.own):is(:hover, :focus) {
  border-color: var(--line-strong);
}
td:first-of-type select,
select.own {
  font-weight: 600;
}
ul {
  margin: 4px 0 0;
  padding: 0;
  list-style: none;
  font-size: 0.75rem;
}
li {
  display: flex;
  align-items: center;
  gap: 6px;
}
.below {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 18px;
}
.below p {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}
.look {
  color: var(--ochre);
}
</style>
