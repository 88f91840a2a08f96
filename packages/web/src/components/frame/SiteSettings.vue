<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { computed, ref } from 'vue';
import {
  deviceClasses,
  setSite,
  setWord,
  USUAL_CONTENT,
  usualMargins,
  visitorWordNames,
  wordsIn,
  type DeviceClass,
  type Site,
  type SiteChanges,
  type VisitorWord,
} from '@zorvik/core';
import { useKeeping } from '../../composables/useKeeping.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import DialogSheet from '../common/DialogSheet.vue';
import IconButton from '../common/IconButton.vue';
import IconPick from '../common/IconPick.vue';
import LineField from '../common/LineField.vue';
import PictureField from '../composer/PictureField.vue';
import DeleteSite from './DeleteSite.vue';
import LanguageField from '../common/LanguageField.vue';
import LinesField from './LinesField.vue';

/** The site itself: what it is called and how it is laid out, and facts that are kept once and shown wherever used. */
const isOpen = defineModel<boolean>({ required: true });
const copy = useWorkingCopy();
const keepBy = useKeeping();
const views = [
  { value: 'facts' as const, label: 'Facts' },
  { value: 'site' as const, label: 'Site' },
  { value: 'words' as const, label: 'Words' },
];
const view = ref<(typeof views)[number]['value']>('facts');
const site = computed((): Site | null => copy.document?.site ?? null);

const set = (changes: SiteChanges): string | null => {
  const done = copy.perform((context) => setSite(context, changes));
  return done.ok || done.refusal.code === 'changesNothing' ? null : done.refusal.message;
};
const keep = (name: 'name' | 'origin' | 'timeZone' | 'phone' | 'email' | 'holder') =>
  keepBy(`site ${name}`, (context, typed) => setSite(context, { [name]: typed }));
const keepers = {
  name: keep('name'),
  origin: keep('origin'),
  timeZone: keep('timeZone'),
  phone: keep('phone'),
  email: keep('email'),
  holder: keep('holder'),
};

const whole = (typed: string): number => (/^\d{1,5}$/.test(typed.trim()) ? Number(typed.trim()) : -1);
const keepWidth = (typed: string): string | null =>
  set({ contentWidth: typed.trim() === '' ? null : whole(typed) });
const keepBreakpoint =
  (which: 'medium' | 'wide') =>
  (typed: string): string | null =>
    set({
      breakpoints: { medium: 0, wide: 0, ...site.value?.breakpoints, [which]: whole(typed) },
    });
const keepMargin =
  (device: DeviceClass) =>
  (typed: string): string | null => {
    const { [device]: _, ...others } = site.value?.margins ?? {};
    return set({ margins: typed.trim() === '' ? others : { ...others, [device]: whole(typed) } });
  };
const keepWord = (word: VisitorWord) =>
  keepBy(`word ${word}`, (context, typed) => setWord(context, site.value?.language ?? 'en', word, typed));
const ownWord = (word: VisitorWord): string => site.value?.words?.[site.value.language]?.[word] ?? '';
const language = computed(() => site.value?.language ?? 'en');
const shipped = computed(() => wordsIn(language.value));
const wordLabels: Readonly<Record<VisitorWord, string>> = {
  menu: 'Menu button',
  close: 'Close',
  back: 'Back',
  more: 'More',
  search: 'Search',
  skip: 'Skip link',
  'on-this-page': 'List of anchors',
  breadcrumb: 'Breadcrumb',
  start: 'Start page in the breadcrumb',
  social: 'Social links',
  payment: 'Payment marks',
  'opening-hours': 'Opening hours',
  'in-this-section': 'Button of a folded side area',
};

type Social = NonNullable<Site['social']>[number];
type Payment = NonNullable<Site['payments']>[number];
const social = computed(() => site.value?.social ?? []);
const payments = computed(() => site.value?.payments ?? []);
const setSocial = (at: number, changes: Partial<Social>): string | null =>
  set({ social: social.value.map((one, index) => (index === at ? { ...one, ...changes } : one)) });
const setPayment = (at: number, changes: Partial<Payment>): string | null =>
  set({ payments: payments.value.map((one, index) => (index === at ? { ...one, ...changes } : one)) });
const LINK = { name: 'link', path: 'M4 11h16v2H4Z' };
const addSocial = (): string | null =>
  set({ social: [...social.value, { name: 'Name', address: 'https://example.org/', mark: LINK }] });
const addPayment = (): string | null => set({ payments: [...payments.value, { name: 'Name', mark: LINK }] });
const without = <T,>(list: readonly T[], at: number): T[] => list.filter((_, index) => index !== at);
const directions = [
  { value: 'ltr' as const, label: 'left to right' },
  { value: 'rtl' as const, label: 'right to left' },
];
</script>

