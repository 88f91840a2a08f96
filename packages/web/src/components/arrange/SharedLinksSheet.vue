<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue';
import {
  counted,
  addShared,
  createLink,
  labelOf,
  leadTo,
  menuOf,
  removeLink,
  renameItem,
  storedOrder,
  usersOf,
  shownAddress,
  writtenOut,
  type Id,
  type Item,
} from '@zorvik/core';
import { targetOf, type Picked } from '../../composables/picked.ts';
import { useItemActions } from '../../composables/useItemActions.ts';
import { useKeeping } from '../../composables/useKeeping.ts';
import { useSpotForNew } from '../../composables/useSpotForNew.ts';
import { useNotices } from '../../stores/notices.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import IconButton from '../common/IconButton.vue';
import LineField from '../common/LineField.vue';
import { destinationIcons } from './destinationIcon.ts';
import PagePick from './PagePick.vue';

/**
 * The site's shared links: where each is shown, what it says, and adding one to the menu. Comes in from the
 * left, like the page finder.
 */
const isOpen = defineModel<boolean>({ required: true });
const emit = defineEmits<{ show: [menuKey: string, item: Id] }>();
const copy = useWorkingCopy();
const selection = useSelection();
const notices = useNotices();
const spot = useSpotForNew();
const keepBy = useKeeping();
const { selectAdded } = useItemActions();
const sheet = useTemplateRef<HTMLElement>('sheet');
const opened = ref<Id | null>(null);
const isLeading = ref(false);
const isMaking = ref(false);
const refused = ref<{ readonly id: Id; readonly words: string } | null>(null);

const links = computed(() => {
  const { document } = copy;
  if (document === null) return [];
  return [...storedOrder(document, 'sharedLinks')].map((link) => {
    const { id } = link;
    const users = usersOf(document, id);
    const { destination } = link;
    const page = destination.kind === 'page' ? document.pages.nodes.get(destination.page) : undefined;
    const target = shownAddress(page?.address ?? writtenOut(destination) ?? '');
    return {
      id,
      link,
      label: labelOf(document, link),
      target,
      users,
      menus: new Set(users.map((item) => menuOf(document, item.id).name)).size,
    };
  });
});

watch(isOpen, async (now) => {
  if (!now) return;
  await nextTick();
  sheet.value?.focus();
});

const rename = (id: Id) => keepBy(`label ${id}`, (context, typed) => renameItem(context, id, typed));

function lead(id: Id, picked: Picked): void {
  isLeading.value = false;
  copy.perform((context) => leadTo(context, id, targetOf(picked)));
}

function make(picked: Picked): void {
  if (picked.kind === 'heading' || picked.kind === 'undecided')
    return notices.refuse('A shared link needs a destination. Choose a page, or type Label | address.');
  const done = copy.perform((context) =>
    createLink(context, picked.kind === 'page' ? { page: picked.id } : picked),
  );
  if (done.ok) isMaking.value = false;
}

function use(id: Id): void {
  const at = spot.value;
  if (at === null) return;
  const done = copy.perform((context) => addShared(context, id, at));
  if (done.ok) selectAdded(done.value);
}

/** Not unawares: when items show it, it says so first, and offers what can be done. */
function remove(id: Id, isSure: boolean): void {
  const tried = copy.attempt((context) => removeLink(context, id, isSure ? 'detach' : 'refuse'));
  if (!tried.ok) {
    refused.value = { id, words: tried.refusal.message };
    return;
  }
  refused.value = null;
  copy.perform((context) => removeLink(context, id, isSure ? 'detach' : 'refuse'));
}

function pathOf(item: Item): string {
  const { document } = copy;
  if (document === null) return '';
  const parent = document.items.nodes.get(item.parent);
  const menu = menuOf(document, item.id).name;
  return parent === undefined ? menu : `${menu} / ${labelOf(document, parent)}`;
}

function go(item: Item): void {
  if (copy.document !== null) emit('show', menuOf(copy.document, item.id).key, item.id);
}
</script>

