<script setup lang="ts">
import { childrenOf, sketchOf } from '@zorvik/core';
import { saveFile } from '../../composables/saveFile.ts';
import { terms } from '../../shortcuts/terms.ts';
import { useArrange } from '../../stores/arrange.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import MenuButton from '../common/MenuButton.vue';

/** What can be done with the menu as a whole. */
const copy = useWorkingCopy();
const selection = useSelection();
const arrange = useArrange();

/** The formats are in a part of their own, which is loaded when somebody needs one. */
const formats = [
  { key: 'json', name: 'JSON' },
  { key: 'csv', name: 'CSV' },
  { key: 'opml', name: 'OPML' },
  { key: 'markdown', name: 'Markdown list' },
  { key: 'html', name: 'HTML list' },
  { key: 'text', name: 'Plain text, one line per item' },
] as const;

async function takeOut(key: string): Promise<void> {
  const { document } = copy;
  const { menu } = selection;
  const { menuFormats } = await import('@zorvik/formats');
  const format = menuFormats.find((one) => one.key === key);
  if (document === null || menu === null || format === undefined) return;
  saveFile(
    `${menu.key}${format.ending}`,
    format.type,
    format.write({ name: menu.name, sketches: sketchOf(document, childrenOf(document.items, menu.id)) }),
  );
}
</script>

<template>
  <MenuButton label="Menu" list-label="Menu actions">
    <v-list-item title="Menu settings …" @click="arrange.ask('menuFacts')" />
    <v-list-item
      title="Shared links"
      :aria-description="terms.sharedLink"
      @click="arrange.ask('sharedLinks')"
    />
    <v-list-item
      :title="arrange.beside === null ? 'Show another menu next to it' : 'Hide the other menu'"
      :disabled="selection.menus.length < 2"
      @click="arrange.ask('beside')"
    />
    <v-list-item
      title="Add a planned page …"
      :aria-description="terms.plannedPage"
      @click="arrange.ask('planPage')"
    />
    <v-list-item title="Expand all" @click="selection.foldAll(false)" />
    <v-list-item title="Collapse all" @click="selection.foldAll(true)" />
    <v-divider />
    <v-list-item title="Import …" @click="arrange.ask('bringIn')" />
    <v-list-subheader>Export as</v-list-subheader>
    <v-list-item
      v-for="format in formats"
      :key="format.key"
      :title="format.name"
      @click="takeOut(format.key)"
    />
  </MenuButton>
</template>
