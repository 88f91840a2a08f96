<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue';
import {
  numbered,
  addPages,
  childrenOf,
  counted,
  movePages,
  readdressedBelow,
  readdressPage,
  renamePage,
  setPageKind,
  setPageState,
  shownAddress,
  stepPages,
  type Id,
  type Page,
  type PageKind,
  type PageStep,
} from '@zorvik/core';
import { useKeeping } from '../../composables/useKeeping.ts';
import { evidenceWords } from '../../composables/evidenceWords.ts';
import { useDetails } from '../../stores/details.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import LineField from '../common/LineField.vue';
import PagePick from '../arrange/PagePick.vue';
import type { Picked } from '../../composables/picked.ts';

/** Details of the chosen pages, and what can be done to them. Along the bottom, as in Arrange. */
const props = defineProps<{ chosen: readonly Id[] }>();
const isAddressMoved = defineModel<boolean>('isAddressMoved', { required: true });
const copy = useWorkingCopy();
const selection = useSelection();
const details = useDetails();
const keepBy = useKeeping();
const root = useTemplateRef<HTMLElement>('root');
const isPicking = ref(false);

const pages = computed((): Page[] => props.chosen.flatMap((id) => copy.document?.pages.nodes.get(id) ?? []));
const page = computed(() => (pages.value.length === 1 ? (pages.value[0] ?? null) : null));
const id = computed(() => page.value?.id ?? '');
const rename = computed(() =>
  keepBy(`title ${id.value}`, (context, typed) => renamePage(context, id.value, typed)),
);
const readdress = computed(() =>
  keepBy(`address ${id.value}`, (context, typed) => readdressPage(context, id.value, typed)),
);
const state = computed({
  get: () =>
    pages.value.every((one) => one.state === pages.value[0]?.state) ? (pages.value[0]?.state ?? null) : null,
  set: (next) => void (next !== null && copy.perform((context) => setPageState(context, props.chosen, next))),
});
const kind = computed({
  get: () =>
    pages.value.every((one) => one.kind === pages.value[0]?.kind) ? (pages.value[0]?.kind ?? null) : null,
  set: (next: PageKind | null) =>
    void (next !== null && copy.perform((context) => setPageKind(context, props.chosen, next))),
});
/** Pages below whose address begins with its own. */
const below = computed(() =>
  copy.document === null || page.value === null ? 0 : readdressedBelow(copy.document, page.value.id),
);
const facts = computed(() => {
  if (page.value === null) return '';
  const { visits, date, categories, template, formerAddresses, readTitle, title, placedBy } = page.value;
  const parts = [
    below.value === 0
      ? ''
      : counted(
          below.value,
          'a new address also changes # page below',
          'a new address also changes # pages below',
        ),
    visits === undefined ? '' : `${numbered(visits)} visits`,
    date === undefined ? '' : date,
    categories === undefined ? '' : categories.join(', '),
    placedBy === undefined
      ? ''
      : placedBy.by === 'none'
        ? 'position unknown'
        : `position from ${evidenceWords[placedBy.by]} (${placedBy.sure} % certain)`,
    template === null ? '' : `template ${template}`,
    formerAddresses === undefined ? '' : `formerly ${formerAddresses.map(shownAddress).join(', ')}`,
    readTitle === undefined || readTitle === title ? '' : `called “${readTitle}” on the site`,
  ];
  return parts.filter((part) => part !== '').join(' · ');
});
const steps: readonly { readonly step: PageStep; readonly label: string; readonly sign: string }[] = [
  { step: 'up', label: 'Move up', sign: '↑' },
  { step: 'down', label: 'Move down', sign: '↓' },
  { step: 'out', label: 'Move out of its parent', sign: '←' },
  { step: 'in', label: 'Move into the page above', sign: '→' },
];

function move(step: PageStep): void {
  copy.perform((context) => stepPages(context, props.chosen, step, isAddressMoved.value));
}

