<script setup lang="ts">
import { mdiChevronDown } from '@mdi/js';
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue';
import { shownAddress, type Page } from '@zorvik/core';
import { useOffers } from '../../composables/useOffers.ts';
import { searchPages } from '../../composables/pageSearch.ts';
import { useFrame } from '../../stores/frame.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/** Picks the page that is looked at: any page by typing, or a typical page of a template. */
const copy = useWorkingCopy();
const frame = useFrame();
const isOpen = ref(false);
const typed = ref('');
const input = useTemplateRef<HTMLInputElement>('input');
const button = useTemplateRef<HTMLButtonElement>('button');
const MOST = 9;

interface Offer {
  readonly page: Page;
  readonly note: string;
}
const offers = computed((): readonly Offer[] => {
  if (copy.document === null) return [];
  if (typed.value.trim() === '')
    return frame.templates
      .slice(0, MOST)
      .map(({ template, page }) => ({ page, note: `template “${template}”` }));
  return searchPages(copy.document, typed.value)
    .filter(({ state }) => state !== 'gone')
    .slice(0, MOST)
    .map((page) => ({ page, note: shownAddress(page.address) }));
});
const { marked, listId, field, option } = useOffers({ count: () => offers.value.length, take });
watch(typed, () => (marked.value = 0));
watch(isOpen, async (now) => {
  typed.value = '';
  if (!now) return;
  await nextTick();
  input.value?.focus();
});

function take(at: number): void {
  const offer = offers.value[at];
  if (offer === undefined) return;
  frame.lookAt(offer.page.id);
  close();
}
function close(): void {
  isOpen.value = false;
  button.value?.focus();
}
function left(event: FocusEvent): void {
  const next = event.relatedTarget;
  if (!(next instanceof Node) || !(event.currentTarget as HTMLElement).contains(next)) isOpen.value = false;
}
</script>

<template>
  <div class="page" @focusout="left" @keydown.escape.stop="close">
    <button
      ref="button"
      type="button"
      class="plain-field shown"
      :aria-expanded="isOpen"
      :aria-controls="listId"
      @click="isOpen = !isOpen"
    >
      <span class="mute">Page</span>
      <strong>{{ frame.page?.title ?? 'none yet' }}</strong>
      <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
        <path :d="mdiChevronDown" fill="currentColor" />
      </svg>
    </button>
    <div v-if="isOpen" class="list">
      <input
        ref="input"
        v-model="typed"
        class="plain-field"
        type="search"
        v-bind="field"
        aria-label="Find a page to look at"
        placeholder="Title or address"
      />
      <div :id="listId" role="listbox" aria-label="Pages">
        <div v-for="(offer, at) in offers" :key="offer.page.id + offer.note" v-bind="option(at)">
          <span class="name">{{ offer.page.title }}</span>
          <span class="mute">{{ offer.note }}</span>
        </div>
      </div>
      <p v-if="offers.length === 0" class="mute none">
        {{ typed.trim() === '' ? 'No page has a template. Type a title.' : 'No page found.' }}
      </p>
    </div>
  </div>
</template>

<style scoped src="../common/offers.css"></style>
<style scoped>
.page {
  position: relative;
  flex: 0 1 auto;
  min-width: 110px;
}
.shown {
  display: flex;
  align-items: center;
  gap: 8px;
  max-width: min(280px, 100%);
  cursor: pointer;
}
.shown strong,
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.list {
  width: 360px;
}
[role='option'] .mute {
  flex: none;
}
</style>
