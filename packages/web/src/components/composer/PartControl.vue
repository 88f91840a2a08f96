<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue';
import {
  childrenOf,
  deviceClasses,
  GRID_COLUMNS,
  labelOf,
  partFacts,
  PLAIN_BUTTON,
  setPart,
  type Choice,
  type DeviceClass,
  type Field,
  type Part,
  type PartChanges,
  type PartField,
  type Picture,
  type RichText,
  usualOf,
} from '@zorvik/core';
import { useComposing } from '../../composables/useComposing.ts';
import { useEntryLooks } from '../../composables/useEntryLooks.ts';
import { useKeeping } from '../../composables/useKeeping.ts';
import { searchPages } from '../../composables/pageSearch.ts';
import { useComposer } from '../../stores/composer.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChipSet from '../common/ChipSet.vue';
import ChoiceRow from '../common/ChoiceRow.vue';
import FitsField from '../common/FitsField.vue';
import FlagRow from '../common/FlagRow.vue';
import IconPick from '../common/IconPick.vue';
import LineField from '../common/LineField.vue';
import BadgeField from '../details/BadgeField.vue';
import IconField from '../details/IconField.vue';
import DestinationField from './DestinationField.vue';
import FacesField from './FacesField.vue';
import PictureField from './PictureField.vue';
import SignField from './SignField.vue';
import SourceField from './SourceField.vue';
import VariantField from '../common/VariantField.vue';

const HtmlField = defineAsyncComponent(() => import('./HtmlField.vue'));
const RichTextField = defineAsyncComponent(() => import('./RichTextField.vue'));

/** One field of a part, by the kind of control that the field names. */
const props = defineProps<{ part: Part; name: PartField; field: Field }>();
const copy = useWorkingCopy();
const selection = useSelection();
const composer = useComposer();
const composing = useComposing();
const keepBy = useKeeping();

const control = computed(() => props.field.control);
const value = computed((): unknown => props.part[props.name]);

function change(changes: PartChanges, group?: string): string | null {
  const done = copy.perform((context) => setPart(context, props.part.id, changes), group);
  return done.ok || done.refusal.code === 'changesNothing' ? null : done.refusal.message;
}
const picture = computed(() => value.value as Picture | undefined);
// The field says what its values are; the command refuses any others.
const set = (next: unknown): string | null => change({ [props.name]: next } as PartChanges);

const keepLine = keepBy(`${props.name} ${props.part.id}`, (context, typed) =>
  setPart(context, props.part.id, { [props.name]: typed.trim() === '' ? null : typed.trim() } as PartChanges),
);
const keepBadge = keepBy(`badge ${props.part.id}`, (context, text) =>
  setPart(context, props.part.id, { badge: text.trim() === '' ? null : { ...props.part.badge, text } }),
);
const iconLooks = useEntryLooks('icon', () => [props.part.id]);
const badgeLooks = useEntryLooks('badge', () => [props.part.id]);
/** Where badges stand in the menu of the panel. */
const usualBadgeAt = computed(() =>
  copy.document === null || composer.owner === null || selection.menu === null
    ? undefined
    : usualOf(copy.document, selection.menu.id).badgeAt,
);
const keepHtml = (html: string): string | null => change({ html }, `html ${props.part.id}`);
const keepBody = (body: RichText | null): string | null => change({ body }, `body ${props.part.id}`);

function keepNumber(typed: string): string | null {
  const { kind } = control.value;
  if (typed.trim() === '' || kind !== 'number') return set(null);
  const { least, most, unit } = control.value;
  const number = Number(typed.trim());
  const isFit = Number.isInteger(number) && number >= least && number <= most;
  return isFit ? set(number) : `Use a whole number from ${least} to ${most} ${unit}.`;
}

function keepPair(typed: string): string | null {
  if (typed.trim() === '') return set(null);
  const [, name = '', given = ''] = /^([A-Za-z][\w.-]*)\s*=\s*(.+)$/.exec(typed.trim()) ?? [];
  return name === '' ? 'Write it as name=value, for example in=shop.' : set({ name, value: given });
}
const pair = computed(() => {
  const { name, value: given } = (value.value ?? {}) as { name?: string; value?: string };
  return name === undefined ? '' : `${name}=${given ?? ''}`;
});

/** `usual` stands for no value, which is what a choice with a usual value sets then. */
const USUAL = '';
const choices = computed((): readonly Choice[] => {
  if (control.value.kind !== 'choice') return [];
  const { usual, choices: some } = control.value;
  return usual === undefined ? some : [{ value: USUAL, label: usual }, ...some];
});
const chosen = computed(
  () => (value.value as string | number | undefined) ?? (choices.value[0]?.value === USUAL ? USUAL : null),
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
  set: (some) => void set(deviceClasses.filter((one) => !some.includes(one))),
});
/** Several of the choices, in their order; the last one cannot be taken away. */
const some = computed({
  get: () => (value.value ?? []) as readonly string[],
  set: (chosenOnes) => {
    if (control.value.kind !== 'some' || chosenOnes.length === 0) return;
    set(control.value.choices.map((one) => one.value).filter((one) => chosenOnes.includes(one)));
  },
});
/** How a link or a button looks that has no variant. */
const plain = computed(() => (props.part.kind === 'link' ? 'link' : PLAIN_BUTTON));
const devices = deviceClasses.map((one) => ({ value: one, label: one }));
const spans = Array.from({ length: GRID_COLUMNS }, (_, at) => ({ value: at + 1, label: String(at + 1) }));

