<script setup lang="ts">
import { mdiChevronDown, mdiChevronRight } from '@mdi/js';
import { computed, nextTick, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { addPageAt, childrenOf, latestSince, nodeAt, redirectMap, setPageState, stepPages, type Id, type Page, type PageStep } from '@zorvik/core';
import RefusalNote from '../components/common/RefusalNote.vue';
import ReadPagesDialog from '../components/pages/ReadPagesDialog.vue';
import ReadSiteDialog from '../components/pages/ReadSiteDialog.vue';
import { pageRows } from '../composables/pageRows.ts';
import PageFileDialog from '../components/pages/PageFileDialog.vue';
import PageBand from '../components/pages/PageBand.vue';
import { pagePlaces, type PagePlace } from '../composables/pagePlaces.ts';
import { saveFile } from '../composables/saveFile.ts';
import { shortcutFor, type ShortcutName } from '../shortcuts/shortcuts.ts';
import { useSelection } from '../stores/selection.ts';
import { useVirtualRows } from '../composables/useVirtualRows.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';

const copy = useWorkingCopy();
const scroller = useTemplateRef<HTMLElement>('scroller');
const typed = ref('');
const isReading = ref(false);
const isReadingSite = ref(false);
const isFromFile = ref(false);
const at = ref(0);
const unfolded = shallowRef<ReadonlySet<Id>>(new Set());

const router = useRouter();
const selection = useSelection();
const band = useTemplateRef<InstanceType<typeof PageBand>>('band');
type Filter = 'all' | 'noMenu' | 'several' | 'draft' | 'gone' | 'new';
const filter = ref<Filter>('all');
/** Pages chosen besides the leading one. */
const others = shallowRef<ReadonlySet<Id>>(new Set());
let anchor = 0;
const isAddressMoved = ref(false);
const adding = ref<string | null>(null);
const addField = useTemplateRef<HTMLInputElement>('addField');

const places = computed(() => (copy.document === null || copy.stored === null ? new Map<Id, readonly PagePlace[]>() : pagePlaces(copy.stored, copy.document)));
const latest = computed(() => (copy.document === null ? 0 : latestSince(copy.document)));
const filters: Readonly<Record<Exclude<Filter, 'all'>, (page: Page) => boolean>> = {
  noMenu: ({ id, state }) => state !== 'gone' && !places.value.has(id),
  several: ({ id }) => new Set((places.value.get(id) ?? []).map(({ menu }) => menu)).size > 1,
  draft: ({ state }) => state === 'draft',
  gone: ({ state }) => state === 'gone',
  new: ({ since = 0 }) => since > 0 && since === latest.value,
};
const rows = computed(() =>
  copy.document === null ? [] : pageRows(copy.document, unfolded.value, typed.value, filter.value === 'all' ? null : filters[filter.value]),
);
const total = computed(() => copy.document?.pages.nodes.size ?? 0);
const virtual = useVirtualRows(
  scroller,
  computed(() => rows.value.length),
);
const states: Readonly<Record<string, string>> = { live: 'live', draft: 'draft', gone: 'gone' };
const lead = computed(() => rows.value[at.value] ?? null);
const chosen = computed((): readonly Id[] => {
  const all = new Set(others.value);
  if (lead.value !== null) all.add(lead.value.id);
  return rows.value.filter(({ id }) => all.has(id)).map(({ id }) => id);
});
const isChosen = (id: Id | undefined): boolean => id !== undefined && (id === lead.value?.id || others.value.has(id));
watch([typed, filter], () => choose(0));

/** What is chosen stays chosen when rows come, go and move. */
let kept: Id | null = null;
watch(lead, (row) => (kept = row?.id ?? null), { flush: 'post' });
watch(rows, (now) => {
  const place = kept === null ? -1 : now.findIndex(({ id }) => id === kept);
  if (place >= 0) at.value = place;
  else if (at.value >= now.length) at.value = Math.max(0, now.length - 1);
});

function choose(index: number, isExtending = false): void {
  at.value = Math.max(0, Math.min(index, rows.value.length - 1));
  if (!isExtending) anchor = at.value;
  const [from, to] = [Math.min(anchor, at.value), Math.max(anchor, at.value)];
  others.value = isExtending ? new Set(rows.value.slice(from, to + 1).map(({ id }) => id)) : new Set();
  virtual.show(at.value);
}

function point(index: number, event: MouseEvent): void {
  const id = rows.value[index]?.id;
  if (event.shiftKey) choose(index, true);
  else if ((event.ctrlKey || event.metaKey) && id !== undefined) {
    const next = new Set(chosen.value);
    if (next.has(id) && next.size > 1) next.delete(id);
    else next.add(id);
    others.value = next;
    at.value = index;
  } else choose(index);
}

function setUnfolded(id: Id, isUnfolded: boolean): void {
  const next = new Set(unfolded.value);
  if (isUnfolded) next.add(id);
  else next.delete(id);
  unfolded.value = next;
}

function unfoldAll(): void {
  const { document } = copy;
  if (document === null) return;
  unfolded.value = unfolded.value.size > 0 ? new Set() : new Set([...document.pages.nodes.keys()].filter((id) => childrenOf(document.pages, id).size > 0));
}

function step(way: PageStep): void {
  const ids = chosen.value;
  const done = copy.perform((context) => stepPages(context, ids, way, isAddressMoved.value), `move ${way} ${ids.join(' ')}`);
  const { document } = copy;
  // What went into a folded branch stays in sight.
  if (!done.ok || document === null) return;
  for (const id of ids) {
    for (let node = nodeAt(document.pages, id).parent; node !== document.site.id; node = nodeAt(document.pages, node).parent) setUnfolded(node, true);
  }
}

function retire(): void {
  const { document } = copy;
  if (document === null) return;
  const isBack = chosen.value.every((id) => nodeAt(document.pages, id).state === 'gone');
  copy.perform((context) => setPageState(context, chosen.value, isBack ? 'live' : 'gone'));
}

async function startAdding(): Promise<void> {
  adding.value = '';
  await nextTick();
  addField.value?.focus();
}

function add(): void {
  const { document } = copy;
  if (document === null || adding.value === null) return;
  const page = lead.value?.page;
  const spot =
    page === undefined ? { parent: document.site.id, after: childrenOf(document.pages, document.site.id).last() } : { parent: page.parent, after: page.id };
  const title = adding.value;
  const done = copy.perform((context) => addPageAt(context, title, spot));
  if (!done.ok) return;
  const [operation] = done.value.operations;
  kept = operation?.kind === 'addPage' ? (operation.branch[0]?.id ?? null) : null;
  adding.value = null;
  scroller.value?.focus();
}

function stopAdding(): void {
  adding.value = null;
  scroller.value?.focus();
}

const doing: Partial<Record<ShortcutName, () => void>> = {
  up: () => choose(at.value - 1),
  down: () => choose(at.value + 1),
  extendUp: () => choose(at.value - 1, true),
  extendDown: () => choose(at.value + 1, true),
  first: () => choose(0),
  last: () => choose(rows.value.length - 1),
  unfoldOrIn: () => {
    const row = lead.value;
    if (row === null || row.childCount === 0) return;
    if (row.isUnfolded) choose(at.value + 1);
    else setUnfolded(row.id, true);
  },
  foldOrOut: () => {
    const row = lead.value;
    if (row === null) return;
    if (row.isUnfolded) setUnfolded(row.id, false);
    else
      choose(
        Math.max(
          0,
          rows.value.findLastIndex(({ depth }, index) => index < at.value && depth < row.depth),
        ),
      );
  },
  moveUp: () => step('up'),
  moveDown: () => step('down'),
  moveIn: () => step('in'),
  moveOut: () => step('out'),
  rename: () => band.value?.focusTitle(),
  remove: retire,
  add: () => void startAdding(),
};

function press(event: KeyboardEvent): void {
  if (event.target !== scroller.value || event.isComposing) return;
  const name = shortcutFor(event, 'pages');
  const deed = name === null ? undefined : doing[name];
  if (deed === undefined) return;
  event.preventDefault();
  deed();
}

async function goTo({ menu, item }: PagePlace): Promise<void> {
  const key = copy.document?.menus.nodes.get(menu)?.key ?? '';
  await router.push({ name: 'arrange', params: { siteKey: copy.siteKey ?? '', menuKey: key } });
  selection.showMenu(key);
  selection.select(item);
}

const menuName = (menu: Id): string => copy.document?.menus.nodes.get(menu)?.name ?? '';

function saveRedirects(): void {
  const { document } = copy;
  if (document === null) return;
  // RFC 4180; addresses have no quotes of their own, but a title-like path may have a comma.
  const quoted = (text: string): string => (/[",\r\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text);
  const lines = redirectMap(document).map(({ from, to }) => `${quoted(from)},${quoted(to)}`);
  saveFile(`${document.site.key}-redirects.csv`, 'text/csv', ['old address,new address', ...lines, ''].join('\r\n'));
}
const redirects = computed(() => (copy.document === null ? 0 : redirectMap(copy.document).length));
</script>

<template>
  <div class="pages">
    <div class="head">
      <h1>Pages</h1>
      <span class="mute number">{{ typed.trim() === '' ? total.toLocaleString() : `${rows.length.toLocaleString()} of ${total.toLocaleString()}` }}</span>
      <input
        v-model="typed"
        type="search"
        placeholder="Part of a title or an address"
        aria-label="Find pages by part of a title or an address"
        autocomplete="off"
        spellcheck="false"
      />
      <label class="filter">
        <span class="only-heard">Show</span>
        <select v-model="filter">
          <option value="all">all pages</option>
          <option value="noMenu">in no menu</option>
          <option value="several">in several menus</option>
          <option value="draft">drafts</option>
          <option value="gone">gone</option>
          <option value="new">new since the last time</option>
        </select>
      </label>
      <button type="button" class="plain-button" @click="unfoldAll">{{ unfolded.size > 0 ? 'Fold all' : 'Unfold all' }}</button>
      <button type="button" class="plain-button" @click="startAdding">+ Page</button>
      <button v-if="redirects > 0" type="button" class="plain-button" title="Old addresses with the ones that they lead to now, as CSV" @click="saveRedirects">
        Redirects
        <b class="number">{{ redirects }}</b>
      </button>
      <RefusalNote />
      <form v-if="adding !== null" class="adding" @submit.prevent="add" @keydown.escape.stop="stopAdding">
        <input ref="addField" v-model="adding" type="text" aria-label="Title of the new page" placeholder="Title of the new page, after the selected one" />
        <button type="submit" class="plain-button">Add it</button>
      </form>
      <button type="button" class="plain-button" @click="isReading = true">Read a sitemap …</button>
      <button type="button" class="plain-button" @click="isFromFile = true">From a file …</button>
      <button type="button" class="plain-button strong" @click="isReadingSite = true">Read the site …</button>
    </div>
    <div class="columns" aria-hidden="true">
      <span>Title</span>
      <span>Address</span>
      <span>Kind</span>
      <span>State</span>
      <span>In menus</span>
    </div>
    <div v-if="total === 0" class="empty">
      <p class="what">This site has no pages yet.</p>
      <p class="mute">Read its sitemap: each address becomes a page, where its path puts it.</p>
      <v-btn color="primary" @click="isReading = true">Read a sitemap …</v-btn>
    </div>
    <p v-else-if="rows.length === 0" class="empty mute">No page has “{{ typed }}” in its title or its address.</p>
    <div
      v-show="rows.length > 0"
      ref="scroller"
      class="list"
      role="treegrid"
      tabindex="0"
      aria-label="Pages of the site"
      aria-multiselectable="true"
      :aria-rowcount="rows.length"
      :aria-activedescendant="rows[at] === undefined ? undefined : `page-${rows[at]?.id}`"
      @keydown="press"
    >
      <div role="rowgroup" :style="{ height: `${virtual.height.value}px` }">
        <div
          v-for="{ index, start } in virtual.rows.value"
          :id="`page-${rows[index]?.id}`"
          :key="rows[index]?.id ?? index"
          role="row"
          class="row"
          :class="{ on: isChosen(rows[index]?.id), lead: index === at }"
          :style="{ transform: `translateY(${start}px)` }"
          :aria-rowindex="index + 1"
          :aria-level="(rows[index]?.depth ?? 0) + 1"
          :aria-expanded="rows[index]?.childCount ? rows[index]?.isUnfolded : undefined"
          :aria-selected="isChosen(rows[index]?.id)"
          @click="point(index, $event)"
          @dblclick="rows[index]!.childCount > 0 && setUnfolded(rows[index]!.id, !rows[index]!.isUnfolded)"
        >
          <span role="gridcell" class="title" :style="{ paddingInlineStart: `${(rows[index]?.depth ?? 0) * 22}px` }">
            <button
              v-if="rows[index]?.childCount"
              type="button"
              tabindex="-1"
              class="fold"
              :aria-label="`${rows[index]?.isUnfolded ? 'Fold' : 'Unfold'} ${rows[index]?.page.title}`"
              @click.stop="setUnfolded(rows[index]!.id, !rows[index]!.isUnfolded)"
            >
              <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
                <path :d="rows[index]?.isUnfolded ? mdiChevronDown : mdiChevronRight" fill="currentColor" />
              </svg>
            </button>
            <span v-else class="fold" />
            <span class="text" :class="{ gone: rows[index]?.page.state === 'gone' }">{{ rows[index]?.page.title }}</span>
            <span v-if="rows[index]?.childCount" class="count number">{{ rows[index]?.childCount }}</span>
          </span>
          <span role="gridcell" class="address">{{ rows[index]?.page.address }}</span>
          <span role="gridcell" class="mute">{{ rows[index]?.page.kind }}</span>
          <span role="gridcell">
            <span class="state" :class="rows[index]?.page.state">{{ rows[index]?.page.planned ? 'planned' : states[rows[index]?.page.state ?? 'live'] }}</span>
          </span>
          <span role="gridcell" class="menus">
            <button
              v-for="place in places.get(rows[index]?.id ?? '')"
              :key="place.item"
              type="button"
              tabindex="-1"
              :class="{ followed: place.words.includes('followed'), hidden: place.words.includes('hidden') }"
              :title="[`Level ${place.level} of ${menuName(place.menu)}`, ...place.words].join(', ')"
              @click.stop="goTo(place)"
            >
              {{ menuName(place.menu) }}
              <span class="number">{{ place.level }}</span>
            </button>
          </span>
        </div>
      </div>
    </div>
    <PageBand ref="band" v-model:is-address-moved="isAddressMoved" :chosen="chosen" />
    <PageFileDialog v-model="isFromFile" />
    <ReadPagesDialog v-model="isReading" />
    <ReadSiteDialog v-model="isReadingSite" />
  </div>
</template>

<style scoped>
.pages {
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr) auto;
  height: 100%;
}
.head {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 8px 12px;
  min-height: 46px;
  padding: 6px 14px;
}
h1 {
  font-size: 15px;
}
input {
  flex: 0 1 340px;
  height: 32px;
  margin-inline-start: 8px;
  padding: 0 10px;
  border: 1px solid var(--line-strong);
  border-radius: var(--radius);
  background: var(--white);
}
input::placeholder {
  color: var(--mute);
  opacity: 1;
}
.strong {
  margin-inline-start: auto;
}
.columns,
.row {
  display: grid;
  grid-template-columns: minmax(220px, 5fr) minmax(120px, 4fr) 90px 80px minmax(120px, 3fr);
  align-items: center;
  gap: 16px;
  padding: 0 14px;
}
.columns {
  min-height: 28px;
  border-block: 1px solid var(--line);
  background: var(--sheet);
  color: var(--mute);
  font-size: 12px;
}
.columns span:first-child {
  padding-inline-start: 28px;
}
.list {
  overflow: auto;
  outline: none;
}
.list:focus-visible .row.lead {
  outline: 2px solid var(--ink);
  outline-offset: -2px;
}
.list > div {
  position: relative;
}
.row {
  position: absolute;
  inset-inline: 0;
  top: 0;
  height: 32px;
  white-space: nowrap;
  border-bottom: 1px solid var(--line-soft);
}
.row:hover {
  background: #fffdf8b3;
}
.row.on {
  background: var(--white);
  box-shadow: inset 3px 0 var(--ink);
}
.title {
  display: flex;
  align-items: center;
  gap: 4px;
  min-width: 0;
}
.fold {
  flex: none;
  display: grid;
  place-items: center;
  width: 24px;
  height: 24px;
  padding: 0;
  border: 0;
  border-radius: 5px;
  background: none;
  color: var(--mute);
}
button.fold {
  cursor: pointer;
}
button.fold:hover {
  background: var(--paper-deep);
}
.text {
  overflow: hidden;
  text-overflow: ellipsis;
}
.gone {
  text-decoration: line-through;
  color: var(--mute);
}
.count {
  padding: 0 6px;
  border-radius: 8px;
  background: var(--paper-deep);
  color: var(--mute);
  font-size: 11px;
}
.address {
  overflow: hidden;
  text-overflow: ellipsis;
  color: var(--mute);
}
.state {
  padding: 1px 8px;
  border-radius: 9px;
  font-size: 12px;
  color: var(--moss);
  background: var(--moss-tint);
}
.state.draft {
  color: var(--ochre);
  background: var(--ochre-tint);
}
.state.gone {
  color: var(--brick);
  background: var(--brick-tint);
  text-decoration: none;
}
.menus {
  display: flex;
  gap: 6px;
  overflow: hidden;
  font-size: 12px;
}
.menus button {
  flex: none;
  min-height: 24px;
  padding: 0 7px;
  border: 0;
  border-radius: 6px;
  background: var(--paper-deep);
  font: inherit;
  cursor: pointer;
}
.menus button:hover {
  background: var(--persimmon-tint);
}
.menus .followed {
  background: var(--moss-tint);
  color: var(--moss);
}
.menus .hidden {
  text-decoration: line-through;
}
.menus .number {
  color: var(--mute);
}
.filter select {
  height: 32px;
  padding: 0 8px;
  border: 1px solid var(--line-strong);
  border-radius: var(--radius);
  background: var(--white);
}
.adding {
  display: flex;
  gap: 6px;
}
.adding input {
  width: 300px;
  flex: none;
  margin: 0;
}
.empty {
  display: grid;
  gap: 8px;
  align-content: start;
  justify-items: center;
  padding: 40px 14px;
}
.what {
  font-size: 15px;
  font-weight: 600;
}
@media (max-width: 760px) {
  .columns,
  .row {
    grid-template-columns: minmax(0, 1fr) 70px;
  }
  .columns span:nth-child(2),
  .columns span:nth-child(3),
  .columns span:nth-child(5),
  .row > :nth-child(2),
  .row > :nth-child(3),
  .row > :nth-child(5) {
    display: none;
  }
}
</style>