<template>
  <DialogSheet v-model="isOpen" title="Site settings" :width="720" @submit="isOpen = false">
    <template v-if="site !== null">
      <ChoiceRow v-model="view" label="Settings" is-label-hidden :choices="views" />
      <div v-if="view === 'facts'" class="fields">
        <p class="mute wide">Kept once. The frame shows them wherever a part uses them.</p>
        <PictureField label="Logo" :picture="site.logo" :keep="(picture) => set({ logo: picture })" />
        <LineField label="Phone" :value="site.phone ?? ''" :keep="keepers.phone" />
        <LineField label="E-mail" :value="site.email ?? ''" :keep="keepers.email" />
        <LineField
          label="Copyright holder"
          :placeholder="site.name"
          :value="site.holder ?? ''"
          :keep="keepers.holder"
        />
        <LinesField label="Address" :lines="site.postal ?? []" :keep="(postal) => set({ postal })" />
        <LinesField label="Opening hours" :lines="site.hours ?? []" :keep="(hours) => set({ hours })" />
        <section class="wide list" aria-label="Social links">
          <h2>Social links</h2>
          <div v-for="(one, at) in social" :key="at" class="row">
            <IconPick
              :label="`Icon of ${one.name}`"
              :icon="one.mark"
              @pick="setSocial(at, { mark: $event })"
            />
            <LineField label="Name" :value="one.name" :keep="(name) => setSocial(at, { name })" />
            <LineField label="Address" :value="one.address" :keep="(address) => setSocial(at, { address })" />
            <IconButton
              :label="`Remove ${one.name}`"
              :icon="mdiClose"
              @press="set({ social: without(social, at) })"
            />
          </div>
          <button type="button" class="plain-button" @click="addSocial">Add a social link</button>
        </section>
        <section class="wide list" aria-label="Payment marks">
          <h2>Payment marks</h2>
          <div v-for="(one, at) in payments" :key="at" class="row">
            <IconPick
              :label="`Icon of ${one.name}`"
              :icon="one.mark"
              @pick="setPayment(at, { mark: $event })"
            />
            <LineField label="Name" :value="one.name" :keep="(name) => setPayment(at, { name })" />
            <IconButton
              :label="`Remove ${one.name}`"
              :icon="mdiClose"
              @press="set({ payments: without(payments, at) })"
            />
          </div>
          <button type="button" class="plain-button" @click="addPayment">Add a payment mark</button>
        </section>
      </div>
      <div v-else-if="view === 'site'" class="fields">
        <LineField label="Name" :value="site.name" :keep="keepers.name" />
        <LineField
          label="Address of the site"
          placeholder="https://www.example.org"
          :value="site.origin"
          :keep="keepers.origin"
        />
        <LanguageField :value="site.language" @set="set({ language: $event })" />
        <LineField label="Time zone" :value="site.timeZone" :keep="keepers.timeZone" />
        <ChoiceRow
          class="wide"
          :model-value="site.direction"
          label="Direction"
          :choices="directions"
          @update:model-value="$event !== null && set({ direction: $event })"
        />
        <LineField
          label="Medium screens from (px)"
          :value="String(site.breakpoints.medium)"
          :keep="keepBreakpoint('medium')"
        />
        <LineField
          label="Wide screens from (px)"
          :value="String(site.breakpoints.wide)"
          :keep="keepBreakpoint('wide')"
        />
        <LineField
          label="Content width (px)"
          :placeholder="String(USUAL_CONTENT)"
          :value="String(site.contentWidth ?? '')"
          :keep="keepWidth"
        />
        <LineField
          v-for="device in deviceClasses"
          :key="device"
          :label="`Page margin, ${device} (px)`"
          :placeholder="String(usualMargins[device])"
          :value="String(site.margins?.[device] ?? '')"
          :keep="keepMargin(device)"
        />
        <DeleteSite class="wide" :site-key="site.key" :name="site.name" />
      </div>
      <div v-else class="fields">
        <p class="mute wide">
          Words that visitors read, in the language of the site ({{ language }}). Leave a field empty for the
          usual word.
        </p>
        <LineField
          v-for="word in visitorWordNames"
          :key="word"
          :label="wordLabels[word]"
          :placeholder="shipped[word]"
          :value="ownWord(word)"
          :keep="keepWord(word)"
        />
      </div>
    </template>
    <template #actions>
      <v-btn color="primary" type="submit">Done</v-btn>
    </template>
  </DialogSheet>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 14px 18px;
  align-items: start;
  min-height: 380px;
  padding-block: 14px;
}
.wide {
  grid-column: 1 / -1;
}
.list {
  display: grid;
  gap: 8px;
  justify-items: start;
}
h2 {
  font-size: 0.875rem;
}
.row {
  display: grid;
  grid-template-columns: auto minmax(120px, 1fr) minmax(160px, 2fr) auto;
  gap: 8px;
  align-items: end;
  width: 100%;
}
</style>
