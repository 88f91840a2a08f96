<script setup lang="ts">
import type { AreaName } from '@zorvik/core';
import { useDrawer } from '../../stores/drawer.ts';
import AreaBehaviour from './AreaBehaviour.vue';
import WidthsRuler from './WidthsRuler.vue';

/** What can be said of an area besides its fields: what it does while the page scrolls, where a drawer takes over. */
defineProps<{ area: AreaName }>();
const drawer = useDrawer();
</script>

<template>
  <AreaBehaviour v-if="area === 'header' || area === 'side'" :area="area" />
  <template v-if="area === 'drawer'">
    <WidthsRuler />
    <button type="button" class="plain-button" @click="drawer.remove()">Remove drawer</button>
  </template>
</template>
