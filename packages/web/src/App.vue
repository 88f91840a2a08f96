<script setup lang="ts">
import { computed, watch, watchEffect } from 'vue';
import { useRoute } from 'vue-router';
import { useTheme } from 'vuetify';
import AppBar from './components/shell/AppBar.vue';
import HistorySheet from './components/shell/HistorySheet.vue';
import KeyList from './components/shell/KeyList.vue';
import OutdatedNote from './components/shell/OutdatedNote.vue';
import LiveHeader from './components/live/LiveHeader.vue';
import { workElement } from './composables/workElement.ts';
import { useAddress } from './composables/useAddress.ts';
import { useAppKeys } from './composables/useAppKeys.ts';
import { useTouchDrag } from './composables/useTouchDrag.ts';
import { useAppearance } from './stores/appearance.ts';
import { useNotices } from './stores/notices.ts';
import { useSelection } from './stores/selection.ts';
import { useWorkingCopy } from './stores/workingCopy.ts';

const route = useRoute();
const copy = useWorkingCopy();
const selection = useSelection();
const notices = useNotices();
const siteKey = computed(() => (typeof route.params.siteKey === 'string' ? route.params.siteKey : null));
const hasLiveHeader = computed(() => route.name === 'arrange' || route.name === 'pages');
const appearance = useAppearance();
const theme = useTheme();
const isKeyListOpen = useAppKeys();
const skipsTo = computed(() => (route.name === 'arrange' ? 'Skip to the menu' : 'Skip to the content'));
function skip(): void {
  (workElement() ?? document.getElementById('workspace'))?.focus();
}
// Before the address takes up what is selected: that of another menu no longer is.
watch(
  () => route.params.menuKey,
  (key) => typeof key === 'string' && key !== '' && selection.showMenu(key),
  { immediate: true, flush: 'sync' },
);
useAddress();
useTouchDrag();
watchEffect(() => theme.change(appearance.isDark ? 'dark' : 'light'));

watch(siteKey, (key) => key !== null && void copy.open(key), { immediate: true });
watch(
  () => [copy.document?.site.name, route.name] as const,
  ([name]) => {
    document.title = siteKey.value === null || name === undefined ? 'Zorvik' : `${name} – Zorvik`;
  },
);
</script>

<template>
  <v-app>
    <div
      class="shell"
      :class="{ 'has-live': hasLiveHeader && copy.document !== null && selection.menu !== null }"
    >
      <a class="skip" href="#workspace" @click.prevent="skip">{{ skipsTo }}</a>
      <AppBar :site-key="siteKey" @show-keys="isKeyListOpen = true" />
      <LiveHeader
        v-if="hasLiveHeader && siteKey !== null && copy.document !== null && selection.menu !== null"
      />
      <main id="workspace" tabindex="-1">
        <div v-if="siteKey !== null && copy.loadProblem !== null" class="waiting" role="alert">
          <h1>Can’t open this site</h1>
          <p>{{ copy.loadProblem }}</p>
          <router-link :to="{ name: 'sites' }">All sites</router-link>
        </div>
        <p v-else-if="siteKey !== null && copy.document === null" class="waiting mute">Loading …</p>
        <router-view v-else />
      </main>
      <HistorySheet v-if="siteKey !== null && copy.document !== null" />
      <OutdatedNote />
      <KeyList v-model="isKeyListOpen" />
      <div class="only-heard" role="status" aria-live="polite">{{ notices.heard }}</div>
    </div>
  </v-app>
</template>

<style scoped>
.shell {
  display: grid;
  grid-template: auto minmax(0, 1fr) / minmax(0, 1fr);
  height: 100dvh;
  overflow: hidden;
}
.shell.has-live {
  grid-template-rows: auto auto minmax(0, 1fr);
}
.skip {
  position: absolute;
  inset-block-start: -60px;
  inset-inline-start: 14px;
  z-index: 30;
  padding: 6px 12px;
  background: var(--sheet);
}
.skip:focus {
  inset-block-start: 6px;
}
main {
  min-height: 0;
  position: relative;
  outline: none;
}
.waiting {
  padding: 48px 14px;
  display: grid;
  gap: 8px;
  justify-items: center;
}
</style>
