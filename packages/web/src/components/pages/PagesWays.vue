<script setup lang="ts">
import { computed, shallowRef } from 'vue';
import { counted, redirectMap } from '@zorvik/core';
import type * as Formats from '@zorvik/formats';
import { saveFile } from '../../composables/saveFile.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import MenuButton from '../common/MenuButton.vue';

/** The ways in which pages are imported and exported. */
const emit = defineEmits<{ ask: [what: 'sitemap' | 'file' | 'site'] }>();
const copy = useWorkingCopy();
const redirects = computed(() => (copy.document === null ? [] : redirectMap(copy.document)));

function saveRedirects(): void {
  // RFC 4180: a path may have a comma.
  const quoted = (text: string): string => (/[",\r\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text);
  const lines = redirects.value.map(({ from, to }) => `${quoted(from)},${quoted(to)}`);
  saveFile(
    `${copy.siteKey ?? 'site'}-redirects.csv`,
    'text/csv',
    ['old address,new address', ...lines, ''].join('\r\n'),
  );
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
</script>

<template>
  <span class="ways">
    <button
      type="button"
      class="plain-button"
      title="Reads the pages from the site itself and shows what changed"
      @click="emit('ask', 'site')"
    >
      Read the site …
    </button>
    <MenuButton label="Import" list-label="Import pages" :min-width="200">
      <v-list-item title="Import sitemap …" @click="emit('ask', 'sitemap')" />
      <v-list-item title="Import file …" @click="emit('ask', 'file')" />
    </MenuButton>
    <MenuButton
      label="Export"
      list-label="Export pages as"
      @mouseenter="loadFormats"
      @focus="loadFormats"
      @click="loadFormats"
    >
      <v-list-item
        v-for="format in formats?.pageFormats"
        :key="format.key"
        :title="format.name"
        @click="savePages(format)"
      />
      <v-divider v-if="redirects.length > 0" />
      <v-list-item
        v-if="redirects.length > 0"
        :title="`Redirects: ${counted(redirects.length, '# old address', '# old addresses')} (CSV)`"
        @click="saveRedirects"
      />
    </MenuButton>
  </span>
</template>

<style scoped>
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
