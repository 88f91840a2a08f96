<script setup lang="ts">
import { mdiAlertOutline, mdiCheck } from '@mdi/js';
import { computed } from 'vue';
import { isFailing, type ContrastPair } from '@zorvik/core';
import { useNotices } from '../../stores/notices.ts';
import { useReadability } from '../../stores/readability.ts';

/** How well something can be read in one state, and the colour that would do where it cannot: one press sets it. */
const props = defineProps<{ pair: ContrastPair | null }>();
const readability = useReadability();
const notices = useNotices();
const isBad = computed(() => props.pair !== null && isFailing(props.pair));
const better = computed(() =>
  isBad.value && props.pair !== null ? readability.suggestion(props.pair) : null,
);
const words = computed(() => {
  const { pair } = props;
  if (pair === null) return '';
  const where =
    (pair.scheme === 'dark' ? ', dark' : '') +
    (pair.situation === 'over' ? ', over the content' : pair.situation === 'scrolled' ? ', scrolled' : '');
  const what = { text: '', sign: ' (icon)', ring: ' (focus ring)', edge: ' (border)' }[pair.kind];
  return `${pair.colour} on ${pair.behind}${what}${where}: ${pair.ratio.toFixed(1)}, at least ${pair.needed}`;
});
/** Over a picture, an overlay is tried before another colour. */
const fixWords = computed(() =>
  props.pair?.picture?.origin.from === 'set'
    ? 'add an overlay'
    : better.value === null
      ? 'fix'
      : `use ${better.value}`,
);
function fix(): void {
  if (props.pair !== null && !readability.fix(props.pair))
    notices.refuse('No single colour makes this readable. Change what is behind it.');
}
</script>

<template>
  <span v-if="pair !== null" class="note" :class="{ bad: isBad }" :title="words">
    <svg viewBox="0 0 24 24" width="13" height="13" aria-hidden="true">
      <path :d="isBad ? mdiAlertOutline : mdiCheck" fill="currentColor" />
    </svg>
    <span class="number">{{ pair.ratio.toFixed(1) }}</span>
    <span class="only-heard">{{ isBad ? 'hard to read' : 'readable' }}</span>
    <button v-if="isBad" type="button" class="fix" @click="fix">
      {{ fixWords }}
    </button>
  </span>
</template>

<style scoped>
.note {
  display: flex;
  align-items: center;
  gap: 3px;
  block-size: 18px;
  padding-inline-start: 2px;
  color: var(--moss);
  font-size: 0.6875rem;
  white-space: nowrap;
}
.bad {
  color: var(--brick);
}
.fix {
  min-block-size: 18px;
  margin-inline-start: 4px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--accent);
  font-weight: 600;
  text-decoration: underline;
  cursor: pointer;
}
</style>
