<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, onBeforeUnmount, ref, useTemplateRef, watch } from 'vue';
import { useReadabilityAside } from '../composables/useReadabilityAside.ts';
import { useRouter } from 'vue-router';
import { childrenOf, type Id } from '@zorvik/core';
import ArrangeHead from '../components/arrange/ArrangeHead.vue';
import EmptyMenu from '../components/arrange/EmptyMenu.vue';
import type OutlineListForm from '../components/arrange/OutlineList.vue';
import PageFinder from '../components/arrange/PageFinder.vue';
import SpreadView from '../components/arrange/SpreadView.vue';
import DetailStrip from '../components/details/DetailStrip.vue';
import NewMenuDialog from '../components/shell/NewMenuDialog.vue';
import { useArrange, type ArrangeSheet } from '../stores/arrange.ts';
import { useFinder } from '../stores/finder.ts';
import { useComposer } from '../stores/composer.ts';
import { useSelection } from '../stores/selection.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';

const OutlineList = defineAsyncComponent(() => import('../components/arrange/OutlineList.vue'));
const FindInMenu = defineAsyncComponent(() => import('../components/arrange/FindInMenu.vue'));
const PlanPageDialog = defineAsyncComponent(() => import('../components/arrange/PlanPageDialog.vue'));
const BringInDialog = defineAsyncComponent(() => import('../components/arrange/BringInDialog.vue'));
const FollowDialog = defineAsyncComponent(() => import('../components/arrange/FollowDialog.vue'));
const MenuFactsDialog = defineAsyncComponent(() => import('../components/arrange/MenuFactsDialog.vue'));
const SharedLinksSheet = defineAsyncComponent(() => import('../components/arrange/SharedLinksSheet.vue'));
const PanelComposer = defineAsyncComponent(() => import('../components/composer/PanelComposer.vue'));
const BesidePane = defineAsyncComponent(() => import('../components/arrange/BesidePane.vue'));

const copy = useWorkingCopy();
useReadabilityAside();
const selection = useSelection();
const arrange = useArrange();
const composer = useComposer();
const finder = useFinder();
const router = useRouter();
const spread = useTemplateRef<InstanceType<typeof SpreadView>>('spread');
const outline = useTemplateRef<InstanceType<typeof OutlineListForm>>('outline');
const isNewOpen = ref(false);
const isAdding = ref(false);
const isEmpty = computed(
  () =>
    copy.document !== null &&
    selection.menu !== null &&
    childrenOf(copy.document.items, selection.menu.id).size === 0,
);
const tree = computed(() => (arrange.form === 'spread' ? spread.value : outline.value));

const sheetOpen = (name: ArrangeSheet) =>
  computed({
    get: () => arrange.sheet === name,
    set: (isOpen: boolean) => (arrange.sheet = isOpen ? name : null),
  });
const [isPlanning, isBringing, isFacts, isShared] = [
  sheetOpen('planPage'),
  sheetOpen('bringIn'),
  sheetOpen('menuFacts'),
  sheetOpen('sharedLinks'),
];
const isFollowing = sheetOpen('follow');

// The other form has to be loaded the first time, so the focus follows once it is there.
let isSwitching = false;
watch(
  () => arrange.form,
  () => (isSwitching = true),
);
watch(tree, (now) => {
  if (!isSwitching || now === null) return;
  isSwitching = false;
  now.focus();
});
// Whoever asks for a menu, or has just made one, goes on working in it.
watch(
  () => arrange.wantedMenu,
  async (key) => {
    if (key === null) return;
    arrange.wantedMenu = null;
    await show(key);
    await nextTick();
    if (tree.value === null) isSwitching = true;
    else tree.value.focus();
  },
  { immediate: true },
);

onBeforeUnmount(() => composer.close());

async function startAdding(): Promise<void> {
  isAdding.value = true;
  tree.value?.startAdding();
}

async function show(key: string, item: Id | null = null): Promise<void> {
  await router.push({ name: 'arrange', params: { siteKey: copy.siteKey ?? '', menuKey: key } });
  selection.showMenu(key);
  if (item !== null) selection.select(item);
}
</script>

<template>
  <div v-if="selection.menu === null" class="first">
    <h1>Create your first menu</h1>
    <p class="mute">
      A menu has items that link to the site’s pages or to other addresses, or that group other items.
    </p>
    <v-btn color="primary" @click="isNewOpen = true">Create menu …</v-btn>
    <NewMenuDialog v-model="isNewOpen" @made="arrange.wantedMenu = $event" />
  </div>
  <PanelComposer v-else-if="composer.owner !== null" />
  <div v-else class="arrange" :class="{ 'with-pages': finder.isOpen }">
    <ArrangeHead @add="startAdding" @rename="tree?.startRenaming()" @back="tree?.focus()" />
    <div class="work" :class="{ two: arrange.beside !== null }">
      <SpreadView v-if="arrange.form === 'spread'" ref="spread" :menu="selection.menu" />
      <OutlineList v-else ref="outline" :menu="selection.menu" />
      <BesidePane v-if="arrange.beside !== null" />
      <FindInMenu v-if="arrange.isFinding" @leave="tree?.focus()" />
      <EmptyMenu v-if="isEmpty && !isAdding" @add="startAdding" />
    </div>
    <DetailStrip class="details" />
    <PageFinder />
    <SharedLinksSheet v-model="isShared" @show="show" />
    <PlanPageDialog v-model="isPlanning" />
    <BringInDialog v-model="isBringing" />
    <MenuFactsDialog v-model="isFacts" />
    <FollowDialog v-model="isFollowing" />
  </div>
</template>

<style scoped>
.arrange {
  position: relative;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  height: 100%;
}
/* The finder has room of its own: what one works on stays in sight. */
@media (min-width: 900px) {
  .arrange.with-pages {
    grid-template-columns: min(420px, 36%) minmax(0, 1fr);
  }
  .with-pages > :first-child {
    grid-column: 1 / -1;
  }
  .with-pages > .work,
  .with-pages > .details {
    grid-column: 2;
  }
}
.work {
  position: relative;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: minmax(0, 1fr);
  min-height: 0;
  border-top: 1px solid var(--line);
}
.work.two {
  grid-template-columns: minmax(0, 2fr) minmax(300px, 1fr);
}
.first {
  display: grid;
  gap: 10px;
  justify-items: center;
  padding: 64px 14px;
  text-align: center;
}
</style>
