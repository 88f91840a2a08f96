<script setup lang="ts">
import { ref } from 'vue';
import { LONGEST_NAME, useSession } from '../../stores/session.ts';

/** Asks for a name once, when somebody else works on the site, too. */
const props = defineProps<{ other: string }>();
const session = useSession();
const typed = ref('');
function save(): void {
  session.call(typed.value);
  session.noteAsked();
}
</script>

<template>
  <form class="ask" aria-label="Your name" @submit.prevent="save" @keydown.escape.stop="session.noteAsked()">
    <p>{{ props.other }} is working on this site, too, and sees you as {{ session.shownName }}.</p>
    <label>
      <span>Your name (shown to others)</span>
      <input v-model="typed" class="plain-field" type="text" autocomplete="name" :maxlength="LONGEST_NAME" />
    </label>
    <button type="submit" class="plain-button" :disabled="typed.trim() === ''">Save name</button>
    <button type="button" class="plain-button" @click="session.noteAsked()">Not now</button>
  </form>
</template>

<style scoped>
.ask {
  position: absolute;
  z-index: 20;
  inset-block-start: 52px;
  inset-inline-end: 14px;
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px;
  width: min(420px, calc(100vw - 28px));
  padding: 12px 14px;
  border: 1px solid var(--line-strong);
  border-radius: var(--radius);
  background: var(--sheet);
  box-shadow: 0 8px 24px rgb(0 0 0 / 0.16);
}
p {
  flex-basis: 100%;
  margin: 0;
  font-size: 0.8125rem;
}
label {
  flex: 1;
  display: grid;
  gap: 3px;
  color: var(--mute);
  font-size: 0.75rem;
}
</style>
