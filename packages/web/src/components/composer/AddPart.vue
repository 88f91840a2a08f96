<script setup lang="ts">
import { mdiPlus } from '@mdi/js';
import { computed } from 'vue';
import { addableKinds, capitalised, definitionOf, heldBy, type PartKind } from '@zorvik/core';
import { useComposing } from '../../composables/useComposing.ts';
import { useComposer } from '../../stores/composer.ts';

const addable = addableKinds('panel');
/** What may be added where one is, in words: what it is and what it does. */
const composer = useComposer();
const composing = useComposing();
const emit = defineEmits<{ left: [] }>();
/** Links stand in lists and tabs in tabs alone: they are offered there. */
const isSpecial = (kind: PartKind): boolean => !definitionOf(kind).standsIn.includes('cell');
const isOffered = (kind: PartKind): boolean => addable.includes(kind) && isSpecial(kind);
const kinds = computed(() => {
  const selected = composer.part;
  const around =
    selected === null ? [] : [selected, ...composer.parts.filter(({ id }) => id === selected.parent)];
  const holder = around.find(({ kind }) => addable.includes(kind) && heldBy(kind).some(isOffered));
  const special = holder === undefined ? [] : heldBy(holder.kind).filter(isOffered);
  return [...special, ...addable.filter((kind) => !isSpecial(kind))].map((kind) => {
    const { name, about } = definitionOf(kind);
    return { kind, name: capitalised(name), about };
  });
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
        <v-list-item v-for="one in kinds" :key="one.kind" @click="add(one.kind)">
          <span class="name">{{ one.name }}</span>
          <span class="mute">{{ one.about }}</span>
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
