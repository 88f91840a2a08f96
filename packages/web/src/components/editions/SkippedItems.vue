<script setup lang="ts">
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { counted, labelOf, nodeAt, skippedItems, type SkippedItem, type SkipReason } from '@zorvik/core';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import FoundBefore from './FoundBefore.vue';

/** What visitors would not get although it is in a menu, with the reason. */
const copy = useWorkingCopy();
const selection = useSelection();
const router = useRouter();
const found = computed(() => (copy.document === null ? [] : skippedItems(copy.document)));
const reasons: Readonly<Record<SkipReason, string>> = {
  noLink: 'no link yet',
  unpublished: 'set to unpublished',
  draft: 'its page is a draft',
  planned: 'its page is planned',
  notPlaced: 'not placed in the panel',
  placeholder: 'a text in its panel has not been written yet',
};
const lines = computed(() => {
  const { document } = copy;
  if (document === null) return [];
  return found.value.map(({ item, menu, why, below }) => ({
    words: labelOf(document, nodeAt(document.items, item)),
    facts: [
      reasons[why],
      ...(below === 0 ? [] : [`with ${counted(below, '# item', '# items')} below it`]),
      `in ${nodeAt(document.menus, menu).name}`,
    ].join(', '),
  }));
});
async function go(at: number): Promise<void> {
  const one: SkippedItem | undefined = found.value[at];
  if (one === undefined || copy.document === null) return;
  const { key } = nodeAt(copy.document.menus, one.menu);
  await router.push({ name: 'arrange', params: { siteKey: copy.siteKey ?? '', menuKey: key } });
  selection.select(one.item);
}
</script>

<template>
  <FoundBefore
    id="skipped-items"
    is-mild
    :title="
      counted(
        found.length,
        '# item will be skipped or is unfinished',
        '# items will be skipped or are unfinished',
      )
    "
    :lines="lines"
    @go="go"
  />
</template>
