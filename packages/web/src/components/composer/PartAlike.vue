<script setup lang="ts">
import { computed } from 'vue';
import {
  fieldsOf,
  makePartsAlike,
  nodeAt,
  partName,
  partsOfItsKind,
  partWords,
  unlikeParts,
  type Id,
  type Part,
  type PartField,
} from '@zorvik/core';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import AlikeButton from '../common/AlikeButton.vue';

/** Offers to apply a part's settings to other parts of its kind, in the same panel or area. */
const props = defineProps<{ part: Part }>();
const copy = useWorkingCopy();
const settings = computed(() =>
  copy.document === null || !copy.document.parts.nodes.has(props.part.id)
    ? []
    : [...unlikeParts(copy.document, props.part.id)].map(([key, unlike]) => ({
        key,
        name: fieldsOf(props.part.kind)[key]?.control.label ?? key,
        unlike,
      })),
);
/** A part without a name of its own is told by its number among those of its kind. */
function nameOf(id: Id): string {
  const { document } = copy;
  if (document === null) return '';
  const part = nodeAt(document.parts, id);
  const name = partName(document, part);
  if (name !== partWords[part.kind]) return name;
  return `${name} ${partsOfItsKind(document, part).findIndex((one) => one.id === id) + 1}`;
}
function apply(keys: readonly string[], ids: readonly Id[]): void {
  copy.perform((context) => makePartsAlike(context, props.part.id, keys as readonly PartField[], ids));
}
</script>

<template>
  <AlikeButton :id="part.id" others="part" :settings="settings" :name-of="nameOf" @apply="apply" />
</template>
