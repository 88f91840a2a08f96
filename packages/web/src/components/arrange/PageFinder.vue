<script setup lang="ts">
import { mdiChevronRight, mdiClose } from '@mdi/js';
import { computed, nextTick, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { draggable } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import {
  addPages,
  childrenOf,
  counted,
  nameOf,
  shownAddress,
  subpagesToAdd,
  type Id,
  type Page,
} from '@zorvik/core';
import { pageBranches, titlesAbove } from '../../composables/pageBranches.ts';
import { timesUsed, whereUsed } from '../../composables/pageUse.ts';
import { useFoundPages, type PageFilter } from '../../composables/useFoundPages.ts';
import { useSpotForNew } from '../../composables/useSpotForNew.ts';
import { ROW_HEIGHT } from '../../composables/rowHeight.ts';
import { useVirtualRows } from '../../composables/useVirtualRows.ts';
import { useFinder } from '../../stores/finder.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import IconButton from '../common/IconButton.vue';

/**
 * Finds pages by any part of title or address and adds one, several, or whole branches to the menu, behind
 * what is selected.
 */
const copy = useWorkingCopy();
const selection = useSelection();
const finder = useFinder();
const behind = useSpotForNew();
const input = useTemplateRef<HTMLInputElement>('input');
const scroller = useTemplateRef<HTMLElement>('scroller');
/** More rows than this are not browsed. */
const MOST_BROWSED = 2000;
const typed = ref('');
const filter = ref<PageFilter>({ kind: null, state: null, isUnused: false });
const isInside = ref(false);
const marked = ref(0);
const picked = shallowRef<ReadonlySet<Id>>(new Set());

const search = useFoundPages(
  typed,
  filter,
  computed(() => finder.isOpen),
);
/** Nothing is looked for: the pages are browsed as a tree. */
const isBrowsing = computed(
  () => typed.value.trim() === '' && kind.value === null && state.value === null && !isUnused.value,
);
const toggled = shallowRef<ReadonlySet<Id>>(new Set());
const branches = computed(() =>
  isBrowsing.value && finder.isOpen && copy.document !== null
    ? pageBranches(copy.document, toggled.value, MOST_BROWSED)
    : [],
);
const found = computed(() =>
  isBrowsing.value ? branches.value.map(({ page }) => page) : search.value.pages,
);
function fold(id: Id): void {
  const next = new Set(toggled.value);
  if (!next.delete(id)) next.add(id);
  toggled.value = next;
}
/** What a page stands below, so that pages of one name are told apart. */
function above(page: Page): string {
  return copy.document === null ? '' : titlesAbove(copy.document, page).join(' › ');
}
/** Where something is looked for, each page says what it stands below, on a second line. */
const rowHeight = computed(() => (isBrowsing.value ? ROW_HEIGHT : Math.round(ROW_HEIGHT * 1.4)));
const kinds = [null, 'page', 'category', 'article', 'product', 'event'] as const;
const states = [null, 'live', 'draft', 'gone'] as const;
const filterBy = <K extends keyof PageFilter>(name: K) =>
  computed({
    get: () => filter.value[name],
    set: (value: PageFilter[K]) => (filter.value = { ...filter.value, [name]: value }),
  });
const [kind, state, isUnused] = [filterBy('kind'), filterBy('state'), filterBy('isUnused')];
const rows = useVirtualRows(
  scroller,
  computed(() => found.value.length),
  rowHeight,
);
/** The page that was added last, until another one is marked. */
const added = ref<Id | null>(null);
const toAdd = computed(() => {
  const chosen = found.value.filter(({ id }) => picked.value.has(id)).map(({ id }) => id);
  const rest = [...picked.value].filter((id) => !chosen.includes(id));
  const at = found.value[marked.value];
  // What was added just now is not added again by one more press.
  if (picked.value.size === 0 && at?.id === added.value) return [];
  return picked.value.size > 0 ? [...chosen, ...rest] : at === undefined ? [] : [at.id];
});
const spot = computed(() => {
  const { document } = copy;
  const { item } = selection;
  if (isInside.value && item !== null && document !== null)
    return { parent: item.id, after: childrenOf(document.items, item.id).last() };
  return behind.value;
});
const where = computed(() => {
  const { document } = copy;
  if (document === null || spot.value === null) return '';
  const { parent, after } = spot.value;
  if (isInside.value && selection.item !== null) return `into “${nameOf(document, 'items', parent)}”`;
  return after === null
    ? `at the start of “${nameOf(document, 'items', parent)}”`
    : `after “${nameOf(document, 'items', after)}”`;
});
/** How many pages, where it is not one alone. */
const what = computed(() => {
  const { document } = copy;
  const along = document === null ? 0 : subpagesToAdd(document, toAdd.value, finder.depth);
  const pages = counted(toAdd.value.length, '# page', '# pages');
  if (along > 0) return `${pages} and ${counted(along, '# subpage', '# subpages')} `;
  return toAdd.value.length > 1 ? `${pages} ` : '';
});
const problem = computed(() => (toAdd.value.length === 0 ? 'no page is selected' : null));
const addedTitle = computed(() =>
  added.value === null || picked.value.size > 0 || found.value[marked.value]?.id !== added.value
    ? null
    : (copy.document?.pages.nodes.get(added.value)?.title ?? null),
);

watch(
  () => finder.isOpen,
  async (isOpen) => {
    if (!isOpen) return;
    picked.value = new Set();
    await nextTick();
    input.value?.focus();
    input.value?.select();
  },
);
watch(typed, () => {
  added.value = null;
  marked.value = 0;
  rows.show(0);
});

function toggle({ id }: Page): void {
  const next = new Set(picked.value);
  if (!next.delete(id)) next.add(id);
  picked.value = next;
}

function add(): void {
  const at = spot.value;
  const pages = toAdd.value;
  if (at === null || pages.length === 0) return;
  const result = copy.perform((context) => addPages(context, { pages, depth: finder.depth, spot: at }));
  if (!result.ok) return;
  added.value = found.value[marked.value]?.id ?? null;
  picked.value = new Set();
  const last = result.value.operations.at(-1);
  if (!isInside.value && last?.kind === 'addItem') selection.select(last.branch[0]?.id ?? null);
  input.value?.focus();
}

function mark(at: number): void {
  if (found.value.length === 0) return;
  added.value = null;
  marked.value = Math.max(0, Math.min(at, found.value.length - 1));
  rows.show(marked.value);
}

/**
 * Does what a key asks for once the list is that of what was typed: who types fast must not choose from the
 * list before.
 */
function onceFound(act: () => void): void {
  const isFound = (): boolean => isBrowsing.value || search.value.typed === typed.value;
  if (isFound()) act();
  else watch(isFound, act, { once: true, flush: 'post' });
}

function pickMarked(): void {
  const at = found.value[marked.value];
  if (at === undefined) return;
  toggle(at);
  mark(marked.value + 1);
}

function press(event: KeyboardEvent): void {
  if (event.isComposing) return;
  if (event.key === 'ArrowDown') mark(marked.value + 1);
  else if (event.key === 'ArrowUp') mark(marked.value - 1);
  else if (isBrowsing.value && (event.key === 'ArrowRight' || event.key === 'ArrowLeft')) {
    const branch = branches.value[marked.value];
    if (branch === undefined || branch.childCount === 0) return;
    if (branch.isUnfolded === (event.key === 'ArrowRight')) return;
    fold(branch.id);
  } else if (event.key === 'Enter') onceFound(event.shiftKey ? pickMarked : add);
  else return;
  event.preventDefault();
}

function useOf({ id }: Page): { readonly count: number; readonly words: string } | null {
  const { document } = copy;
  const count = document === null ? 0 : timesUsed(document, id);
  if (document === null || count === 0) return null;
  return {
    count,
    words: `In ${whereUsed(document, id).join(', ')}`,
  };
}

/**
 * Lets a row be dragged: its own page, or all that are picked when that is one of them. A row is its page's
 * for as long as it is there.
 */
const vDrag = {
  mounted: (element: HTMLElement, { value: page }: { readonly value: Id }) => {
    releases.set(
      element,
      draggable({
        element,
        getInitialData: () => ({ pages: picked.value.has(page) ? [...picked.value] : [page] }),
      }),
    );
  },
  unmounted: (element: HTMLElement) => releases.get(element)?.(),
};
const releases = new WeakMap<HTMLElement, () => void>();
</script>

<template>
  <Transition name="in">
    <aside v-if="finder.isOpen" class="finder" aria-label="Find pages" @keydown.escape.stop="finder.close()">
      <header>
        <h2>Pages</h2>
        <span class="mute number">{{ search.count }}</span>
        <span class="hint mute">
          <kbd>Shift</kbd>
          <kbd>Enter</kbd>
          select several
        </span>
        <IconButton label="Close the page finder" :icon="mdiClose" keys="Esc" @press="finder.close()" />
      </header>
      <input
        ref="input"
        v-model="typed"
        class="search plain-field"
        type="text"
        role="combobox"
        aria-expanded="true"
        aria-controls="found-pages"
        :aria-activedescendant="found.length === 0 ? undefined : `found-${found[marked]?.id}`"
        aria-label="Part of a title or an address"
        placeholder="Part of a title or an address"
        autocomplete="off"
        spellcheck="false"
        @keydown="press"
      />
      <div class="filters">
        <label>
          <span class="only-heard">Kind</span>
          <select class="plain-field" v-model="kind">
            <option v-for="one in kinds" :key="one ?? ''" :value="one">{{ one ?? 'any kind' }}</option>
          </select>
        </label>
        <label>
          <span class="only-heard">State</span>
          <select class="plain-field" v-model="state">
            <option v-for="one in states" :key="one ?? ''" :value="one">
              {{ one === 'gone' ? 'deleted' : (one ?? 'any state') }}
            </option>
          </select>
        </label>
        <label class="unused">
          <input v-model="isUnused" type="checkbox" />
          in no menu
        </label>
      </div>
      <div ref="scroller" class="found" tabindex="0">
        <p v-if="found.length === 0" class="mute none">
          No page matches “{{ typed }}”{{
            kind !== null || state !== null || isUnused ? ' and the filters' : ''
          }}. Try fewer letters, or press
          <kbd>Enter</kbd>
          in the menu to add a link.
        </p>
        <div
          id="found-pages"
          role="listbox"
          aria-label="Pages found"
          aria-multiselectable="true"
          :style="{ height: `${rows.height.value}px` }"
        >
          <div
            v-for="{ index, start } in rows.rows.value"
            :id="`found-${found[index]?.id}`"
            :key="found[index]?.id ?? index"
            v-drag="found[index]?.id ?? ''"
            role="option"
            class="page"
            :class="{ marked: index === marked }"
            :aria-selected="picked.has(found[index]?.id ?? '')"
            :style="{
              transform: `translateY(${start}px)`,
              height: `${rowHeight}px`,
              paddingInlineStart: `${14 + (branches[index]?.depth ?? 0) * 16}px`,
            }"
            @click="
              added = null;
              marked = index;
              toggle(found[index]!);
              input?.focus();
            "
            @dblclick="add"
          >
            <!-- The keys fold by the arrows: an option has nothing in it that can have the focus. -->
            <span
              v-if="isBrowsing"
              class="fold"
              aria-hidden="true"
              :title="branches[index]?.isUnfolded ? 'Fold (←)' : 'Unfold (→)'"
              :class="{ leaf: !branches[index]?.childCount, open: branches[index]?.isUnfolded }"
              @click.stop="fold(found[index]?.id ?? '')"
            >
              <svg viewBox="0 0 24 24" width="14" height="14">
                <path :d="mdiChevronRight" fill="currentColor" />
              </svg>
            </span>
            <span class="tick" aria-hidden="true">{{ picked.has(found[index]?.id ?? '') ? '✓' : '' }}</span>
            <span class="names">
              <span class="title" :class="{ gone: found[index]?.state === 'gone' }">
                {{ found[index]?.title }}
              </span>
              <span v-if="!isBrowsing" class="above">{{ above(found[index]!) }}</span>
            </span>
            <span class="address" dir="ltr">{{ shownAddress(found[index]?.address ?? '') }}</span>
            <span v-if="found[index]?.state === 'draft'" class="used draft">
              {{ found[index]?.planned ? 'planned' : 'draft' }}
            </span>
            <span v-if="useOf(found[index]!) !== null" class="used" :title="useOf(found[index]!)?.words">
              in use{{ (useOf(found[index]!)?.count ?? 1) > 1 ? ` ×${useOf(found[index]!)?.count}` : '' }}
            </span>
          </div>
        </div>
        <p v-if="!isBrowsing && search.count > found.length" class="mute none">
          and {{ search.count - found.length }} more. Type to narrow them down.
        </p>
        <p v-if="isBrowsing && found.length === MOST_BROWSED" class="mute none">
          Only the first {{ MOST_BROWSED }} pages are listed. Type to find others.
        </p>
      </div>
      <footer>
        <div class="choices-two">
          <ChoiceRow
            v-model="finder.depth"
            label="Include subpages"
            :choices="[
              { value: 0, label: 'none', hint: 'The page only' },
              { value: 1, label: '1 level', hint: 'The page and its subpages' },
              { value: 2, label: '2 levels', hint: 'The page and two levels of subpages' },
              { value: 99, label: 'all', hint: 'The page and all its subpages' },
            ]"
          />
          <ChoiceRow
            v-if="selection.item !== null"
            v-model="isInside"
            label="Position"
            :choices="[
              { value: false, label: 'after', hint: 'After the selected item' },
              { value: true, label: 'inside', hint: 'Inside the selected item' },
            ]"
          />
        </div>
        <button type="button" class="go" :disabled="problem !== null" @click="add">
          <template v-if="addedTitle !== null">Added “{{ addedTitle }}”. Select another page.</template>
          <template v-else>Add {{ what }}{{ where }}</template>
          <kbd v-if="addedTitle === null">Enter</kbd>
        </button>
      </footer>
    </aside>
  </Transition>
