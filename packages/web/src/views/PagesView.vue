<script setup lang="ts">
import { mdiChevronDown, mdiChevronRight } from '@mdi/js';
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { childrenOf, type Id } from '@zorvik/core';
import RefusalNote from '../components/common/RefusalNote.vue';
import ReadPagesDialog from '../components/pages/ReadPagesDialog.vue';
import ReadSiteDialog from '../components/pages/ReadSiteDialog.vue';
import { pageRows } from '../composables/pageRows.ts';
import { whereUsed } from '../composables/pageUse.ts';
import { useVirtualRows } from '../composables/useVirtualRows.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';

const copy = useWorkingCopy();
const scroller = useTemplateRef<HTMLElement>('scroller');
const typed = ref('');
const isReading = ref(false);
const isReadingSite = ref(false);
const at = ref(0);
const unfolded = shallowRef<ReadonlySet<Id>>(new Set());

const rows = computed(() => (copy.document === null ? [] : pageRows(copy.document, unfolded.value, typed.value)));
const usedIn = (id: Id): string[] => (copy.document === null ? [] : whereUsed(copy.document, id));
const total = computed(() => copy.document?.pages.nodes.size ?? 0);
const virtual = useVirtualRows(
  scroller,
  computed(() => rows.value.length),
);
const states: Readonly<Record<string, string>> = { live: 'live', draft: 'draft', gone: 'gone' };
watch(typed, () => (at.value = 0));

function setUnfolded(id: Id, isUnfolded: boolean): void {
  const next = new Set(unfolded.value);
  if (isUnfolded) next.add(id);
  else next.delete(id);
  unfolded.value = next;
}

function unfoldAll(): void {
  const { document } = copy;
  if (document === null) return;
  unfolded.value = unfolded.value.size > 0 ? new Set() : new Set([...document.pages.nodes.keys()].filter((id) => childrenOf(document.pages, id).size > 0));
}

function press(event: KeyboardEvent): void {
  const row = rows.value[at.value];
  const go = (index: number): void => {
    at.value = Math.max(0, Math.min(index, rows.value.length - 1));
    virtual.show(at.value);
  };
  if (event.target !== scroller.value || row === undefined) return;
  if (event.key === 'ArrowDown') go(at.value + 1);
  else if (event.key === 'ArrowUp') go(at.value - 1);
  else if (event.key === 'Home') go(0);
  else if (event.key === 'End') go(rows.value.length - 1);
  else if (event.key === 'ArrowRight' && row.childCount > 0 && !row.isUnfolded) setUnfolded(row.id, true);
  else if (event.key === 'ArrowRight' && row.isUnfolded) go(at.value + 1);
  else if (event.key === 'ArrowLeft' && row.isUnfolded) setUnfolded(row.id, false);
  else if (event.key === 'ArrowLeft') go(rows.value.findLastIndex(({ depth }, index) => index < at.value && depth < row.depth));
  else return;
  event.preventDefault();
}
</script>

<template>
  <div class="pages">
    <div class="head">
      <h1>Pages</h1>
      <span class="mute number">{{ typed.trim() === '' ? total.toLocaleString() : `${rows.length.toLocaleString()} of ${total.toLocaleString()}` }}</span>
      <input
        v-model="typed"
        type="search"
        placeholder="Part of a title or an address"
        aria-label="Find pages by part of a title or an address"
        autocomplete="off"
        spellcheck="false"
      />
      <button type="button" class="plain-button" @click="unfoldAll">{{ unfolded.size > 0 ? 'Fold all' : 'Unfold all' }}</button>
      <RefusalNote />
      <button type="button" class="plain-button" @click="isReading = true">Read a sitemap …</button>
      <button type="button" class="plain-button strong" @click="isReadingSite = true">Read the site …</button>
    </div>
    <div class="columns" aria-hidden="true">
      <span>Title</span>
      <span>Address</span>
      <span>Kind</span>
      <span>State</span>
      <span>In menus</span>
    </div>
    <div v-if="total === 0" class="empty">
      <p class="what">This site has no pages yet.</p>
      <p class="mute">Read its sitemap: each address becomes a page, where its path puts it.</p>
      <v-btn color="primary" @click="isReading = true">Read a sitemap …</v-btn>
    </div>
    <p v-else-if="rows.length === 0" class="empty mute">No page has “{{ typed }}” in its title or its address.</p>
    <div
      v-show="rows.length > 0"
      ref="scroller"
      class="list"
      role="treegrid"
      tabindex="0"
      aria-label="Pages of the site"
      aria-readonly="true"
      :aria-rowcount="rows.length"
      :aria-activedescendant="rows[at] === undefined ? undefined : `page-${rows[at]?.id}`"
      @keydown="press"
    >
      <div role="rowgroup" :style="{ height: `${virtual.height.value}px` }">
        <div
          v-for="{ index, start } in virtual.rows.value"
          :id="`page-${rows[index]?.id}`"
          :key="rows[index]?.id ?? index"
          role="row"
          class="row"
          :class="{ on: index === at }"
          :style="{ transform: `translateY(${start}px)` }"
          :aria-rowindex="index + 1"
          :aria-level="(rows[index]?.depth ?? 0) + 1"
          :aria-expanded="rows[index]?.childCount ? rows[index]?.isUnfolded : undefined"
          :aria-selected="index === at"
          @click="at = index"
          @dblclick="rows[index]!.childCount > 0 && setUnfolded(rows[index]!.id, !rows[index]!.isUnfolded)"
        >
          <span role="gridcell" class="title" :style="{ paddingInlineStart: `${(rows[index]?.depth ?? 0) * 22}px` }">
            <button
              v-if="rows[index]?.childCount"
              type="button"
              tabindex="-1"
              class="fold"
              :aria-label="`${rows[index]?.isUnfolded ? 'Fold' : 'Unfold'} ${rows[index]?.page.title}`"
              @click.stop="setUnfolded(rows[index]!.id, !rows[index]!.isUnfolded)"
            >
              <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
                <path :d="rows[index]?.isUnfolded ? mdiChevronDown : mdiChevronRight" fill="currentColor" />
              </svg>
            </button>
            <span v-else class="fold" />
            <span class="text" :class="{ gone: rows[index]?.page.state === 'gone' }">{{ rows[index]?.page.title }}</span>
            <span v-if="rows[index]?.childCount" class="count number">{{ rows[index]?.childCount }}</span>
          </span>
          <span role="gridcell" class="address">{{ rows[index]?.page.address }}</span>
          <span role="gridcell" class="mute">{{ rows[index]?.page.kind }}</span>
          <span role="gridcell">
            <span class="state" :class="rows[index]?.page.state">{{ rows[index]?.page.planned ? 'planned' : states[rows[index]?.page.state ?? 'live'] }}</span>
          </span>
          <span role="gridcell" class="menus">
            <span v-for="name in usedIn(rows[index]?.id ?? '')" :key="name">{{ name }}</span>
          </span>
        </div>
      </div>
    </div>
    <ReadPagesDialog v-model="isReading" />
    <ReadSiteDialog v-model="isReadingSite" />
  </div>
