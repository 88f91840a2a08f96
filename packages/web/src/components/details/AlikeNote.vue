<script setup lang="ts">
import { computed } from 'vue';
import {
  capitalised,
  faceOf,
  inWords,
  labelOf,
  makeAlike,
  nodeAt,
  settingPhrase,
  unlikeSiblings,
  type AlikeName,
  type Id,
  type Item,
} from '@zorvik/core';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import AlikeButton from '../common/AlikeButton.vue';

/** Offers to apply an item's settings to its siblings that differ. */
const props = defineProps<{ item: Item }>();
const copy = useWorkingCopy();
/** Beyond this many siblings, finding out would be felt with every key. */
const MOST = 500;

const settings = computed(() => {
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
    .map(([key, unlike]) => ({
      key,
      name: capitalised(inWords(settingPhrase(key)).replace(/^the /, '')),
      unlike,
    }));
});
const nameOf = (id: Id): string =>
  copy.document === null ? '' : labelOf(copy.document, nodeAt(copy.document.items, id));
function apply(keys: readonly string[], ids: readonly Id[]): void {
  copy.perform((context) => makeAlike(context, props.item.id, keys as readonly AlikeName[], ids));
}
</script>

<template>
  <AlikeButton :id="item.id" others="sibling" :settings="settings" :name-of="nameOf" @apply="apply" />
</template>
