<script setup lang="ts">
/** What visitors would meet if this were published: said before the button, each line leads to where it is. */
defineProps<{
  id: string;
  title: string;
  isMild?: boolean;
  lines: readonly { readonly words: string; readonly facts: string }[];
}>();
const emit = defineEmits<{ go: [at: number] }>();
/** A long list is not read; its workspace has all of it. */
const MOST = 8;
</script>

<template>
  <section v-if="lines.length > 0" class="found" :class="{ mild: isMild }" :aria-labelledby="id">
    <h2 :id="id">{{ title }}</h2>
    <ul>
      <li v-for="({ words, facts }, at) in lines.slice(0, MOST)" :key="at">
        <button type="button" class="link" @click="emit('go', at)">{{ words }}</button>
        <span class="mute">{{ facts }}</span>
      </li>
      <li v-if="lines.length > MOST" class="mute">and {{ lines.length - MOST }} more</li>
    </ul>
  </section>
</template>

<style scoped>
.found {
  margin: 0 24px 14px;
  padding: 8px 12px;
  border-inline-start: 3px solid var(--brick);
  background: var(--sheet);
}
h2 {
  color: var(--brick);
  font-size: 0.8125rem;
}
.found.mild {
  border-color: var(--ochre);
}
.mild h2 {
  color: var(--ochre);
}
ul {
  margin: 4px 0 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
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
