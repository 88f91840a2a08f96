<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp, mdiContentDuplicate, mdiDelete, mdiPlus } from '@mdi/js';
import { computed, nextTick, ref, useTemplateRef } from 'vue';
import {
  areaAround,
  areaId,
  canYield,
  childrenOf,
  duplicatePart,
  hrefOf,
  labelOf,
  removePartOf,
  renameItem,
  setPart,
  usesInDrawer,
  usualParts,
  type Id,
} from '@zorvik/core';
import { useDrawer } from '../../stores/drawer.ts';
import { useFraming } from '../../composables/useFraming.ts';
import { useKeeping } from '../../composables/useKeeping.ts';
import { useFrame } from '../../stores/frame.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import { useReadability } from '../../stores/readability.ts';
import HardToReadNotes from '../style/HardToReadNotes.vue';
import IconButton from '../common/IconButton.vue';
import LineField from '../common/LineField.vue';
import PartFacts from '../composer/PartFacts.vue';
import AreaSettings from './AreaSettings.vue';
import FrameFindings from './FrameFindings.vue';
import FrameReach from './FrameReach.vue';
import FrameShown from './FrameShown.vue';
import FrameTree from './FrameTree.vue';

/** What is in the frame, and the settings of what is selected, along the bottom. */
const copy = useWorkingCopy();
const frame = useFrame();
const framing = useFraming();
const selection = useSelection();
const keepBy = useKeeping();
const readability = useReadability();
const tree = useTemplateRef<InstanceType<typeof FrameTree>>('tree');
const name = useTemplateRef<HTMLElement>('name');

const drawer = useDrawer();
const part = computed(() => frame.part);
/** What is shown again has the facts of what it is. */
const facts = computed(() => frame.facts);
/** The area that the selection is in, with the settings of its own. */
const area = computed(() => {
  const { document } = copy;
  const id = frame.partId ?? areaId('header');
  const found = document === null ? null : areaAround(document, id);
  return found !== null && found.id !== frame.partId ? found : null;
});
const canGoToDrawer = computed(() => {
  const { document } = copy;
  const own = part.value;
  if (document === null || own === null || !canYield(own) || usesInDrawer(document).has(own.id)) return false;
  const isUsual = (['header', 'side'] as const).some((name) =>
    usualParts(document, name)
      .flat()
      .some(({ id }) => id === own.id),
  );
  // Where it is missing, that is said, with the same button.
  return isUsual && !drawer.lost.some((one) => one.part.id === own.id);
});
const isHolder = computed(() => part.value !== null && ['area', 'zone'].includes(part.value.kind));
const title = computed(() => (part.value === null ? 'Nothing selected' : frame.wordOf(part.value)));
const path = computed(() => (part.value === null ? '' : frame.pathOf(part.value.id)));
const item = computed(() => (facts.value?.kind === 'placement' ? selection.item : null));
const label = computed(() =>
  item.value === null || copy.document === null ? '' : labelOf(copy.document, item.value),
);
const keepLabel = computed(() => {
  const id = item.value?.id ?? '';
  return keepBy(`label ${id}`, (context, typed) => renameItem(context, id, typed));
});
const menuKey = computed(() => {
  const shows =
    facts.value === null ? undefined : (frame.deciding(facts.value.id)?.shows ?? facts.value.shows);
  return shows === undefined ? null : (copy.document?.menus.nodes.get(shows)?.key ?? null);
});
const fixed = computed(() =>
  framing.isMovable(part.value) ? null : 'This part of the frame stays where it is.',
);

/** A place within the page has a name of its own, by which it is delivered. */
const isPlace = computed(
  () => part.value?.kind === 'placement' && part.value.parent === copy.document?.site.id,
);
const keepPlace = computed(() => {
  const id = part.value?.id ?? '';
  return keepBy(`place ${id}`, (context, typed) => setPart(context, id, { text: typed }));
});
/** The entries of the bar, from one of which on they can stand at its far end. */
const entries = computed(() => {
  const { document } = copy;
  const shows = part.value === null ? undefined : (frame.deciding(part.value.id)?.shows ?? part.value.shows);
  if (document === null || shows === undefined || part.value?.kind !== 'placement') return [];
  return [...childrenOf(document.items, shows)].flatMap((id) => {
    const one = document.items.nodes.get(id);
    return one === undefined ? [] : [{ id, label: labelOf(document, one) }];
  });
});
function push(event: Event): void {
  const { value } = event.target as HTMLSelectElement;
  framing.onSelected((context, id) => setPart(context, id, { pushed: value === '' ? null : value }));
}
/** A part that is nothing without its link can be designed before it has one, and is left out until then. */
const isSkipped = computed(() => {
  const { document } = copy;
  const destination = part.value?.destination;
  return (
    document !== null &&
    destination !== undefined &&
    part.value?.kind !== 'heading' &&
    part.value?.kind !== 'picture' &&
    hrefOf(document, destination) === null
  );
});
/** The zones of the band that the part is in, to put it into another one. */
const zones = computed(() => {
  const own = part.value;
  const zone = frame.parts.find(({ id }) => id === own?.parent);
  if (zone?.kind !== 'zone') return [];
  return frame.parts.flatMap((one) =>
    one.kind === 'zone' && one.parent === zone.parent ? [{ value: one.id, label: one.at }] : [],
  );
});

const renaming = ref<Id | null>(null);
async function rename(id: Id): Promise<void> {
  renaming.value = id;
  await nextTick();
  name.value?.querySelector('input')?.focus();
  name.value?.querySelector('input')?.select();
}
defineExpose({ focus: () => tree.value?.focus(), rename });
</script>

