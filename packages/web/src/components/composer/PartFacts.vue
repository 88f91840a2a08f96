<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue';
import {
  childrenOf,
  deviceClasses,
  GRID_COLUMNS,
  HIGHEST_ROW,
  LEAST_ROW,
  labelOf,
  MOST_COLUMNS,
  partFacts,
  pictureRatios,
  setPart,
  type DeviceClass,
  type Part,
  type PartChanges,
  type PartField,
  type RichText,
} from '@zorvik/core';
import { useComposing } from '../../composables/useComposing.ts';
import { useKeeping } from '../../composables/useKeeping.ts';
import { searchPages } from '../../composables/pageSearch.ts';
import { useComposer } from '../../stores/composer.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChipSet from '../common/ChipSet.vue';
import ChoiceRow from '../common/ChoiceRow.vue';
import FlagRow from '../common/FlagRow.vue';
import LineField from '../common/LineField.vue';
import DestinationField from './DestinationField.vue';
import PictureField from './PictureField.vue';
import SourceField from './SourceField.vue';

const RichTextField = defineAsyncComponent(() => import('./RichTextField.vue'));

/** What may be said of the chosen part: the facts that its kind may have, each with its own control. */
const props = defineProps<{ part: Part }>();
const copy = useWorkingCopy();
const selection = useSelection();
const composer = useComposer();
const composing = useComposing();
const keepBy = useKeeping();

const has = (field: PartField): boolean =>
  partFacts[props.part.kind].always.includes(field) || partFacts[props.part.kind].maybe.includes(field);
function set(changes: PartChanges): string | null {
  const done = copy.perform((context) => setPart(context, props.part.id, changes));
  return done.ok || done.refusal.code === 'changesNothing' ? null : done.refusal.message;
}
const line = (field: 'text' | 'alt' | 'address' | 'parameter') =>
  keepBy(`${field} ${props.part.id}`, (context, typed) =>
    setPart(context, props.part.id, { [field]: typed.trim() === '' ? null : typed.trim() }),
  );

const textLabel = computed(
  () =>
    (
      ({
        search: 'Name',
        pages: 'Heading (optional)',
        links: 'Heading (optional)',
        menu: 'Heading (optional)',
        video: 'Name',
      }) as Partial<Record<Part['kind'], string>>
    )[props.part.kind] ?? 'Text',
);
const children = computed(() => {
  const { document } = copy;
  if (document === null || composer.owner === null) return [];
  return [...childrenOf(document.items, composer.owner)].flatMap((id) => {
    const item = document.items.nodes.get(id);
    return item === undefined ? [] : [{ value: id, label: labelOf(document, item) }];
  });
});
const otherMenus = computed(() =>
  selection.menus
    .filter(({ id }) => id !== selection.menu?.id)
    .map(({ id, name }) => ({ value: id, label: name })),
);
const shownOn = computed({
  get: (): readonly DeviceClass[] =>
    deviceClasses.filter((one) => props.part.hiddenOn?.includes(one) !== true),
  set: (some) => {
    const hidden = deviceClasses.filter((one) => !some.includes(one));
    set({ hiddenOn: hidden.length === 0 ? null : hidden });
  },
});
const devices = deviceClasses.map((value) => ({ value, label: value }));
const counts = Array.from({ length: MOST_COLUMNS }, (_, at) => ({ value: at + 1, label: String(at + 1) }));
const spans = Array.from({ length: GRID_COLUMNS }, (_, at) => ({ value: at + 1, label: String(at + 1) }));
const ratios = [
  { value: 'own', label: 'none' },
  ...pictureRatios.map((value) => ({ value, label: value.replace('/', ':') })),
] as const;

function keepHeight(typed: string): string | null {
  const text = typed.trim();
  if (text === '') return set({ height: null });
  const height = Number(text);
  const isFit = Number.isInteger(height) && height >= LEAST_ROW && height <= HIGHEST_ROW;
  return isFit
    ? set({ height })
    : `Use a whole number from ${LEAST_ROW} to ${HIGHEST_ROW} px for the height.`;
}

function keepScope(typed: string): string | null {
  const text = typed.trim();
  if (text === '') return set({ scope: null });
  const [, name = '', value = ''] = /^([A-Za-z][\w.-]*)\s*=\s*(.+)$/.exec(text) ?? [];
  return name === ''
    ? 'Write the limit as name=value, for example in=shop.'
    : set({ scope: { name, value } });
}

const pageAddress = (page: string): string | null => copy.document?.pages.nodes.get(page)?.address ?? null;
const pageAt = (address: string): string | null =>
  copy.document === null
    ? null
    : (searchPages(copy.document, address).find((page) => page.address === address)?.id ?? null);
const keepBody = (body: RichText): string | null => {
  const done = copy.perform((context) => setPart(context, props.part.id, { body }), `body ${props.part.id}`);
  return done.ok || done.refusal.code === 'changesNothing' ? null : done.refusal.message;
};
const needsAlt = computed(
  () =>
    props.part.kind === 'picture' &&
    props.part.picture !== undefined &&
    props.part.alt === undefined &&
    props.part.isOrnament !== true,
);
</script>