function under(picked: Picked): void {
  isPicking.value = false;
  const { document } = copy;
  if (picked.kind !== 'page' || document === null) return;
  copy.perform((context) =>
    movePages(
      context,
      props.chosen,
      { parent: picked.id, after: childrenOf(document.pages, picked.id).last() },
      isAddressMoved.value,
    ),
  );
}

function putInto(menu: Id): void {
  const { document } = copy;
  if (document === null || menu === '') return;
  copy.perform((context) =>
    addPages(context, {
      pages: props.chosen,
      depth: 0,
      spot: { parent: menu, after: childrenOf(document.items, menu).last() },
    }),
  );
}

/** For the key: the title's field, with all of it selected. */
function focusTitle(): void {
  const input = root.value?.querySelector<HTMLInputElement>('.title-field input');
  input?.focus();
  input?.select();
}
defineExpose({ focusTitle });
</script>

<template>
  <section
    ref="root"
    class="strip"
    :class="{ open: details.isSheetOpen }"
    aria-label="Details of the selected pages"
  >
    <p v-if="pages.length === 0" class="mute">Select a page to edit it. Every change can be undone.</p>
    <template v-else>
      <div class="sheet">
        <strong>{{ page?.title ?? counted(pages.length, '# page', '# pages') }}</strong>
        <button
          type="button"
          class="plain-button"
          :aria-expanded="details.isSheetOpen"
          @click="details.isSheetOpen = !details.isSheetOpen"
        >
          {{ details.isSheetOpen ? 'Close' : 'Details' }}
        </button>
      </div>
      <div class="fields">
        <template v-if="page !== null">
          <LineField
            :key="`title ${page.id}`"
            class="title-field"
            label="Title"
            :value="page.title"
            :keep="rename"
          />
          <LineField
            :key="`address ${page.id}`"
            label="Address"
            :value="shownAddress(page.address)"
            :keep="readdress"
          />
        </template>
        <h2 v-else>{{ counted(pages.length, '# page', '# pages') }}</h2>
        <p class="mute facts">{{ page === null ? `Changes apply to all ${pages.length}.` : facts }}</p>
      </div>
      <div class="sets">
        <ChoiceRow
          v-model="state"
          label="State"
          :is-mixed="state === null"
          :choices="[
            { value: 'live', label: 'live' },
            { value: 'draft', label: 'draft' },
            { value: 'gone', label: 'deleted', hint: 'Can be restored; menu items are kept' },
          ]"
        />
        <ChoiceRow
          v-model="kind"
          label="Kind"
          :is-mixed="kind === null"
          :choices="[
            { value: 'page', label: 'page' },
            { value: 'category', label: 'category' },
            { value: 'article', label: 'article' },
            { value: 'product', label: 'product' },
            { value: 'event', label: 'event' },
          ]"
        />
      </div>
      <div class="moves">
        <span class="caption">Move</span>
        <div class="row">
          <button
            v-for="one in steps"
            :key="one.step"
            type="button"
            class="plain-button step"
            :aria-label="one.label"
            :title="one.label"
            @click="move(one.step)"
          >
            {{ one.sign }}
          </button>
          <PagePick
            v-if="isPicking"
            label="New parent page"
            placeholder="Under which page?"
            @pick="under"
            @leave="isPicking = false"
          />
          <button v-else type="button" class="plain-button" @click="isPicking = true">Move under …</button>
        </div>
        <label class="along">
          <input v-model="isAddressMoved" type="checkbox" />
          Also change the address
        </label>
      </div>
      <label v-if="selection.menus.length > 0" class="to">
        <span class="caption">Add to a menu</span>
        <select
          aria-label="Add to a menu"
          @change="
            putInto(($event.target as HTMLSelectElement).value);
            ($event.target as HTMLSelectElement).value = '';
          "
        >
          <option value="">Choose a menu …</option>
          <option v-for="menu in selection.menus" :key="menu.id" :value="menu.id">{{ menu.name }}</option>
        </select>
      </label>
    </template>
  </section>
</template>

<style scoped src="./pageStrip.css"></style>
