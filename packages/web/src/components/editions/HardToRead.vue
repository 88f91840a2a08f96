<script setup lang="ts">
import { computed, onMounted } from 'vue';
import { useRouter } from 'vue-router';
import { counted, thingOf } from '@zorvik/core';
import { useFrame } from '../../stores/frame.ts';
import { useReadability, type SurveyedPair } from '../../stores/readability.ts';
import { situationWords, useStyling } from '../../stores/styling.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

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
      facts: `${ratio.toFixed(1)}, at least ${needed}`,
    };
  }),
);
/** A long list is not read; the workspace Style has all of it. */
const MOST = 8;

async function go({ page, pair }: SurveyedPair): Promise<void> {
  frame.lookAt(page.id);
  if (pair.scheme !== null) frame.scheme = pair.scheme;
  styling.below = 'states';
  styling.isOnlyProblems = true;
  await router.push({ name: 'style', params: { siteKey: copy.siteKey } });
}
</script>

<template>
  <section v-if="lines.length > 0" class="hard" aria-labelledby="hard-to-read">
    <h2 id="hard-to-read">{{ counted(lines.length, '# place is', '# places are') }} hard to read</h2>
    <ul>
      <li v-for="({ one, words, facts }, at) in lines.slice(0, MOST)" :key="at">
        <button type="button" class="link" @click="go(one)">{{ words }}</button>
        <span class="mute">on “{{ one.page.title }}”, contrast {{ facts }}</span>
      </li>
      <li v-if="lines.length > MOST" class="mute">and {{ lines.length - MOST }} more</li>
    </ul>
  </section>
</template>

<style scoped>
.hard {
  margin: 0 24px 14px;
  padding: 8px 12px;
  border-inline-start: 3px solid var(--brick);
  background: var(--sheet);
}
h2 {
  color: var(--brick);
  font-size: 0.8125rem;
}
ul {
  margin: 4px 0 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
  min-block-size: 24px;
}
.link {
  padding: 0;
  border: 0;
  background: none;
  color: var(--accent);
  text-decoration: underline;
  cursor: pointer;
}
</style>
