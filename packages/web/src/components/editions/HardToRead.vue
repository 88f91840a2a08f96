<script setup lang="ts">
import { computed, onMounted } from 'vue';
import { useRouter } from 'vue-router';
import { counted, thingOf } from '@zorvik/core';
import { useFrame } from '../../stores/frame.ts';
import { useReadability, type SurveyedPair } from '../../stores/readability.ts';
import { situationWords, useStyling } from '../../stores/styling.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import FoundBefore from './FoundBefore.vue';

/** What visitors could not read if this were published: said before the button, each line leads to where it is. */
const copy = useWorkingCopy();
const frame = useFrame();
const styling = useStyling();
const readability = useReadability();
const router = useRouter();
onMounted(() => void readability.lookEverywhere());
const lines = computed(() =>
  (readability.surveyed ?? []).map((one) => {
    const { thing, part, state, scheme, situation, ratio, needed } = one.pair;
    const place = part === null ? undefined : copy.document?.parts.nodes.get(part);
    const where = [
      ...(place === undefined ? [] : [frame.wordOf(place)]),
      ...(state === 'normal' ? [] : [state]),
      ...(scheme === 'dark' ? ['dark'] : []),
      ...(situation === 'over' ? [situationWords.over] : []),
    ];
    return {
      one,
      words: [thingOf(thing).name, ...where].join(', '),
      facts: `on “${one.page.title}”, contrast ${ratio.toFixed(1)}, at least ${needed}`,
    };
  }),
);
function goTo(at: number): void {
  const line = lines.value[at];
  if (line !== undefined) void go(line.one);
}
async function go({ page, pair }: SurveyedPair): Promise<void> {
  frame.lookAt(page.id);
  if (pair.scheme !== null) frame.scheme = pair.scheme;
  styling.below = 'states';
  styling.isOnlyProblems = true;
  await router.push({ name: 'style', params: { siteKey: copy.siteKey } });
}
</script>

<template>
  <FoundBefore
    id="hard-to-read"
    :title="`${counted(lines.length, '# place is', '# places are')} hard to read`"
    :lines="lines"
    @go="goTo"
  />
</template>