<template>
  <section class="facts" aria-label="Part settings">
    <RichTextField
      v-if="part.kind === 'text'"
      :key="part.id"
      class="wide"
      :value="part.body ?? []"
      :page-address="pageAddress"
      :page-at="pageAt"
      :keep="keepBody"
    />
    <LineField
      v-if="has('text')"
      class="line"
      :label="textLabel"
      :value="part.text ?? ''"
      :keep="line('text')"
    />
    <PictureField
      v-if="has('picture')"
      :label="part.kind === 'video' ? 'Preview image' : 'Picture'"
      :picture="part.picture"
      :keep="(picture) => set({ picture })"
    />
    <div v-if="has('alt') && part.isOrnament !== true" class="line">
      <LineField label="Alt text" :value="part.alt ?? ''" :keep="line('alt')" />
      <p v-if="needsAlt" class="look">Add alt text, or mark the picture as decorative.</p>
    </div>
    <FlagRow
      v-if="has('isOrnament')"
      :model-value="part.isOrnament === true"
      label="Picture is"
      off="informative"
      on="decorative"
      @update:model-value="set({ isOrnament: $event ? true : null })"
    />
    <DestinationField
      v-if="has('destination')"
      :label="part.kind === 'video' ? 'Video address' : 'Link'"
      :destination="part.destination"
      :may-lead-nowhere="partFacts[part.kind].maybe.includes('destination')"
      @lead="set({ destination: $event })"
    />
    <FlagRow
      v-if="has('opensNewTab') && part.destination !== undefined"
      :model-value="part.opensNewTab === true"
      label="Opens in"
      off="same tab"
      on="new tab"
      @update:model-value="set({ opensNewTab: $event ? true : null })"
    />
    <ChoiceRow
      v-if="part.kind === 'group'"
      :model-value="part.item ?? null"
      label="Child item"
      :choices="children"
      @update:model-value="$event !== null && set({ item: $event })"
    />
    <ChoiceRow
      v-if="has('heading')"
      :model-value="part.heading ?? 'link'"
      label="Heading"
      :choices="[
        { value: 'link', label: 'link' },
        { value: 'plain', label: 'text' },
        { value: 'none', label: 'none' },
      ]"
      @update:model-value="set({ heading: $event === 'plain' || $event === 'none' ? $event : null })"
    />
    <FlagRow
      v-if="has('levels')"
      :model-value="part.levels !== undefined"
      label="Levels"
      off="all"
      on="1"
      @update:model-value="set({ levels: $event ? 1 : null })"
    />
    <ChoiceRow
      v-if="has('span')"
      :model-value="part.span ?? null"
      label="Width (of 12 columns, Alt ← →)"
      :choices="spans"
      @update:model-value="$event !== null && composing.shape($event - (part.span ?? 1))"
    />
    <FlagRow
      v-if="has('direction')"
      :model-value="part.direction !== undefined"
      label="Direction"
      off="top to bottom"
      on="side by side"
      @update:model-value="set({ direction: $event ? 'across' : null })"
    />
    <LineField
      v-if="has('height')"
      class="small"
      label="Min. height (px)"
      placeholder="auto"
      :value="String(part.height ?? '')"
      :keep="keepHeight"
    />
    <SourceField v-if="part.source !== undefined" :source="part.source" @set="set({ source: $event })" />
    <FlagRow
      v-if="has('look')"
      :model-value="part.look !== undefined"
      label="Show as"
      off="links"
      on="cards"
      @update:model-value="set({ look: $event ? 'cards' : null })"
    />
    <ChoiceRow
      v-if="has('columns')"
      :model-value="part.columns ?? null"
      label="Columns"
      :choices="counts"
      @update:model-value="$event !== null && set({ columns: $event })"
    />
    <ChoiceRow
      v-if="has('menu')"
      :model-value="part.menu ?? null"
      label="Menu"
      :choices="otherMenus"
      @update:model-value="$event !== null && set({ menu: $event })"
    />
    <template v-if="part.kind === 'search'">
      <LineField class="line" label="Search page" :value="part.address ?? ''" :keep="line('address')" />
      <LineField
        class="small"
        label="Query parameter"
        :value="part.parameter ?? ''"
        :keep="line('parameter')"
      />
      <LineField
        class="words"
        label="Limit to (optional)"
        placeholder="name=value"
        :value="part.scope === undefined ? '' : `${part.scope.name}=${part.scope.value}`"
        :keep="keepScope"
      />
    </template>
    <ChoiceRow
      v-if="has('ratio')"
      :model-value="part.ratio ?? 'own'"
      label="Crop"
      :choices="ratios"
      @update:model-value="set({ ratio: $event === 'own' || $event === null ? null : $event })"
    />
    <FlagRow
      v-if="has('fit') && part.ratio !== undefined"
      :model-value="part.fit !== undefined"
      label="Fit"
      off="cover"
      on="contain"
      @update:model-value="set({ fit: $event ? 'whole' : null })"
    />
    <FlagRow
      v-if="has('isRounded')"
      :model-value="part.isRounded === true"
      label="Corners"
      off="square"
      on="rounded"
      @update:model-value="set({ isRounded: $event ? true : null })"
    />
    <FlagRow
      v-if="has('isBled')"
      :model-value="part.isBled === true"
      label="Extends to"
      off="its cell"
      on="the panel’s edge"
      @update:model-value="set({ isBled: $event ? true : null })"
    />
    <ChipSet v-if="has('hiddenOn')" v-model="shownOn" label="Shown on" :choices="devices" />
  </section>
</template>

<style scoped>
.facts {
  display: flex;
  flex-wrap: wrap;
  align-content: start;
  align-items: start;
  gap: 8px 20px;
}
.wide {
  flex: 1 1 420px;
  max-width: 640px;
}
.line {
  width: 250px;
}
.small {
  width: 108px;
}
.words {
  width: 150px;
}
.look {
  margin-top: 3px;
  color: var(--ochre);
  font-size: 0.75rem;
}
</style>
