<script setup lang="ts">
import { numbered } from '@zorvik/core';
import { computed, useTemplateRef } from 'vue';
import { useRouter } from 'vue-router';
import PageStrip from '../components/pages/PageStrip.vue';
import PagesHead from '../components/pages/PagesHead.vue';
import PageTreeRow from '../components/pages/PageTreeRow.vue';
import type { PagePlace } from '../composables/pagePlaces.ts';
import { usePageDrop } from '../composables/usePageDrop.ts';
import { usePageTree } from '../composables/usePageTree.ts';
import { ROW_HEIGHT } from '../composables/rowHeight.ts';
import { useVirtualRows } from '../composables/useVirtualRows.ts';
import { useSelection } from '../stores/selection.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';

/** The site's pages as a tree to work on, each with where it stands in the menus. */
const copy = useWorkingCopy();
const selection = useSelection();
const router = useRouter();
const scroller = useTemplateRef<HTMLElement>('scroller');
const head = useTemplateRef<InstanceType<typeof PagesHead>>('head');
const strip = useTemplateRef<InstanceType<typeof PageStrip>>('strip');
const tree = usePageTree({
  element: scroller,
  show: (index) => virtual.show(index),
  rename: () => strip.value?.focusTitle(),
  startAdding: () => void head.value?.startAdding(),
});
const { typed, filter, rows, at, chosen, drop, isAddressMoved, unfolded } = tree;
const virtual = useVirtualRows(
  scroller,
  computed(() => rows.value.length),
);
const total = computed(() => copy.document?.pages.nodes.size ?? 0);
const isAll = computed(() => typed.value.trim() === '' && filter.value === 'all');
const count = computed(() =>
  isAll.value ? numbered(total.value) : `${numbered(rows.value.length)} of ${numbered(total.value)}`,
);
const noPlaces: readonly PagePlace[] = [];

async function goTo({ menu, item }: PagePlace): Promise<void> {
  const key = copy.document?.menus.nodes.get(menu)?.key ?? '';
  await router.push({ name: 'arrange', params: { siteKey: copy.siteKey ?? '', menuKey: key } });
  selection.showMenu(key);
  selection.select(item);
}

usePageDrop(scroller, { isAll, rows, drop, tree });
</script>

<template>
  <div class="pages">
    <PagesHead
      ref="head"
      v-model:typed="typed"
      v-model:filter="filter"
      :count="count"
      :is-unfolded="unfolded.size > 0"
      :add="tree.add"
      @unfold-all="tree.unfoldAll"
      @back="scroller?.focus()"
    />
    <div class="columns" aria-hidden="true">
      <span>Title</span>
      <span>Address</span>
      <span>Kind</span>
      <span>State</span>
      <span>Visits</span>
      <span>In menus</span>
    </div>
    <div v-if="total === 0" class="empty">
      <p class="what">This site has no pages yet.</p>
      <p class="mute">
        Import its sitemap, or let Zorvik read the site and place each page by its breadcrumbs.
      </p>
      <v-btn color="primary" @click="head?.readSitemap()">Import sitemap …</v-btn>
    </div>
    <p v-else-if="rows.length === 0" class="empty mute">
      {{ typed.trim() === '' ? 'No page matches.' : `No page has “${typed}” in its title or address.` }}
    </p>
    <div
      v-show="rows.length > 0"
      ref="scroller"
      class="list"
      role="treegrid"
      tabindex="0"
      aria-label="Pages of the site"
      aria-multiselectable="true"
      :aria-rowcount="rows.length"
      :aria-activedescendant="rows[at] === undefined ? undefined : `page-${rows[at]?.id}`"
      @keydown="tree.press"
    >
      <div role="rowgroup" :style="{ height: `${virtual.height.value}px` }">
        <template v-for="{ index, start } in virtual.rows.value" :key="rows[index]?.id ?? index">
          <PageTreeRow
            v-if="rows[index] !== undefined"
            :row="rows[index]!"
            :index="index"
            :is-chosen="tree.isChosen(rows[index]!.id)"
            :is-lead="index === at"
            :chosen="chosen"
            :places="tree.places.value.get(rows[index]!.id) ?? noPlaces"
            :style="{ transform: `translateY(${start}px)` }"
            @click="tree.point(index, $event)"
            @fold="tree.setUnfolded(rows[index]!.id, $event)"
            @go-to="goTo"
          />
        </template>
      </div>
      <div
        v-if="drop !== null"
        class="drop"
        :class="{ into: drop.isInto, no: drop.problem !== null }"
        :style="{
          insetBlockStart: `${drop.line * ROW_HEIGHT}px`,
          insetInlineStart: `${14 + drop.depth * 22}px`,
        }"
      >
        <span>{{ drop.problem ?? drop.words }}</span>
      </div>
    </div>
    <PageStrip ref="strip" v-model:is-address-moved="isAddressMoved" :chosen="chosen" />
  </div>
</template>

<style scoped src="../components/pages/pageColumns.css"></style>
<style scoped>
.pages {
  position: relative;
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr) auto;
  height: 100%;
}
.columns {
  min-height: 1.75rem;
  border-block: 1px solid var(--line);
  background: var(--sheet);
  color: var(--mute);
  font-size: 0.75rem;
}
.columns span:first-child {
  padding-inline-start: 28px;
}
.columns span:nth-child(5) {
  text-align: end;
}
.list {
  position: relative;
  overflow: auto;
  outline: none;
}
.list:focus-visible :deep(.row.lead) {
  outline: 2px solid var(--ink);
  outline-offset: -2px;
}
.list > div:first-child {
  position: relative;
}
.drop {
  position: absolute;
  inset-inline-end: 14px;
  height: 2px;
  margin-block-start: -1px;
  background: var(--accent);
  pointer-events: none;
}
.drop.into {
  height: 32px;
  border: 2px solid var(--accent);
  border-radius: 6px;
  background: none;
}
.drop.no {
  border-color: var(--brick);
  background: var(--brick);
}
.drop span {
  position: absolute;
  inset-inline-end: 0;
  inset-block-end: 3px;
  padding: 3px 8px;
  border-radius: 5px;
  background: var(--ink);
  color: var(--on-ink);
  font-size: 0.75rem;
  white-space: nowrap;
}
.empty {
  display: grid;
  gap: 8px;
  align-content: start;
  justify-items: center;
  padding: 40px 14px;
}
.what {
  font-size: 0.9375rem;
  font-weight: 600;
}
</style>