</template>

<style scoped src="./comingIn.css"></style>
<style scoped>
.finder {
  grid-column: 1;
  grid-template-rows: auto auto auto minmax(0, 1fr) auto;
  width: 100%;
  max-width: 420px;
}
header {
  padding: 6px 8px 4px 14px;
}
.hint {
  margin-inline-start: auto;
  font-size: 0.75rem;
}
.choices-two {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
}
.search {
  height: 34px;
  margin: 0 14px 8px;
}
.filters {
  display: flex;
  align-items: center;
  gap: 8px;
  margin: 0 14px 8px;
  font-size: 0.75rem;
}
.filters select {
  height: 26px;
  padding: 0 6px;
}
.unused {
  display: flex;
  align-items: center;
  gap: 5px;
}
.used.draft {
  background: var(--ochre-tint);
  color: var(--ochre);
}
.found {
  overflow: auto;
  border-block: 1px solid var(--line-soft);
}
.found > div {
  position: relative;
}
.none {
  padding: 14px;
}
.page {
  position: absolute;
  inset-inline: 0;
  top: 0;
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 0 14px;
  white-space: nowrap;
  cursor: pointer;
}
.page:hover {
  background: var(--paper);
}
.page.marked {
  background: var(--accent-tint);
}
.tick {
  flex: none;
  display: grid;
  place-items: center;
  width: 16px;
  height: 16px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  background: var(--field);
  font-size: 0.75rem;
  line-height: 1;
}
.page[aria-selected='true'] .tick {
  background: var(--ink);
  border-color: var(--ink);
  color: var(--on-ink);
}
.names {
  display: grid;
  min-width: 0;
  line-height: 1.25;
}
.above {
  overflow: hidden;
  text-overflow: ellipsis;
  color: var(--mute);
  font-size: 0.75rem;
}
.fold {
  flex: none;
  display: grid;
  place-items: center;
  width: 24px;
  height: 24px;
  margin-inline: -6px -4px;
  color: var(--mute);
}
.fold.leaf {
  visibility: hidden;
}
.fold.open svg {
  rotate: 90deg;
}
.title {
  overflow: hidden;
  text-overflow: ellipsis;
}
.title.gone {
  text-decoration: line-through;
  color: var(--mute);
}
.address {
  flex: 1;
  min-width: 40px;
  overflow: hidden;
  text-overflow: ellipsis;
  text-align: end;
  color: var(--mute);
  font-size: 0.75rem;
}
.used {
  flex: none;
  padding: 0 6px;
  border-radius: 8px;
  background: var(--moss-tint);
  color: var(--moss);
  font-size: 0.6875rem;
}
footer {
  display: grid;
  gap: 6px;
  padding: 10px 14px;
}
.go {
  min-height: 34px;
  padding: 4px 12px;
  border: 0;
  border-radius: var(--radius);
  background: var(--accent-fill);
  color: var(--on-fill);
  font-weight: 600;
  cursor: pointer;
  overflow-wrap: anywhere;
}
.go kbd {
  margin-inline-start: 6px;
}
.go:disabled {
  background: var(--paper-deep);
  color: var(--mute);
  cursor: default;
}
</style>
