<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue';
import { ancestors, counted, detachItem, labelOf, menuOf, nameOf, placementOf, shareItem, usersOf, type Item } from '@zorvik/core';
import { useDetails } from '../../stores/details.ts';
import { useSelection } from '../../stores/selection.ts';
import { useDropdown } from '../../composables/useDropdown.ts';
import { useSettings } from '../../composables/useSettings.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import AlikeNote from './AlikeNote.vue';
import DetailBadge from './DetailBadge.vue';
import DetailIcon from './DetailIcon.vue';
import DetailLink from './DetailLink.vue';
import DetailMore from './DetailMore.vue';
import FollowNote from './FollowNote.vue';
import DetailShown from './DetailShown.vue';

const DetailColumn = defineAsyncComponent(() => import('./DetailColumn.vue'));
const DetailDropdown = defineAsyncComponent(() => import('./DetailDropdown.vue'));

/** Details of what is selected. Along the bottom, so that the work lies wide like the bar itself. */
const copy = useWorkingCopy();
const selection = useSelection();
const details = useDetails();
const { common, set } = useSettings();

const { isTop, group } = useDropdown();
/** Only what stands in a bar has anything that drops from it. */
const dropsFromIt = computed(() => {
  const { document } = copy;
  const { menu } = selection;
  if (!isTop.value || document === null || menu === null) return false;
  const place = placementOf(document, menu.id)?.place ?? 'bar';
  return place === 'bar' || place === 'secondBar';
});

/** What drops is looked at by itself, since the panel above takes its room; an item that nothing drops from shows itself. */
const isDrops = computed(() => details.view === 'drops' && (dropsFromIt.value || group.value !== null));

const item = computed(() => selection.item);
const count = computed(() => selection.chosen.length);
const title = computed(() => {
  if (count.value > 1) return counted(count.value, '# item', '# items');
  return copy.document === null || item.value === null ? '' : labelOf(copy.document, item.value);
});
const path = computed(() => {
  const { document } = copy;
  if (document === null || item.value === null) return '';
  if (count.value > 1) return counted(count.value, 'Changes apply to it.', 'Changes apply to all #.');
  const parentOf = ({ parent }: Item): Item | undefined => document.items.nodes.get(parent);
  const names = [...ancestors(item.value, parentOf)].map((one) => labelOf(document, one)).reverse();
  return [menuOf(document, item.value.id).name, ...names].join(' / ');
});
const look = computed({
  get: () => (common('look').isMixed ? null : (common('look').value ?? 'link')),
  set: (value) => void set({ look: value === 'button' ? 'button' : null }),
});
const held = computed({
  get: () => (common('heldBack').isMixed ? null : common('heldBack').value === true),
  set: (isHeld) => void set({ heldBack: isHeld === true ? true : null }),
});
const shared = computed(() => {
  const { document } = copy;
  const link = item.value?.link;
  if (document === null || link === undefined || count.value > 1) return null;
  return { label: nameOf(document, 'sharedLinks', link), count: usersOf(document, link).length };
});

function share(): void {
  const id = item.value?.id;
  if (id !== undefined) copy.perform((context) => shareItem(context, id));
}

function detach(): void {
  const id = item.value?.id;
  if (id !== undefined) copy.perform((context) => detachItem(context, id));
}
</script>

<template>
  <section class="band" :class="{ drops: isDrops }" aria-label="Details of the selected item">
    <p v-if="item === null" class="mute none">Select an item to edit it. Every change can be undone.</p>
    <template v-else>
      <div class="who">
        <h2>{{ title }}</h2>
        <p class="mute path">{{ path }}</p>
        <ChoiceRow
          v-if="dropsFromIt || group !== null"
          v-model="details.view"
          label="Settings of"
          is-label-hidden
          :choices="[
            { value: 'item', label: 'Item' },
            { value: 'drops', label: dropsFromIt ? 'Dropdown' : 'Column' },
          ]"
        />
        <ChoiceRow
          v-if="!isDrops"
          v-model="look"
          label="Shown as"
          :is-mixed="common('look').isMixed"
          :choices="[
            { value: 'link', label: 'link' },
            { value: 'button', label: 'button' },
          ]"
        />
        <ChoiceRow
          v-if="!isDrops"
          v-model="held"
          label="Publication"
          :is-mixed="common('heldBack').isMixed"
          :choices="[
            { value: false, label: 'published' },
            { value: true, label: 'unpublished', hint: 'Visitors do not see it or the items below it' },
          ]"
        />
      </div>
      <template v-if="isDrops">
        <DetailDropdown v-if="dropsFromIt" />
        <DetailColumn v-else />
      </template>
      <template v-else>
        <DetailLink v-if="count === 1" :key="item.id" :item="item" />
        <p v-else class="mute many">Select a single item to edit its label and link.</p>
        <DetailShown />
        <div class="signs">
          <DetailBadge />
          <DetailIcon />
        </div>
        <div class="notes">
          <p v-if="shared !== null" class="note">
            <strong>Shared link.</strong>
            {{ counted(shared.count, 'Used only here.', 'Used in # places; changes apply to all of them.') }}
            <button type="button" @click="detach">Unlink this item</button>
          </p>
          <FollowNote v-if="count === 1" :id="item.id" />
          <AlikeNote v-if="count === 1" :item="item" />
          <div class="row">
            <button type="button" class="plain-button" :aria-expanded="details.isMore" aria-controls="more-details" @click="details.isMore = !details.isMore">
              {{ details.isMore ? 'Fewer settings' : 'More settings' }}
            </button>
            <button v-if="shared === null && count === 1 && item.exception === undefined" type="button" class="plain-button" @click="share">
              Make shared link
            </button>
          </div>
        </div>
        <DetailMore v-if="details.isMore" id="more-details" class="more" />
      </template>
    </template>
  </section>
</template>

<style scoped>
.band {
  display: grid;
  grid-template-columns: minmax(150px, 220px) minmax(220px, 320px) minmax(190px, auto) minmax(210px, 250px) minmax(150px, 1fr);
  align-items: start;
  gap: 8px 22px;
  min-height: 92px;
  max-height: 46vh;
  overflow: auto;
  padding: 11px 14px;
  border-top: 1px solid var(--line);
  background: var(--sheet);
}
.band.drops {
  grid-template-columns: minmax(150px, 220px) minmax(0, 1fr);
}
.none {
  grid-column: 1 / -1;
}
.who {
  min-width: 0;
}
h2 {
  font-size: 1.0625rem;
  overflow: hidden;
  display: -webkit-box;
  -webkit-line-clamp: 1;
  -webkit-box-orient: vertical;
  overflow-wrap: anywhere;
}
.path {
  margin-bottom: 8px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.who p,
.many {
  font-size: 0.75rem;
}
.signs {
  display: grid;
  gap: 8px;
  min-width: 0;
}
.notes {
  display: grid;
  gap: 8px;
  min-width: 0;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.note {
  padding: 7px 10px;
  border-radius: var(--radius);
  background: var(--moss-tint);
  font-size: 0.75rem;
}
.note strong {
  color: var(--moss);
}
.note button {
  padding: 0;
  border: 0;
  background: none;
  color: var(--accent);
  font: inherit;
  font-weight: 600;
  cursor: pointer;
}
.more {
  grid-column: 1 / -1;
}
@media (max-width: 1100px) {
  .band {
    grid-template-columns: repeat(auto-fit, minmax(210px, 1fr));
  }
}
</style>
