<script setup lang="ts">
import { mdiPlus } from '@mdi/js';
import { computed } from 'vue';
import { addableKinds, heldBy, type PartKind } from '@zorvik/core';
import { useComposing } from '../../composables/useComposing.ts';
import { useComposer } from '../../stores/composer.ts';

/** What may be added where one is, in words: what it is and what it does. */
const composer = useComposer();
const composing = useComposing();
const emit = defineEmits<{ left: [] }>();
const about: Readonly<Partial<Record<PartKind, readonly [string, string]>>> = {
  group: ['Link group', 'one child item and its links'],
  groups: ['Remaining groups', 'all other child items, balanced in columns'],
  links: ['Link list', 'links in this panel only'],
  link: ['Link', 'another link in this list'],
  heading: ['Heading', 'a line above other parts'],
  text: ['Text', 'paragraphs and lists'],
  picture: ['Picture', 'uploaded; may extend to the edge'],
  button: ['Button', 'a call to action'],
  divider: ['Divider', 'a line between parts'],
  search: ['Search', 'a field that searches the site'],
  pages: ['Live list', 'newest, most visited, A to Z; links or cards'],
  menu: ['Menu', 'another menu, as a list'],
  video: ['Video', 'preview image with a link'],
  tabs: ['Tabs', 'several views, one at a time'],
  tab: ['Tab', 'another tab'],
};
/** Links stand in lists and tabs in tabs alone: they are offered there. */
const kinds = computed(() => {
  const selected = composer.part;
  const holder =
    selected === null
      ? null
      : [selected, ...composer.parts.filter(({ id }) => id === selected.parent)].find(
          ({ kind }) => kind === 'links' || kind === 'tabs',
        );
  const special = holder === null || holder === undefined ? [] : heldBy[holder.kind];
  return [...special, ...addableKinds.filter((kind) => kind !== 'link' && kind !== 'tab')];
});

function add(kind: PartKind): void {
  composer.isAdding = false;
  composing.addKind(kind);
  emit('left');
}
</script>

<template>
  <v-menu v-model="composer.isAdding" location="top start">
    <template #activator="{ props: activator }">
      <button type="button" class="plain-button" title="Add a part (P)" v-bind="activator">
        <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
          <path :d="mdiPlus" fill="currentColor" />
        </svg>
        Add a part
      </button>
    </template>
    <section aria-label="Add a part">
      <v-list density="compact" class="kinds">
        <v-list-item v-for="kind in kinds" :key="kind" @click="add(kind)">
          <span class="name">{{ about[kind]?.[0] }}</span>
          <span class="mute">{{ about[kind]?.[1] }}</span>
        </v-list-item>
      </v-list>
    </section>
  </v-menu>
</template>

<style scoped>
.kinds {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  width: 560px;
  max-width: 92vw;
}
.name {
  font-weight: 600;
  margin-inline-end: 8px;
}
.mute {
  font-size: 0.75rem;
}
</style>
