<script setup lang="ts">
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { counted } from '@zorvik/core';
import { laneName, problemWords, rangeWords } from '../../stores/laneWords.ts';
import { useFit } from '../../stores/fit.ts';
import { useFrame } from '../../stores/frame.ts';
import { NARROWEST, useLiveView, WIDEST } from '../../stores/liveView.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import FoundBefore from './FoundBefore.vue';

/** What would not fit on the page that is looked at. */
const copy = useWorkingCopy();
const fit = useFit();
const frame = useFrame();
const live = useLiveView();
const router = useRouter();
const lines = computed(() => {
  const { document } = copy;
  if (document === null) return [];
  return fit.problems.map((one) => ({
    words: `${laneName(document, one)}: ${problemWords(one)}`,
    facts: `${rangeWords(one, { least: NARROWEST, most: WIDEST })}, on “${frame.page?.title ?? ''}”`,
  }));
});
async function go(at: number): Promise<void> {
  const problem = fit.problems[at];
  if (problem === undefined) return;
  const { part, item, worstAt } = problem;
  await router.push({ name: 'fit', params: { siteKey: copy.siteKey } });
  fit.chosen = { part, ...(item === undefined ? {} : { item }) };
  live.width = Math.min(worstAt, WIDEST);
}
</script>

<template>
  <FoundBefore
    id="does-not-fit"
    is-mild
    :title="`${counted(lines.length, '# thing does', '# things do')} not fit at some widths`"
    :lines="lines"
    @go="go"
  />
</template>
