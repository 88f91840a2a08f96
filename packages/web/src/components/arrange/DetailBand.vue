<script setup lang="ts">
import { mdiFormatTitle } from '@mdi/js';
import { computed, ref } from 'vue';
import { ancestors, labelOf, leadTo, menuOf, openIn, renameItem, type Item } from '@zorvik/core';
import { useKeeping } from '../../composables/useKeeping.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import LineField from '../common/LineField.vue';
import { destinationIcons } from './destinationIcon.ts';
import PagePick, { type Picked } from './PagePick.vue';

/** Details of what is selected. Along the bottom, so that the work lies wide like the bar itself. */
const copy = useWorkingCopy();
const selection = useSelection();
const isPicking = ref(false);

const item = computed(() => selection.item);
const isHeading = computed(() => item.value?.destination.kind === 'none');
const icon = computed(() => destinationIcons[item.value?.destination.kind ?? 'none']);
const label = computed(() => (copy.document === null || item.value === null ? '' : labelOf(copy.document, item.value)));
const path = computed(() => {
  const { document } = copy;
  if (document === null || item.value === null) return '';
  const parentOf = ({ parent }: Item): Item | undefined => document.items.nodes.get(parent);
  const names = [...ancestors(item.value, parentOf)].map((one) => labelOf(document, one)).reverse();
  return [menuOf(document, item.value.id).name, ...names].join(' / ');
});
const page = computed(() => {
  const destination = item.value?.destination;
  return destination?.kind === 'page' ? (copy.document?.pages.nodes.get(destination.page) ?? null) : null;
});
const target = computed(() => {
  const destination = item.value?.destination;
  if (page.value !== null) return { text: page.value.title, note: page.value.address };
  return destination?.kind === 'address' ? { text: destination.address, note: 'address' } : { text: 'nothing', note: 'a heading' };
});
const tab = computed({
  get: () => item.value?.opensNewTab ?? false,
  set: (isNew) => {
    const id = item.value?.id;
    if (id !== undefined) copy.perform((context) => openIn(context, id, isNew));
  },
});
const note = computed(() => {
  if (page.value?.state === 'draft') return 'The page is a draft. Visitors do not get this item until it is live.';
  if (page.value?.state === 'gone') return 'The page is gone. Visitors do not get this item; let it lead elsewhere, or remove it.';
  return null;
});

const keepBy = useKeeping();
const rename = computed(() => {
  const id = item.value?.id ?? '';
  return keepBy(`label ${id}`, (context, typed) => renameItem(context, id, typed));
});

function lead(picked: Picked): void {
  const id = item.value?.id;
  isPicking.value = false;
  if (id === undefined) return;
  const to = picked.kind === 'page' ? { page: picked.id } : picked.kind === 'link' ? { typed: picked.address } : 'nothing';
  copy.perform((context) => leadTo(context, id, to));
}

function leadNowhere(): void {
  lead({ kind: 'heading', label: '' });
}
</script>

<template>
  <section class="band" aria-label="Details of the selected item">
    <p v-if="item === null" class="mute none">Select an item to see where it leads and to change it. All of it can be undone.</p>
    <template v-else>
      <div class="who">
        <h2>{{ label }}</h2>
        <p class="mute">{{ path }}</p>
      </div>
      <LineField :key="item.id" label="Label" :value="label" :note="item.label === null ? 'the page’s title' : page === null ? '' : 'own'" :keep="rename" />
      <div class="leads">
        <span class="caption">Leads to</span>
        <PagePick
          v-if="isPicking"
          label="Where the item leads: a page or an address"
          placeholder="A page, /path or https://…"
          @pick="lead"
          @leave="isPicking = false"
        />
        <div v-else class="both">
          <button type="button" class="target" title="Let it lead elsewhere" @click="isPicking = true">
            <span class="only-heard">Leads to</span>
            <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true"><path :d="icon" fill="currentColor" /></svg>
            <span class="text">{{ target.text }}</span>
            <span class="mute">{{ target.note }}</span>
          </button>
          <button
            v-if="!isHeading"
            type="button"
            class="target only-icon"
            title="Let it lead nowhere: a heading"
            aria-label="Make it a heading"
            @click="leadNowhere"
          >
            <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true"><path :d="mdiFormatTitle" fill="currentColor" /></svg>
          </button>
        </div>
      </div>
      <ChoiceRow
        v-if="!isHeading"
        v-model="tab"
        label="Opens in"
        :choices="[
          { value: false, label: 'same tab' },
          { value: true, label: 'new tab' },
        ]"
      />
      <p v-else class="mute kind">A heading names the items below it.</p>
      <p v-if="note !== null" class="note">
        <strong>Look here.</strong>
        {{ note }}
      </p>
    </template>
  </section>
</template>

<style scoped>
.band {
  display: grid;
  grid-template-columns: minmax(160px, 240px) minmax(180px, 320px) minmax(220px, 420px) auto minmax(0, 1fr);
  align-items: start;
  gap: 8px 24px;
  min-height: 92px;
  padding: 12px 14px;
  border-top: 1px solid var(--line);
  background: var(--sheet);
}
.none {
  grid-column: 1 / -1;
}
.who {
  min-width: 0;
}
h2 {
  font-size: 17px;
  overflow: hidden;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow-wrap: anywhere;
}
.who p {
  font-size: 12px;
}
.caption {
  display: block;
  margin-bottom: 3px;
  color: var(--mute);
  font-size: 12px;
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
  height: 32px;
  padding: 0 9px;
  border: 1px solid var(--line-strong);
  border-radius: 6px;
  background: var(--white);
  text-align: start;
  cursor: pointer;
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
  color: #857f72;
}
.target .text {
  flex: 1;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.target .mute {
  font-size: 12px;
  max-width: 55%;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.leads :deep(.pick input) {
  height: 32px;
}
.kind {
  padding-top: 24px;
  font-size: 12px;
}
.note {
  padding: 7px 10px;
  border-radius: var(--radius);
  background: var(--ochre-tint);
  color: #5e3d06;
  font-size: 12px;
}
.note strong {
  color: var(--ochre);
}
@media (max-width: 900px) {
  .band {
    grid-template-columns: 1fr;
    max-height: 40vh;
    overflow: auto;
  }
}
</style>
