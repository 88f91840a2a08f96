<script setup lang="ts">
import { ref } from 'vue';
import { findingInWords } from '@zorvik/core';
import { useDrift } from '../../stores/drift.ts';

/** Findings of this menu that somebody ignores, each with the reason. */
const drift = useDrift();
const isLeftOpen = ref(false);
</script>

<template>
  <section class="left" aria-label="Ignored findings">
    <button type="button" class="plain-button" :aria-expanded="isLeftOpen" @click="isLeftOpen = !isLeftOpen">
      {{ drift.leftHere.length }} ignored
    </button>
    <ul v-if="isLeftOpen">
      <li v-for="{ finding, reason } in drift.leftHere" :key="finding.id">
        <p>{{ findingInWords(finding) }}</p>
        <p class="mute">{{ reason === '' ? 'No reason given' : reason }}</p>
        <button type="button" class="plain-button" @click="drift.takeUp(finding.id)">Reopen</button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
.left {
  max-height: 40vh;
  overflow: auto;
  padding: 10px 16px;
  border-top: 1px solid var(--line);
}
.left li {
  padding-block: 8px;
  border-bottom: 1px solid var(--line-soft);
}
</style>
