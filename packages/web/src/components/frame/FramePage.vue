<script setup lang="ts">
import { mdiChevronDown } from '@mdi/js';
import { computed, nextTick, ref, useId, useTemplateRef, watch } from 'vue';
import { shownAddress, type Page } from '@zorvik/core';
import { searchPages } from '../../composables/pageSearch.ts';
import { useFrame } from '../../stores/frame.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/** Picks the page that is looked at: any page by typing, or a typical page of a template. */
const copy = useWorkingCopy();
const frame = useFrame();
const id = useId();
const isOpen = ref(false);
const typed = ref('');
const marked = ref(0);
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
watch(typed, () => (marked.value = 0));
watch(isOpen, async (now) => {
  typed.value = '';
  if (!now) return;
  await nextTick();
  input.value?.focus();
});

function take(offer: Offer | undefined): void {
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
      :aria-controls="`${id}-list`"
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
        role="combobox"
        aria-label="Find a page to look at"
        placeholder="Title or address"
        aria-expanded="true"
        :aria-controls="`${id}-list`"
        :aria-activedescendant="offers.length === 0 ? undefined : `${id}-${marked}`"
        @keydown.down.prevent="marked = Math.min(marked + 1, offers.length - 1)"
        @keydown.up.prevent="marked = Math.max(marked - 1, 0)"
        @keydown.enter.prevent="take(offers[marked])"
      />
      <div :id="`${id}-list`" role="listbox" aria-label="Pages">
        <div
          v-for="(offer, at) in offers"
          :id="`${id}-${at}`"
          :key="offer.page.id + offer.note"
          role="option"
          :aria-selected="at === marked"
          :class="{ on: at === marked }"
          @pointerdown.prevent="take(offer)"
        >
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
}
.shown {
  display: flex;
  align-items: center;
  gap: 8px;
  max-width: 280px;
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
