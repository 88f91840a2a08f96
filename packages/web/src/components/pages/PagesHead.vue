<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, ref, shallowRef, useTemplateRef } from 'vue';
import { mdiChevronDown } from '@mdi/js';
import { counted, redirectMap } from '@zorvik/core';
import type * as Formats from '@zorvik/formats';
import type { PageFilter } from '../../composables/usePageTree.ts';
import { saveFile } from '../../composables/saveFile.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import SinceLast from './SinceLast.vue';
import RefusalNote from '../common/RefusalNote.vue';

/** What is above the page tree: finding and filtering, adding a page, and the ways in which pages come in and go out. */
const PageFileDialog = defineAsyncComponent(() => import('./PageFileDialog.vue'));
const ReadPagesDialog = defineAsyncComponent(() => import('./ReadPagesDialog.vue'));
const ReadSiteDialog = defineAsyncComponent(() => import('./ReadSiteDialog.vue'));
const props = defineProps<{ count: string; isUnfolded: boolean; add: (title: string) => boolean }>();
const emit = defineEmits<{ unfoldAll: []; back: [] }>();
const typed = defineModel<string>('typed', { required: true });
const filter = defineModel<PageFilter>('filter', { required: true });
const copy = useWorkingCopy();
const reading = ref<'sitemap' | 'file' | 'site' | null>(null);
const adding = ref<string | null>(null);
const addField = useTemplateRef<HTMLInputElement>('addField');
const redirects = computed(() => (copy.document === null ? [] : redirectMap(copy.document)));
const dialog = (name: NonNullable<typeof reading.value>) =>
  computed({ get: () => reading.value === name, set: (isOpen) => (reading.value = isOpen ? name : null) });
const [isSitemap, isFile, isSite] = [dialog('sitemap'), dialog('file'), dialog('site')];

async function startAdding(): Promise<void> {
  adding.value = '';
  await nextTick();
  addField.value?.focus();
}

function addTyped(): void {
  if (adding.value === null || !props.add(adding.value)) return;
  stopAdding();
}

function stopAdding(): void {
  adding.value = null;
  emit('back');
}

function saveRedirects(): void {
  // RFC 4180: a path may have a comma.
  const quoted = (text: string): string => (/[",\r\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text);
  const lines = redirects.value.map(({ from, to }) => `${quoted(from)},${quoted(to)}`);
  saveFile(`${copy.siteKey ?? 'site'}-redirects.csv`, 'text/csv', ['old address,new address', ...lines, ''].join('\r\n'));
}

/** The formats are in a part of their own, which is loaded when somebody is about to need one. */
const formats = shallowRef<typeof Formats | null>(null);
async function loadFormats(): Promise<void> {
  formats.value ??= await import('@zorvik/formats');
}

function savePages({ key, ending, type }: (typeof Formats.pageFormats)[number]): void {
  const { stored } = copy;
  if (stored === null || formats.value === null) return;
  saveFile(`${copy.siteKey ?? 'site'}-pages${ending}`, type, formats.value.writePages(stored, key));
}

defineExpose({ startAdding, readSitemap: () => (reading.value = 'sitemap') });
</script>

<template>
  <div class="head">
    <h1>Pages</h1>
    <span class="mute number">{{ count }}</span>
    <input
      v-model="typed"
      type="search"
      placeholder="Part of a title or an address"
      aria-label="Find pages by part of a title or an address"
      autocomplete="off"
      spellcheck="false"
    />
    <label>
      <span class="only-heard">Show</span>
      <select v-model="filter">
        <option value="all">all pages</option>
        <option value="noMenu">in no menu</option>
        <option value="several">in several menus</option>
        <option value="draft">drafts</option>
        <option value="gone">deleted</option>
        <option value="new">new since the last reading</option>
        <option value="changed">changed since the last reading</option>
      </select>
    </label>
    <button type="button" class="plain-button" @click="emit('unfoldAll')">{{ isUnfolded ? 'Collapse all' : 'Expand all' }}</button>
    <button type="button" class="plain-button" @click="startAdding">Add page</button>
    <RefusalNote />
    <form v-if="adding !== null" class="adding" @submit.prevent="addTyped" @keydown.escape.stop="stopAdding">
      <input ref="addField" v-model="adding" type="text" aria-label="Title of the new page" placeholder="Title of the new page" />
      <button type="submit" class="plain-button">Add</button>
    </form>
    <span class="ways">
      <button type="button" class="plain-button" @click="reading = 'sitemap'">Import sitemap …</button>
      <button type="button" class="plain-button" @click="reading = 'file'">Import file …</button>
      <button type="button" class="plain-button" @click="reading = 'site'">Read the site …</button>
      <v-menu>
        <template #activator="{ props: activator }">
          <button type="button" class="plain-button" v-bind="activator" @mouseenter="loadFormats" @focus="loadFormats" @click="loadFormats">
            Export as
            <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true"><path :d="mdiChevronDown" fill="currentColor" /></svg>
          </button>
        </template>
        <v-list density="compact" min-width="240" aria-label="Export pages as">
          <v-list-item v-for="format in formats?.pageFormats" :key="format.key" :title="format.name" @click="savePages(format)" />
          <v-divider v-if="redirects.length > 0" />
          <v-list-item
            v-if="redirects.length > 0"
            :title="`Redirects: ${counted(redirects.length, '# old address', '# old addresses')} (CSV)`"
            @click="saveRedirects"
          />
        </v-list>
      </v-menu>
    </span>
    <SinceLast @look="reading = 'site'" />
    <ReadPagesDialog v-model="isSitemap" />
    <PageFileDialog v-model="isFile" />
    <ReadSiteDialog v-model="isSite" />
  </div>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 8px 12px;
  min-height: 46px;
  padding: 6px 14px;
}
h1 {
  font-size: 0.9375rem;
}
input[type='search'] {
  flex: 0 1 260px;
  margin-inline-start: 8px;
}
input,
select {
  height: 32px;
  min-width: 0;
  padding: 0 10px;
  border: 1px solid var(--line-strong);
  border-radius: var(--radius);
  background: var(--field);
}
input::placeholder {
  color: var(--mute);
  opacity: 1;
}
.head > :deep(.since) {
  flex-basis: 100%;
}
.adding {
  display: flex;
  gap: 6px;
}
.adding input {
  width: 300px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-inline-start: auto;
}
</style>