const pageAddress = (page: string): string | null => copy.document?.pages.nodes.get(page)?.address ?? null;
const pageAt = (address: string): string | null =>
  copy.document === null
    ? null
    : (searchPages(copy.document, address).find((page) => page.address === address)?.id ?? null);
</script>

<template>
  <RichTextField
    v-if="control.kind === 'body'"
    class="wide"
    :label="control.label"
    :may-be-empty="partFacts[part.kind].maybe.includes(name)"
    :value="part.body ?? []"
    :page-address="pageAddress"
    :page-at="pageAt"
    :keep="keepBody"
  />
  <HtmlField
    v-else-if="control.kind === 'html'"
    class="wide"
    :label="control.label"
    :html="part.html ?? ''"
    :keep="keepHtml"
  />
  <div v-else-if="control.kind === 'line'" :class="control.size ?? 'line'">
    <LineField :label="control.label" :value="String(value ?? '')" :keep="keepLine" />
    <p v-if="control.advice !== undefined && value === undefined" class="advice">{{ control.advice }}</p>
  </div>
  <LineField
    v-else-if="control.kind === 'number'"
    class="small"
    :label="control.label"
    :placeholder="control.placeholder"
    :value="String(value ?? '')"
    :keep="keepNumber"
  />
  <LineField
    v-else-if="control.kind === 'pair'"
    class="words"
    :label="control.label"
    :placeholder="control.placeholder"
    :value="pair"
    :keep="keepPair"
  />
  <FlagRow
    v-else-if="control.kind === 'flag'"
    :model-value="value !== undefined"
    :label="control.label"
    :off="control.off"
    :on="control.on"
    @update:model-value="set($event ? control.value : null)"
  />
  <ChoiceRow
    v-else-if="control.kind === 'choice'"
    :model-value="chosen"
    :label="control.label"
    :choices="choices"
    @update:model-value="$event !== null && set($event === USUAL ? null : $event)"
  />
  <PictureField
    v-else-if="control.kind === 'picture'"
    :label="control.label"
    :picture="picture"
    :keep="set"
  />
  <DestinationField
    v-else-if="control.kind === 'destination'"
    :label="control.label"
    :destination="part.destination"
    :may-lead-nowhere="partFacts[part.kind].maybe.includes(name)"
    @lead="set"
  />
  <SourceField v-else-if="control.kind === 'source' && part.source" :source="part.source" @set="set" />
  <ChoiceRow
    v-else-if="control.kind === 'child' || control.kind === 'menu'"
    :model-value="(value as string | undefined) ?? null"
    :label="control.label"
    :choices="control.kind === 'child' ? children : otherMenus"
    @update:model-value="$event !== null && set($event)"
  />
  <ChoiceRow
    v-else-if="control.kind === 'span'"
    :model-value="part.span ?? null"
    :label="control.label"
    :choices="spans"
    @update:model-value="$event !== null && composing.shape($event - (part.span ?? 1))"
  />
  <ChipSet
    v-else-if="control.kind === 'some'"
    v-model="some"
    :label="control.label"
    :choices="control.choices"
  />
  <div v-else-if="control.kind === 'icon'" class="own-icon">
    <span class="caption">{{ control.label }}</span>
    <span class="line-up">
      <IconPick :label="control.label" :icon="part.glyph ?? null" @pick="set($event)" />
      <button v-if="part.glyph !== undefined" type="button" class="plain-button" @click="set(null)">
        Usual icon
      </button>
    </span>
  </div>
  <IconField
    v-else-if="control.kind === 'entryIcon'"
    class="entry"
    :icon="part.icon ?? null"
    :looks="iconLooks"
    @set="set"
  />
  <BadgeField
    v-else-if="control.kind === 'badge'"
    class="entry"
    :badge="part.badge ?? null"
    :usual-position="usualBadgeAt"
    :keep="keepBadge"
    :looks="badgeLooks"
    @set="set"
  />
  <FacesField
    v-else-if="control.kind === 'faces'"
    :label="control.label"
    :faces="part.faces ?? {}"
    @set="set"
  />
  <FitsField v-else-if="control.kind === 'fits'" :part="part" :label="control.label" />
  <SignField
    v-else-if="control.kind === 'sign'"
    :model-value="part.sign"
    :label="control.label"
    @update:model-value="set($event ?? null)"
  />
  <VariantField
    v-else-if="control.kind === 'variant'"
    :label="control.label"
    :value="(value as string | undefined) ?? plain"
    :plain="{ value: plain, label: plain }"
    @set="set($event === plain ? null : $event)"
  />
  <ChipSet
    v-else-if="control.kind === 'devices'"
    v-model="shownOn"
    :label="control.label"
    :choices="devices"
  />
</template>

<style scoped>
.own-icon {
  display: grid;
  gap: 3px;
}
.caption {
  color: var(--mute);
  font-size: 0.75rem;
}
.line-up {
  display: flex;
  gap: 6px;
}
.entry {
  flex: 0 1 410px;
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
.advice {
  margin-top: 3px;
  color: var(--ochre);
  font-size: 0.75rem;
}
</style>