<template>
  <section class="strip" aria-label="Frame contents and settings">
    <FrameTree ref="tree" class="contents" />
    <div class="who">
      <div class="names">
        <h2 :title="title">{{ title }}</h2>
        <p class="mute path" :title="path">{{ path }}</p>
      </div>
      <div class="tools">
        <IconButton
          label="Move back"
          :icon="mdiArrowUp"
          keys="Alt ↑"
          :reason="fixed"
          @press="framing.shift('up')"
        />
        <IconButton
          label="Move forward"
          :icon="mdiArrowDown"
          keys="Alt ↓"
          :reason="fixed"
          @press="framing.shift('down')"
        />
        <IconButton
          label="Duplicate"
          :icon="mdiContentDuplicate"
          keys="Ctrl D"
          :reason="fixed"
          @press="framing.onSelected(duplicatePart)"
        />
        <IconButton
          label="Remove"
          :icon="mdiDelete"
          keys="Del"
          :reason="fixed"
          @press="framing.onSelected(removePartOf)"
        />
      </div>
      <div class="adds">
        <button type="button" class="plain-button" title="Add a part (P)" @click="framing.addHere()">
          <svg viewBox="0 0 24 24" width="14" height="14" aria-hidden="true">
            <path :d="mdiPlus" fill="currentColor" />
          </svg>
          Part
        </button>
        <button
          type="button"
          class="plain-button"
          title="Add a band below (B)"
          @click="framing.newBand('below')"
        >
          Band below
        </button>
        <button type="button" class="plain-button" title="Add a band above" @click="framing.newBand('above')">
          Band above
        </button>
        <button v-if="area !== null" type="button" class="plain-button" @click="frame.select(area.id)">
          {{ frame.wordOf(area) }} settings
        </button>
      </div>
    </div>
    <div class="facts">
      <p v-if="part === null" class="mute hint">
        Click a part of the page to change it. Move the pointer between two parts and click + to add one
        there, or press P.
      </p>
      <template v-else>
        <FrameFindings :part="part.id" />
        <HardToReadNotes class="hard" :pairs="readability.failingPart(part.id)" />
        <FrameReach v-if="facts !== null" :part="facts.id" />
        <div v-if="item !== null" ref="name" class="entry">
          <LineField label="Entry" :value="label" :keep="keepLabel" />
          <router-link
            class="plain-button"
            :to="{
              name: 'arrange',
              params: { siteKey: copy.siteKey ?? '', menuKey: selection.menu?.key },
              query: { item: item.id },
            }"
          >
            Arrange this entry
          </router-link>
        </div>
        <ChoiceRow
          v-if="zones.length > 0"
          :model-value="part.parent"
          label="Zone"
          :choices="zones"
          @update:model-value="$event !== null && framing.toEndOf(part.id, $event)"
        />
        <FrameShown v-if="!isHolder && facts !== null" :part="facts" />
        <AreaSettings v-if="part.kind === 'area'" :area="part.area" />
        <LineField
          v-if="isPlace"
          class="place"
          label="Name of this place"
          :value="part.text ?? ''"
          :keep="keepPlace"
        />
        <p v-if="isSkipped" class="skipped">Not published: it has no link yet.</p>
        <label v-if="entries.length > 1" class="pushed">
          <span>At the far end from</span>
          <select class="plain-field" :value="part.pushed ?? ''" @change="push($event)">
            <option value="">nothing</option>
            <option v-for="one in entries" :key="one.id" :value="one.id">{{ one.label }}</option>
          </select>
        </label>
        <PartFacts v-if="facts !== null" :part="facts" />
        <PartFacts v-if="part.kind === 'use' && facts?.kind === 'placement'" :part="part" />
        <button v-if="canGoToDrawer" type="button" class="plain-button" @click="drawer.addPart(part.id)">
          Add to drawer
        </button>
        <router-link
          v-if="facts?.kind === 'placement' && menuKey !== null"
          class="plain-button"
          :to="{ name: 'arrange', params: { siteKey: copy.siteKey ?? '', menuKey } }"
        >
          Arrange this menu
        </router-link>
      </template>
    </div>
  </section>
</template>

<style scoped>
.strip {
  display: grid;
  grid-template-columns: minmax(180px, 260px) minmax(150px, 190px) minmax(0, 1fr);
  gap: 0 18px;
  height: clamp(11rem, 30dvh, 15rem);
  padding: 10px 14px;
  border-top: 1px solid var(--line);
  background: var(--sheet);
}
.who {
  display: grid;
  align-content: start;
  gap: 8px;
  min-width: 0;
}
h2 {
  font-size: 1.0625rem;
}
h2,
.path {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.path {
  min-height: 1.125rem;
  font-size: 0.75rem;
}
.tools,
.adds,
.entry {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: end;
}
.adds .plain-button {
  min-height: 26px;
  font-size: 0.75rem;
}
.facts {
  display: flex;
  flex-wrap: wrap;
  align-content: start;
  align-items: end;
  gap: 10px 22px;
  overflow: auto;
}
.place {
  width: 220px;
}
.pushed {
  display: grid;
  gap: 3px;
}
.pushed span {
  color: var(--mute);
  font-size: 0.75rem;
}
.skipped {
  color: var(--ochre);
}
.hint {
  max-width: 60ch;
}
.entry > :first-child {
  width: 250px;
}
@media (max-width: 760px) {
  .strip {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    grid-template-rows: auto minmax(0, 1fr);
    height: 46dvh;
  }
  .facts {
    grid-column: 1 / -1;
  }
}
</style>
