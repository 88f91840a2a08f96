<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import {
  fieldsOf,
  makePartsAlike,
  nodeAt,
  partName,
  partWords,
  unlikeParts,
  wayUp,
  type Id,
  type Part,
  type PartField,
} from '@zorvik/core';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/** Offers to apply a part's settings to other parts of its kind, in the same panel or area. */
const AlikeDialog = defineAsyncComponent(() => import('../common/AlikeDialog.vue'));
const props = defineProps<{ part: Part }>();
const copy = useWorkingCopy();
const isOpen = ref(false);
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
  const all = [props.part.id, ...settings.value.flatMap(({ unlike }) => unlike)];
  const order = [...new Set(all)].sort((a, b) => placeOf(a) - placeOf(b));
  return `${name} ${order.indexOf(id) + 1}`;
}
const placeOf = (id: Id): number =>
  copy.document === null
    ? 0
    : [...copy.document.parts.nodes.keys()].indexOf(id) + wayUp(copy.document, id).length / 100;
function apply(keys: readonly string[], ids: readonly Id[]): void {
  copy.perform((context) => makePartsAlike(context, props.part.id, keys as readonly PartField[], ids));
}
</script>

<template>
  <button v-if="settings.length > 0" type="button" class="plain-button" @click="isOpen = true">
    Apply to other parts …
  </button>
  <AlikeDialog
    v-if="isOpen"
    v-model="isOpen"
    :name="nameOf(part.id)"
    others="part"
    :settings="settings"
    :name-of="nameOf"
    @apply="apply"
  />
</template>
