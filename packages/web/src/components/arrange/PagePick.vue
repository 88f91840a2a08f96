<script setup lang="ts">
import { onMounted, ref, useId, useTemplateRef, watch } from 'vue';
import type { Picked } from '../../composables/picked.ts';
import { usePickOffers, type Offer } from '../../composables/usePickOffers.ts';

/**
 * A field in which a page is found by typing, or an address or a plain heading is given. What it would take
 * is listed below it; Enter takes the marked one. The list opens to the side where there is room for it.
 */
const props = defineProps<{ label: string; placeholder: string; start?: string; isBare?: boolean }>();
const emit = defineEmits<{
  pick: [picked: Picked];
  leave: [];
  nest: [isDeeper: boolean];
  lines: [text: string];
}>();
const id = useId();
const input = useTemplateRef<HTMLInputElement>('input');
const typed = ref(props.start ?? '');
const marked = ref(0);
const isListOpen = ref(false);
const isAbove = ref(false);
const LIST_HEIGHT = 280;

const offers = usePickOffers(typed);

watch(typed, () => {
  marked.value = 0;
  isListOpen.value = true;
  const box = input.value?.getBoundingClientRect();
  const end = input.value?.closest('.outline, .spread')?.getBoundingClientRect().bottom ?? window.innerHeight;
  isAbove.value = box !== undefined && box.bottom + LIST_HEIGHT > end;
});
function focus(): void {
  input.value?.focus();
  input.value?.select();
}
onMounted(focus);
defineExpose({ focus });

/** Being moved in the page takes the focus away for a moment; only when it stays away is the field left. */
function blurred(): void {
  setTimeout(() => {
    if (document.activeElement !== input.value) emit('leave');
  });
}

/** One line is typed text; several are items of their own. */
function pasted(event: ClipboardEvent): void {
  const text = event.clipboardData?.getData('text/plain') ?? '';
  if (!props.isBare || !/[\r\n]/.test(text.trim())) return;
  event.preventDefault();
  emit('lines', text);
}

function take(offer: Offer | undefined): void {
  if (offer === undefined) return;
  typed.value = '';
  isListOpen.value = false;
  emit('pick', offer.picked);
}

function press(event: KeyboardEvent): void {
  if (event.isComposing) return;
  const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
  if (step !== 0 && offers.value.length > 0) {
    marked.value = (marked.value + step + offers.value.length) % offers.value.length;
    isListOpen.value = true;
  } else if (event.key === 'Enter') {
    if (offers.value.length === 0) emit('leave');
    else take(offers.value[marked.value]);
  } else if (event.key === 'Escape') emit('leave');
  else if (event.key === 'Backspace' && props.isBare && typed.value === '') emit('leave');
  else if (event.key === 'Tab' && props.isBare) emit('nest', !event.shiftKey);
  else {
    event.stopPropagation();
    return;
  }
  event.preventDefault();
  event.stopPropagation();
}
</script>

<template>
  <div class="pick" :class="{ above: isAbove }">
    <input
      ref="input"
      v-model="typed"
      type="text"
      role="combobox"
      autocomplete="off"
      spellcheck="false"
      aria-autocomplete="list"
      :aria-label="label"
      :placeholder="placeholder"
      :aria-expanded="isListOpen && offers.length > 0"
      :aria-controls="`${id}-list`"
      :aria-activedescendant="isListOpen && offers.length > 0 ? `${id}-${marked}` : undefined"
      @keydown="press"
      @paste="pasted"
      @blur="blurred"
    />
    <ul
      v-show="isListOpen && offers.length > 0"
      :id="`${id}-list`"
      role="listbox"
      :aria-label="`Suggestions for “${typed}”`"
    >
      <li
        v-for="(offer, at) in offers"
        :id="`${id}-${at}`"
        :key="offer.key"
        role="option"
        :aria-selected="at === marked"
        :class="{ on: at === marked }"
        @pointerdown.prevent="take(offer)"
        @pointermove="marked = at"
      >
        <svg viewBox="0 0 24 24" width="15" height="15" aria-hidden="true">
          <path :d="offer.icon" fill="currentColor" />
        </svg>
        <span class="text">{{ offer.text }}</span>
        <span class="note">{{ offer.note }}</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.pick {
  position: relative;
  flex: 1;
  min-width: 0;
  max-width: 560px;
}
input {
  width: 100%;
  height: 26px;
  padding: 0 8px;
  border: 1px solid var(--ink);
  border-radius: 5px;
  background: var(--field);
  outline: 0;
}
input:focus {
  box-shadow: 0 0 0 1px var(--ink);
}
input::placeholder {
  color: var(--mute);
  opacity: 1;
}
ul {
  position: absolute;
  z-index: 6;
  inset-inline: 0;
  inset-block-start: 30px;
  margin: 0;
  padding: 4px;
  list-style: none;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--sheet);
  box-shadow: var(--shadow);
}
.above ul {
  inset-block: auto 34px;
}
li {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 28px;
  padding: 0 8px;
  border-radius: 5px;
  cursor: pointer;
}
li.on {
  background: var(--accent-tint);
}
svg {
  flex: none;
  color: var(--faint);
}
.text {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.note {
  margin-inline-start: auto;
  flex: none;
  max-width: 55%;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  color: var(--mute);
  font-size: 0.75rem;
}
</style>