<template>
  <Transition name="in">
    <aside
      v-if="isOpen"
      ref="sheet"
      class="sheet"
      tabindex="-1"
      aria-label="Shared links"
      @keydown.escape.stop="isOpen = false"
    >
      <header>
        <h2>Shared links</h2>
        <span class="mute number">{{ links.length }}</span>
        <IconButton
          class="close"
          label="Close shared links"
          :icon="mdiClose"
          keys="Esc"
          @press="isOpen = false"
        />
      </header>
      <p class="mute about">
        A shared link is kept once and used by items of several menus. Changing it here changes it everywhere.
      </p>
      <ul>
        <li v-if="links.length === 0" class="none mute">
          No shared links yet. Select an item and choose “Make shared link”, or add one here.
        </li>
        <li v-for="one in links" :key="one.id" :class="{ on: opened === one.id }">
          <button
            type="button"
            class="row"
            :aria-expanded="opened === one.id"
            @click="opened = opened === one.id ? null : one.id"
          >
            <svg viewBox="0 0 24 24" width="15" height="15" aria-hidden="true">
              <path :d="destinationIcons[one.link.destination.kind]" fill="currentColor" />
            </svg>
            <span class="label">{{ one.label }}</span>
            <span class="mute target">{{ one.target }}</span>
            <span class="count" :class="{ unused: one.users.length === 0 }">
              {{
                one.users.length === 0
                  ? 'not used'
                  : `${one.users.length}× in ${counted(one.menus, '# menu', '# menus')}`
              }}
            </span>
          </button>
          <div v-if="opened === one.id" class="open">
            <LineField label="Label" :value="one.label" :keep="rename(one.id)" />
            <div>
              <span class="caption">Link</span>
              <PagePick
                v-if="isLeading"
                label="Link to"
                placeholder="A page, /path or https://…"
                @pick="lead(one.id, $event)"
                @leave="isLeading = false"
              />
              <button v-else type="button" class="plain-button" @click="isLeading = true">
                {{ one.target || 'no link yet' }}
              </button>
            </div>
            <div v-if="one.users.length > 0">
              <span class="caption">Used in</span>
              <button v-for="item in one.users" :key="item.id" type="button" class="where" @click="go(item)">
                {{ pathOf(item) }}
              </button>
            </div>
            <div class="acts">
              <button type="button" class="plain-button" @click="use(one.id)">
                Add to “{{ selection.menu?.name }}”
              </button>
              <button type="button" class="plain-button" @click="remove(one.id, false)">Remove</button>
            </div>
            <p v-if="refused?.id === one.id" class="refused" role="alert">
              {{ refused.words }}
              <button type="button" @click="remove(one.id, true)">Unlink all and remove</button>
            </p>
          </div>
        </li>
      </ul>
      <footer>
        <PagePick
          v-if="isMaking"
          label="New shared link: page, or Label | address"
          placeholder="A page, or Label | https://…"
          @pick="make"
          @leave="isMaking = false"
        />
        <button v-else type="button" class="plain-button" @click="isMaking = true">New shared link …</button>
      </footer>
    </aside>
  </Transition>
</template>

<style scoped src="./comingIn.css"></style>
<style scoped>
.sheet {
  grid-template-rows: auto auto minmax(0, 1fr) auto;
  width: min(440px, 100%);
  outline: none;
}
header {
  padding: 6px 8px 0 14px;
}
.close {
  margin-inline-start: auto;
}
.about {
  padding: 0 14px 8px;
  font-size: 0.75rem;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
  overflow: auto;
  border-block: 1px solid var(--line-soft);
}
.none {
  padding: 14px;
}
li.on {
  background: var(--field);
}
.row {
  display: flex;
  align-items: center;
  gap: 8px;
  width: 100%;
  min-height: 34px;
  padding: 0 14px;
  border: 0;
  background: none;
  text-align: start;
  cursor: pointer;
  white-space: nowrap;
}
.row:hover {
  background: var(--paper);
}
.label {
  overflow: hidden;
  text-overflow: ellipsis;
}
.target {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  font-size: 0.75rem;
}
.count {
  flex: none;
  padding: 0 7px;
  border-radius: 9px;
  background: var(--moss-tint);
  color: var(--moss);
  font-size: 0.6875rem;
  line-height: 1.125rem;
}
.count.unused {
  background: var(--paper-deep);
  color: var(--mute);
}
.open {
  display: grid;
  gap: 8px;
  padding: 4px 14px 14px 37px;
}
.where {
  display: block;
  padding: 2px 0;
  border: 0;
  background: none;
  color: var(--accent);
  cursor: pointer;
}
.where:hover {
  text-decoration: underline;
}
.acts {
  display: flex;
  gap: 6px;
}
.refused {
  padding: 7px 10px;
  border-radius: var(--radius);
  background: var(--brick-tint);
  color: var(--brick);
  font-size: 0.75rem;
}
.refused button {
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  font-weight: 600;
  text-decoration: underline;
  cursor: pointer;
}
footer {
  padding: 10px 14px;
}
</style>
