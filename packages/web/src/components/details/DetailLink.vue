<script setup lang="ts">
import { mdiFormatTitle, mdiFormatTextVariantOutline } from '@mdi/js';
import { storeToRefs } from 'pinia';
import { computed, watch } from 'vue';
import { faceOf, labelOf, leadTo, renameItem, shownAddress, writtenOut, type Item } from '@zorvik/core';
import { targetOf, type Picked } from '../../composables/picked.ts';
import { useKeeping } from '../../composables/useKeeping.ts';
import { useDetails } from '../../stores/details.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import LineField from '../common/LineField.vue';
import { destinationIcons, destinationWords } from '../arrange/destinationIcon.ts';
import PagePick from '../arrange/PagePick.vue';

/** What an item is called and where it leads. */
const props = defineProps<{ item: Item }>();
const copy = useWorkingCopy();
const { isAskingTarget } = storeToRefs(useDetails());
const keepBy = useKeeping();

const kindIcon = computed(() => destinationIcons[face.value.destination.kind]);
const face = computed(() => (copy.document === null ? props.item : faceOf(copy.document, props.item)));
const label = computed(() => (copy.document === null ? '' : labelOf(copy.document, props.item)));
const page = computed(() => {
  const { destination } = face.value;
  return destination.kind === 'page' ? (copy.document?.pages.nodes.get(destination.page) ?? null) : null;
});
const anchor = computed(() =>
  face.value.destination.kind === 'page' ? (face.value.destination.anchor ?? '') : '',
);
const target = computed(() => {
  const { destination } = face.value;
  if (page.value !== null)
    return {
      text: page.value.title,
      note: shownAddress(page.value.address) + (anchor.value === '' ? '' : `#${anchor.value}`),
    };
  if (destination.kind === 'none') return { text: 'none', note: 'heading' };
  if (destination.kind === 'undecided') return { text: 'no link yet', note: 'unpublished until then' };
  return {
    text: shownAddress(writtenOut(destination) ?? ''),
    note: destinationWords[destination.kind],
  };
});
const note = computed(() => {
  if (page.value?.planned === true) return 'Planned page: visitors see this item once the page is live.';
  if (page.value?.state === 'draft') return 'Draft page: visitors see this item once the page is live.';
  if (page.value?.state === 'gone')
    return 'The page was deleted, so visitors do not see this item. Link to another page, or remove it.';
  return null;
});
const rename = computed(() =>
  keepBy(`label ${props.item.id}`, (context, typed) => renameItem(context, props.item.id, typed)),
);
const takesTitle = computed(() => face.value.label === null);
watch(
  () => props.item.id,
  () => (isAskingTarget.value = false),
);

function lead(picked: Picked): void {
  isAskingTarget.value = false;
  copy.perform((context) => leadTo(context, props.item.id, targetOf(picked)));
}

function takeTitle(): void {
  copy.perform((context) => renameItem(context, props.item.id, ''));
}
</script>

<template>
  <div class="link">
    <LineField
      label="Label"
      :value="label"
      :note="page === null ? '' : takesTitle ? 'page title' : ''"
      :keep="rename"
    >
      <template v-if="page !== null && !takesTitle" #after>
        <button type="button" class="inline" :title="`Use the page title: ${page.title}`" @click="takeTitle">
          <svg viewBox="0 0 24 24" width="14" height="14" aria-hidden="true">
            <path :d="mdiFormatTextVariantOutline" fill="currentColor" />
          </svg>
          own
          <span class="only-heard">: use the page title</span>
        </button>
      </template>
    </LineField>
    <div class="leads">
      <span class="caption">Link</span>
      <PagePick
        v-if="isAskingTarget && item.exception === undefined"
        label="Link: page or address"
        placeholder="Page, /path, https://…, e-mail, phone"
        :start="face.destination.kind === 'undecided' ? label : ''"
        @pick="lead"
        @leave="isAskingTarget = false"
      />
      <p v-else-if="item.exception !== undefined" class="followed">
        <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
          <path :d="kindIcon" fill="currentColor" />
        </svg>
        <span class="text">{{ target.text }}</span>
        <span class="mute">{{ target.note }}</span>
      </p>
      <div v-else class="both">
        <button
          type="button"
          class="target plain-field"
          :class="{ open: face.destination.kind === 'undecided' }"
          title="Change the link (T)"
          @click="isAskingTarget = true"
        >
          <span class="only-heard">Link</span>
          <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
            <path :d="kindIcon" fill="currentColor" />
          </svg>
          <span class="text">{{ target.text }}</span>
          <span class="mute">{{ target.note }}</span>
        </button>
        <button
          v-if="face.destination.kind !== 'none'"
          type="button"
          class="target only-icon"
          title="Remove the link: heading only"
          aria-label="Make it a heading without a link"
          @click="lead({ kind: 'heading', label: '' })"
        >
          <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
            <path :d="mdiFormatTitle" fill="currentColor" />
          </svg>
        </button>
      </div>
    </div>
    <p v-if="note !== null" class="note">
      <strong>Note:</strong>
      {{ note }}
    </p>
  </div>
</template>

<style scoped>
.link {
  display: grid;
  gap: 8px;
  min-width: 0;
}
.leads {
  min-width: 0;
}
.both {
  display: flex;
  gap: 6px;
}
.target {
  display: flex;
  align-items: center;
  gap: 7px;
  flex: 1;
  min-width: 0;
  text-align: start;
  cursor: pointer;
}
.followed {
  display: flex;
  align-items: center;
  gap: 7px;
  min-height: 32px;
}
.followed svg {
  flex: none;
  color: var(--faint);
}
.target.open {
  border-style: dashed;
  border-color: var(--ochre);
  background: var(--ochre-tint);
}
.target:hover {
  border-color: var(--ink);
}
.target.only-icon {
  flex: none;
  color: var(--mute);
}
.target svg {
  flex: none;
  color: var(--faint);
}
.target .text {
  flex: 1 1 auto;
  min-width: 45%;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.target .mute {
  font-size: 0.75rem;
  max-width: 50%;
  flex: 0 3 auto;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.inline {
  display: inline-flex;
  align-items: center;
  gap: 3px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--mute);
  font-size: 0.75rem;
  cursor: pointer;
}
.inline:hover {
  color: var(--ink);
}
.leads :deep(.pick input) {
  height: 32px;
}
.note {
  padding: 6px 9px;
  border-radius: var(--radius);
  background: var(--ochre-tint);
  color: var(--ochre);
  font-size: 0.75rem;
}
.note strong {
  color: var(--ochre);
}
</style>