</template>

<style scoped>
.pages {
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr);
  height: 100%;
}
.head {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 8px 12px;
  min-height: 46px;
  padding: 6px 14px;
}
h1 {
  font-size: 15px;
}
input {
  flex: 0 1 340px;
  height: 32px;
  margin-inline-start: 8px;
  padding: 0 10px;
  border: 1px solid var(--line-strong);
  border-radius: var(--radius);
  background: var(--white);
}
input::placeholder {
  color: var(--mute);
  opacity: 1;
}
.strong {
  margin-inline-start: auto;
}
.columns,
.row {
  display: grid;
  grid-template-columns: minmax(220px, 5fr) minmax(120px, 4fr) 90px 80px minmax(120px, 3fr);
  align-items: center;
  gap: 16px;
  padding: 0 14px;
}
.columns {
  min-height: 28px;
  border-block: 1px solid var(--line);
  background: var(--sheet);
  color: var(--mute);
  font-size: 12px;
}
.columns span:first-child {
  padding-inline-start: 28px;
}
.list {
  overflow: auto;
  outline: none;
}
.list:focus-visible .row.on {
  outline: 2px solid var(--ink);
  outline-offset: -2px;
}
.list > div {
  position: relative;
}
.row {
  position: absolute;
  inset-inline: 0;
  top: 0;
  height: 32px;
  white-space: nowrap;
  border-bottom: 1px solid var(--line-soft);
}
.row:hover {
  background: #fffdf8b3;
}
.row.on {
  background: var(--white);
  box-shadow: inset 3px 0 var(--ink);
}
.title {
  display: flex;
  align-items: center;
  gap: 4px;
  min-width: 0;
}
.fold {
  flex: none;
  display: grid;
  place-items: center;
  width: 24px;
  height: 24px;
  padding: 0;
  border: 0;
  border-radius: 5px;
  background: none;
  color: var(--mute);
}
button.fold {
  cursor: pointer;
}
button.fold:hover {
  background: var(--paper-deep);
}
.text {
  overflow: hidden;
  text-overflow: ellipsis;
}
.gone {
  text-decoration: line-through;
  color: var(--mute);
}
.count {
  padding: 0 6px;
  border-radius: 8px;
  background: var(--paper-deep);
  color: var(--mute);
  font-size: 11px;
}
.address {
  overflow: hidden;
  text-overflow: ellipsis;
  color: var(--mute);
}
.state {
  padding: 1px 8px;
  border-radius: 9px;
  font-size: 12px;
  color: var(--moss);
  background: var(--moss-tint);
}
.state.draft {
  color: var(--ochre);
  background: var(--ochre-tint);
}
.state.gone {
  color: var(--brick);
  background: var(--brick-tint);
  text-decoration: none;
}
.menus {
  display: flex;
  gap: 6px;
  overflow: hidden;
  font-size: 12px;
}
.menus span + span::before {
  content: '· ';
  color: var(--mute);
}
.empty {
  display: grid;
  gap: 8px;
  align-content: start;
  justify-items: center;
  padding: 40px 14px;
}
.what {
  font-size: 15px;
  font-weight: 600;
}
@media (max-width: 760px) {
  .columns,
  .row {
    grid-template-columns: minmax(0, 1fr) 70px;
  }
  .columns span:nth-child(2),
  .columns span:nth-child(3),
  .columns span:nth-child(5),
  .row > :nth-child(2),
  .row > :nth-child(3),
  .row > :nth-child(5) {
    display: none;
  }
}
</style>
