<script setup lang="ts">
import { computed, ref, useId } from 'vue';
import { useOffers } from '../../composables/useOffers.ts';
import { languages } from './languages.ts';

/** A language by its name or its tag (BCP 47): typed, and chosen from the list. */
const props = defineProps<{ value: string }>();
const emit = defineEmits<{ set: [tag: string] }>();
const id = useId();
const isOpen = ref(false);
const typed = ref('');
const MOST = 8;
const shown = computed(() => languages.find(({ tag }) => tag === props.value)?.name ?? props.value);
const offers = computed(() => {
  const wanted = typed.value.trim().toLowerCase();
  const fits = languages.filter(
    ({ tag, name, own }) =>
      wanted === '' ||
      tag.toLowerCase().startsWith(wanted) ||
      name.toLowerCase().includes(wanted) ||
      own.toLowerCase().includes(wanted),
  );
  return fits
    .toSorted(
      (a, b) =>
        Number(b.tag.toLowerCase() === wanted) - Number(a.tag.toLowerCase() === wanted) ||
        Number(b.name.toLowerCase().startsWith(wanted)) - Number(a.name.toLowerCase().startsWith(wanted)),
    )
    .slice(0, MOST);
});
const { marked, listId, field, option } = useOffers({
  count: () => offers.value.length,
  take,
  isOpen: () => isOpen.value,
});
function take(at: number): void {
  const offer = offers.value[at];
  if (offer === undefined) return;
  emit('set', offer.tag);
  close();
}
function close(): void {
  isOpen.value = false;
  typed.value = '';
  marked.value = 0;
}
</script>

<template>
  <div class="field" @keydown.escape.stop="close">
    <label :for="id">Language</label>
    <input
      :id="id"
      v-model="typed"
      class="plain-field"
      v-bind="field"
      autocomplete="off"
      :placeholder="`${shown} (${value})`"
      @focus="isOpen = true"
      @blur="close"
      @input="marked = 0"
    />
    <div v-show="isOpen" :id="listId" class="list" role="listbox" aria-label="Languages">
      <div v-for="(one, at) in offers" :key="one.tag" v-bind="option(at)">
        <span>{{ one.name }}</span>
        <span class="mute">{{ one.tag }}</span>
      </div>
      <p v-if="offers.length === 0" class="mute none">No language is called that.</p>
    </div>
  </div>
</template>

<style scoped src="./offers.css"></style>
<style scoped>
.field {
  position: relative;
  display: grid;
  gap: 3px;
}
label {
  color: var(--mute);
  font-size: 0.75rem;
}
input::placeholder {
  color: var(--ink);
}
.list {
  inset-inline: 0;
  gap: 0;
}
</style>
