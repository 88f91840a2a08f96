<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, ref, useTemplateRef, watch } from 'vue';
import type { PageFilter } from '../../composables/usePageTree.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import PagesWays from './PagesWays.vue';
import SinceLast from './SinceLast.vue';
import RefusalNote from '../common/RefusalNote.vue';

/**
 * What is above the page tree: finding and filtering, adding a page, and the ways in which pages come in and
 * go out.
 */
const PageFileDialog = defineAsyncComponent(() => import('./PageFileDialog.vue'));
const ReadPagesDialog = defineAsyncComponent(() => import('./ReadPagesDialog.vue'));
const ReadSiteDialog = defineAsyncComponent(() => import('./ReadSiteDialog.vue'));
const props = defineProps<{ count: string; isUnfolded: boolean; add: (title: string) => boolean }>();
const emit = defineEmits<{ unfoldAll: []; back: [] }>();
const typed = defineModel<string>('typed', { required: true });
const filter = defineModel<PageFilter>('filter', { required: true });
const copy = useWorkingCopy();
const selection = useSelection();
const reading = ref<'sitemap' | 'file' | 'site' | null>(null);
const adding = ref<string | null>(null);
const addField = useTemplateRef<HTMLInputElement>('addField');
const dialog = (name: NonNullable<typeof reading.value>) =>
  computed({ get: () => reading.value === name, set: (isOpen) => (reading.value = isOpen ? name : null) });
const [isSitemap, isFile, isSite] = [dialog('sitemap'), dialog('file'), dialog('site')];

/** After a site was created, what to do next. */
const hasNoMenu = computed(() => selection.menus.length === 0 && (copy.document?.pages.nodes.size ?? 0) > 0);

// Nothing has the focus where a site was just made: it goes to what comes next.
const next = useTemplateRef<HTMLElement>('next');
watch(
  next,
  (shown) => {
    if (document.activeElement === document.body) shown?.querySelector('a')?.focus();
  },
  { flush: 'post' },
);

async function startAdding(): Promise<void> {
  adding.value = '';
  await nextTick();
  addField.value?.focus();
}

function addTyped(): void {
  if (adding.value === null || !props.add(adding.value)) return;
  stopAdding();
}

function stopAdding(): void {
  adding.value = null;
  emit('back');
}

defineExpose({ startAdding, readSitemap: () => (reading.value = 'sitemap') });
</script>

<template>
  <div class="head">
    <h1>Pages</h1>
    <span class="mute number">{{ count }}</span>
    <input
      class="plain-field"
      v-model="typed"
      type="search"
      placeholder="Part of a title or an address"
      aria-label="Find pages by part of a title or an address"
      autocomplete="off"
      spellcheck="false"
    />
    <label>
      <span class="only-heard">Show</span>
      <select class="plain-field" v-model="filter">
        <option value="all">all pages</option>
        <option value="noMenu">in no menu</option>
        <option value="several">in several menus</option>
        <option value="draft">drafts</option>
        <option value="gone">deleted</option>
        <option value="new">new since the last reading</option>
        <option value="changed">changed since the last reading</option>
      </select>
    </label>
    <button type="button" class="plain-button" @click="emit('unfoldAll')">
      {{ isUnfolded ? 'Collapse all' : 'Expand all' }}
    </button>
    <span class="add">
      <button type="button" class="plain-button" @click="startAdding">Add page</button>
    </span>
    <RefusalNote />
    <form v-if="adding !== null" class="adding" @submit.prevent="addTyped" @keydown.escape.stop="stopAdding">
      <input
        class="plain-field"
        ref="addField"
        v-model="adding"
        type="text"
        aria-label="Title of the new page"
        placeholder="Title of the new page"
      />
      <button type="submit" class="plain-button">Add</button>
    </form>
    <PagesWays class="ways" @ask="reading = $event" />
    <p v-if="hasNoMenu" ref="next" class="since next">
      <strong>Next:</strong>
      create a menu from these pages.
      <router-link :to="{ name: 'arrange' }">Go to Arrange</router-link>
    </p>
    <SinceLast @look="reading = 'site'" />
    <ReadPagesDialog v-model="isSitemap" />
    <PageFileDialog v-model="isFile" />
    <ReadSiteDialog v-model="isSite" />
  </div>
</template>

<style scoped>
.head {
  position: relative;
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 8px 12px;
  min-height: 2.875rem;
  padding: 6px 14px;
}
h1 {
  font-size: 0.9375rem;
}
input[type='search'] {
  flex: 0 1 260px;
  margin-inline-start: 8px;
}
input,
select {
  min-width: 0;
}
.head > :deep(.since) {
  flex-basis: 100%;
}
.next {
  display: flex;
  gap: 8px;
}
/* Over the list, so that its rows stay where they are. */
.adding {
  position: absolute;
  z-index: 8;
  inset-block-start: calc(100% + 4px);
  inset-inline-start: 14px;
  display: flex;
  gap: 6px;
  padding: 8px;
  border: 1px solid var(--line);
  border-radius: 9px;
  background: var(--sheet);
  box-shadow: var(--shadow);
}
.adding input {
  width: min(300px, 60vw);
}
.ways {
  margin-inline-start: auto;
}
@media (max-width: 600px) {
  .head {
    gap: 6px;
    padding: 6px 8px;
  }
  h1 {
    display: none;
  }
  input[type='search'] {
    flex: 1 1 50%;
    margin: 0;
  }
  select {
    max-width: 34vw;
  }
}
</style>
