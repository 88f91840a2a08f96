<script setup lang="ts">
import { computed, ref } from 'vue';
import { destinationOnSite, writtenOut, type Destination } from '@zorvik/core';
import type { Picked } from '../../composables/picked.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import { destinationIcons, destinationWords } from '../arrange/destinationIcon.ts';
import PagePick from '../arrange/PagePick.vue';

/** Where a part leads, if anywhere. */
const props = defineProps<{
  label: string;
  destination: Destination | undefined;
  mayLeadNowhere?: boolean;
}>();
const emit = defineEmits<{ lead: [to: Destination | null] }>();
const copy = useWorkingCopy();
const isAsking = ref(false);
const shown = computed((): Destination => props.destination ?? { kind: 'none' });
const icon = computed(() => destinationIcons[shown.value.kind]);
const text = computed(() => {
  const { value } = shown;
  if (value.kind === 'page') return copy.document?.pages.nodes.get(value.page)?.title ?? 'deleted page';
  return value.kind === 'none'
    ? 'nothing'
    : value.kind === 'undecided'
      ? 'no link yet'
      : (writtenOut(value) ?? '');
});
const note = computed(() => {
  const { value } = shown;
  if (value.kind === 'page') return copy.document?.pages.nodes.get(value.page)?.address ?? '';
  return value.kind === 'undecided'
    ? 'unpublished until then'
    : value.kind === 'none'
      ? ''
      : destinationWords[value.kind];
});

function pick(picked: Picked): void {
  isAsking.value = false;
  if (picked.kind === 'page') return emit('lead', { kind: 'page', page: picked.id, anchor: null });
  if (picked.kind === 'link') {
    const typed = copy.document === null ? null : destinationOnSite(copy.document, picked.address);
    if (typed?.ok === true) emit('lead', typed.value);
    return;
  }
  emit('lead', props.mayLeadNowhere === true ? null : { kind: 'undecided' });
}
</script>

<template>
  <div class="leads">
    <span class="caption">{{ label }}</span>
    <PagePick
      v-if="isAsking"
      :label="`${label}: page or address`"
      placeholder="Page, /path or https://…"
      @pick="pick"
      @leave="isAsking = false"
    />
    <button
      v-else
      type="button"
      class="target plain-field"
      :class="{ open: shown.kind === 'undecided' }"
      @click="isAsking = true"
    >
      <span class="only-heard">{{ label }}</span>
      <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
        <path :d="icon" fill="currentColor" />
      </svg>
      <span class="text">{{ text }}</span>
      <span class="mute">{{ note }}</span>
    </button>
  </div>
</template>

<style scoped>
.leads {
  min-width: 220px;
}
.target {
  display: flex;
  align-items: center;
  gap: 7px;
  width: 100%;
  text-align: start;
  cursor: pointer;
}
.target:hover {
  border-color: var(--ink);
}
.target.open {
  border-style: dashed;
  border-color: var(--ochre);
  background: var(--ochre-tint);
}
svg {
  flex: none;
  color: var(--faint);
}
.text {
  flex: 1;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.mute {
  max-width: 45%;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  font-size: 0.75rem;
}
</style>
