<script setup lang="ts">
import { computed } from 'vue';
import {
  counted,
  faceOf,
  inWords,
  makeAlike,
  settingPhrase,
  unlikeSiblings,
  type AlikeName,
  type Item,
} from '@zorvik/core';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/** Offers to apply an item's settings to its siblings that differ. */
const props = defineProps<{ item: Item }>();
const copy = useWorkingCopy();
/** Beyond this many siblings, finding out would be felt with every key. */
const MOST = 500;

const offers = computed(() => {
  const { document } = copy;
  if (
    document === null ||
    !document.items.nodes.has(props.item.id) ||
    (document.items.children.get(props.item.parent)?.size ?? 0) > MOST
  )
    return [];
  const face = faceOf(document, props.item);
  // What an item has not got is not offered: most siblings lack most things, and that is no news.
  return [...unlikeSiblings({ document }, props.item.id)]
    .filter(([name]) => face[name] !== undefined && face[name] !== false)
    .map(([name, ids]) => ({ name, words: inWords(settingPhrase(name)), count: ids.length }));
});

function spread(names: readonly AlikeName[]): void {
  copy.perform((context) => makeAlike(context, props.item.id, names));
}
</script>

<template>
  <div v-if="offers.length > 0" class="alike" role="group" aria-label="Apply to siblings">
    <span class="caption">Apply to siblings</span>
    <button
      v-for="offer in offers"
      :key="offer.name"
      type="button"
      :title="`Apply ${offer.words} to ${counted(offer.count, '# sibling', '# siblings')}`"
      @click="spread([offer.name])"
    >
      {{ offer.words }}
      <span class="number">{{ offer.count }}</span>
    </button>
    <button v-if="offers.length > 1" type="button" @click="spread(offers.map(({ name }) => name))">
      all
    </button>
  </div>
</template>

<style scoped>
.alike {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.caption {
  flex-basis: 100%;
  margin-bottom: 0;
}
button {
  min-height: 26px;
  padding: 0 9px;
  border: 1px dashed var(--line-strong);
  border-radius: 13px;
  background: var(--field);
  font-size: 0.75rem;
  cursor: pointer;
}
button:hover {
  border-style: solid;
}
.number {
  color: var(--mute);
}
</style>
