<script setup lang="ts">
/** The line that shows where a drop would go, with the place in words, or why it cannot be. */
defineProps<{ words: string; problem: string | null }>();
</script>

<template>
  <div class="drop" role="none" :class="{ bad: problem !== null }">
    <span>{{ problem ?? words }}</span>
  </div>
</template>

<style scoped>
.drop {
  position: absolute;
  z-index: 3;
  top: -1px;
  border-top: 2px solid var(--accent);
  pointer-events: none;
}
.drop::before {
  content: '';
  position: absolute;
  inset-inline-start: -6px;
  top: -5px;
  width: 8px;
  height: 8px;
  border-radius: 50%;
  background: var(--accent);
}
.drop.bad {
  border-top-color: var(--brick);
}
.drop span {
  position: absolute;
  inset-inline-start: 12px;
  top: 6px;
  padding: 3px 8px;
  border-radius: 5px;
  background: var(--ink);
  color: var(--on-ink);
  font-size: 0.75rem;
  width: max-content;
  max-width: 320px;
}
.drop.bad span {
  background: var(--brick);
}
</style>
