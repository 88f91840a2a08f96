<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue';
import { childrenOf } from '@zorvik/core';
import ArrangeHead from '../components/arrange/ArrangeHead.vue';
import DetailBand from '../components/arrange/DetailBand.vue';
import EmptyMenu from '../components/arrange/EmptyMenu.vue';
import OutlineList from '../components/arrange/OutlineList.vue';
import PageFinder from '../components/arrange/PageFinder.vue';
import NewMenuDialog from '../components/shell/NewMenuDialog.vue';
import { useSelection } from '../stores/selection.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';

const copy = useWorkingCopy();
const selection = useSelection();
const outline = useTemplateRef<InstanceType<typeof OutlineList>>('outline');
const isNewOpen = ref(false);
const isAdding = ref(false);
const isEmpty = computed(() => copy.document !== null && selection.menu !== null && childrenOf(copy.document.items, selection.menu.id).size === 0);

function startAdding(): void {
  isAdding.value = true;
  outline.value?.startAdding();
}
</script>

<template>
  <div v-if="selection.menu === null" class="first">
    <h1>Make the first menu</h1>
    <p class="mute">Its items lead to this site’s pages, to addresses elsewhere, or group what is below them.</p>
    <v-btn color="primary" @click="isNewOpen = true">New menu …</v-btn>
    <NewMenuDialog v-model="isNewOpen" @made="selection.showMenu" />
  </div>
  <div v-else class="arrange">
    <ArrangeHead @add="startAdding" @rename="outline?.startRenaming()" />
    <div class="work">
      <OutlineList ref="outline" />
      <EmptyMenu v-if="isEmpty && !isAdding" @add="startAdding" />
    </div>
    <DetailBand />
    <PageFinder />
  </div>
</template>

<style scoped>
.arrange {
  position: relative;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  height: 100%;
}
.work {
  position: relative;
  min-height: 0;
  border-top: 1px solid var(--line);
}
.first {
  display: grid;
  gap: 10px;
  justify-items: center;
  padding: 64px 14px;
  text-align: center;
}
</style>
