<script setup lang="ts">
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { counted, nameOf, whyShown, type Behaviour, type ShownReason } from '@zorvik/core';
import { useFrame } from '../../stores/frame.ts';
import { useSelection } from '../../stores/selection.ts';
import { useStyling } from '../../stores/styling.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/** Why something is where it is, and when it is shown; each line leads to what says so. */
const copy = useWorkingCopy();
const frame = useFrame();
const selection = useSelection();
const styling = useStyling();
const router = useRouter();

const behaviourWords: Readonly<Record<Behaviour, string>> = {
  sticky: 'stays in sight while the page scrolls',
  returns: 'comes back when the page scrolls up',
  lower: 'is lower once the page has scrolled',
  overlaid: 'lies over the content',
};
function wordsOf(reason: ShownReason): string {
  switch (reason.why) {
    case 'unpublished':
      return 'unpublished, by';
    case 'inDrawer':
      return 'also in the drawer, as';
    case 'standsIn':
      return 'in';
    case 'hiddenOn':
      return `hidden on ${reason.on.join(', ')} by`;
    case 'branchHiddenOn':
      return `hidden on ${reason.on.join(', ')} with everything below`;
    case 'onlyOn':
      return `only on ${reason.on.join(', ')}, by`;
    case 'isException':
      return `${reason.isShown ? 'shown' : 'hidden'} on this page by an exception of`;
    case 'hasExceptions':
      return counted(
        reason.count,
        'different on some pages: # exception of',
        'different on some pages: # exceptions of',
      );
    case 'scrolls':
      return `${behaviourWords[reason.does]}, by`;
  }
}
const lines = computed(() => {
  const { document } = copy;
  const { row } = styling;
  if (document === null || row === null) return [];
  return whyShown(document, row, frame.situation).map((reason) => {
    const part = document.parts.nodes.get(reason.by);
    return {
      by: reason.by,
      words: wordsOf(reason),
      name: part === undefined ? nameOf(document, 'items', reason.by) : frame.wordOf(part),
    };
  });
});
async function go(by: string): Promise<void> {
  const isPart = copy.document?.parts.nodes.has(by) === true;
  if (isPart) frame.select(by);
  else selection.select(by);
  await router.push({ name: isPart ? 'frame' : 'arrange', params: { siteKey: copy.siteKey ?? '' } });
}
</script>

<template>
  <h3 v-if="lines.length > 0">Where and when is it shown?</h3>
  <ul aria-label="Where and when it is shown">
    <li v-for="(line, at) in lines" :key="at">
      {{ line.words }}
      <button type="button" class="link" @click="go(line.by)">{{ line.name }}</button>
    </li>
  </ul>
</template>

<style scoped>
h3 {
  margin-block-start: 6px;
  color: var(--mute);
  font-size: 0.75rem;
  font-weight: 500;
}
ul {
  margin: 0;
  padding: 2px;
  list-style: none;
}
li {
  min-height: 22px;
  font-size: 0.75rem;
}
.link {
  min-height: 22px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--accent);
  font-size: 0.75rem;
  text-decoration: underline;
  cursor: pointer;
}
</style>
