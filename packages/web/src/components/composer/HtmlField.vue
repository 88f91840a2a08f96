<script setup lang="ts">
import { onBeforeUnmount, ref, useId, watch } from 'vue';
import { LONGEST_HTML, type Removed } from '@zorvik/core';
import { htmlCleaner, type HtmlCleaner } from '../../workers/cleanHtmlClient.ts';

/**
 * HTML of somebody's own. It is cleaned when one pauses and when one leaves the field; what was taken out is listed
 * below it. `keep` says no with a sentence, and what was typed stays then.
 */
const props = defineProps<{
  label: string;
  html: string;
  keep: (html: string) => string | null;
}>();
const id = useId();
const typed = ref(props.html);
const problem = ref<string | null>(null);
const removed = ref<readonly Removed[]>([]);
const isTyping = ref(false);
let cleaner: HtmlCleaner | null = null;
let pause: ReturnType<typeof setTimeout> | undefined;
/** What this field stored last: that coming back is no news. */
let stored = props.html;

watch(
  () => props.html,
  (html) => {
    if (html === stored) return;
    stored = html;
    typed.value = html;
    removed.value = [];
  },
);

function input(): void {
  isTyping.value = true;
  clearTimeout(pause);
  pause = setTimeout(() => void store(), 500);
}

async function leave(): Promise<void> {
  if (!isTyping.value) return;
  clearTimeout(pause);
  const clean = await store();
  if (clean === null || document.activeElement?.id === id) return;
  typed.value = clean;
  isTyping.value = false;
}

/** Cleans and stores what stands in the field, and gives what was stored; null: nothing was. */
async function store(): Promise<string | null> {
  if (typed.value.length > 5 * LONGEST_HTML) {
    problem.value = `That is too long; HTML can have up to ${LONGEST_HTML} characters. Shorten it.`;
    return null;
  }
  cleaner ??= htmlCleaner();
  const clean = await cleaner.clean(typed.value);
  if (clean === null) return null;
  removed.value = clean.removed;
  if (clean.html.trim() === '') {
    problem.value = 'Nothing is left of this HTML. Type some text, or remove the part.';
    return null;
  }
  const before = stored;
  stored = clean.html;
  problem.value = clean.html === before ? null : props.keep(clean.html);
  if (problem.value === null) return clean.html;
  stored = before;
  return null;
}

onBeforeUnmount(() => {
  clearTimeout(pause);
  // What was typed last is stored before the worker goes.
  void (isTyping.value ? store() : Promise.resolve()).finally(() => cleaner?.close());
});
</script>

<template>
  <div class="own-html">
    <label :for="id">{{ label }}</label>
    <textarea
      :id="id"
      v-model="typed"
      class="plain-field"
      rows="5"
      spellcheck="false"
      :aria-invalid="problem !== null"
      :aria-describedby="`${id}-said`"
      @input="input"
      @blur="leave"
    />
    <div :id="`${id}-said`">
      <p v-if="problem !== null" class="problem small" role="alert">{{ problem }}</p>
      <p v-if="removed.length > 0" class="removed" role="status">
        Removed:
        <template v-for="({ what, count }, at) of removed" :key="what">
          {{ at > 0 ? ', ' : ' ' }}
          <code>{{ count > 1 ? `${what} (${count} times)` : what }}</code>
        </template>
      </p>
    </div>
  </div>
</template>

<style scoped>
.own-html {
  display: grid;
  gap: 3px;
}
label {
  color: var(--mute);
  font-size: 0.75rem;
}
textarea {
  height: auto;
  min-height: 5rem;
  padding-block: 6px;
  resize: vertical;
  font-family: ui-monospace, monospace;
  font-size: 0.8125rem;
}
.removed {
  margin: 0;
  color: var(--mute);
  font-size: 0.8125rem;
}
code {
  color: var(--ink);
}
</style>
