<script setup lang="ts">
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { causeInWords, counted } from '@zorvik/core';
import { useDrift } from '../../stores/drift.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import FoundBefore from './FoundBefore.vue';

/** Links that would fail visitors if this were published. */
const copy = useWorkingCopy();
const drift = useDrift();
const router = useRouter();
const causes = computed(() => drift.all.filter(({ tone }) => tone === 'broken'));
const count = computed(() => causes.value.reduce((sum, { findings }) => sum + findings.length, 0));
const lines = computed(() => {
  const { document } = copy;
  return document === null
    ? []
    : causes.value.map((cause) => ({
        words: causeInWords(document, cause),
        facts: document.menus.nodes.get(cause.findings[0].menu)?.name ?? 'frame',
      }));
});
function go(at: number): void {
  const [finding] = causes.value[at]?.findings ?? [];
  if (finding === undefined) return;
  const params = { siteKey: copy.siteKey ?? '' };
  const menu = copy.document?.menus.nodes.get(finding.menu)?.key;
  if (menu === undefined) return void router.push({ name: 'frame', params, query: { part: finding.part } });
  drift.chosenId = finding.id;
  void router.push({ name: 'drift', params: { ...params, menuKey: menu } });
}
</script>

<template>
  <FoundBefore
    id="broken-links"
    :title="counted(count, '# broken link', '# broken links')"
    :lines="lines"
    @go="go"
  />
</template>
