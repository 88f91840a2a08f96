<script setup lang="ts">
import { computed } from 'vue';
import { thingOf, type ContrastPair } from '@zorvik/core';
import ContrastNote from './ContrastNote.vue';

/** What is hard to read of something, each with what makes it readable. */
const props = defineProps<{ pairs: readonly ContrastPair[] }>();
const MOST = 3;
const shown = computed(() => props.pairs.slice(0, MOST));
const wordsOf = ({ thing, state, scheme }: ContrastPair): string =>
  [thingOf(thing).name, ...(state === 'normal' ? [] : [state]), ...(scheme === 'dark' ? ['dark'] : [])].join(
    ', ',
  );
</script>

<template>
  <ul v-if="pairs.length > 0" class="hard" aria-label="Hard to read">
    <li v-for="(pair, at) in shown" :key="at">
      <span>{{ wordsOf(pair) }}</span>
      <ContrastNote :pair="pair" />
    </li>
    <li v-if="pairs.length > MOST" class="mute">{{ pairs.length - MOST }} more in Style</li>
  </ul>
</template>

<style scoped>
.hard {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 8px;
}
</style>
