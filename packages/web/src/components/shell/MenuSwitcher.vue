<script setup lang="ts">
import { mdiChevronDown, mdiPlus } from '@mdi/js';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { inWords, placementOf, placePhrase, type Menu } from '@zorvik/core';
import { useArrange } from '../../stores/arrange.ts';
import { useDrift } from '../../stores/drift.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import NewMenuDialog from './NewMenuDialog.vue';

const props = defineProps<{ siteKey: string }>();
const copy = useWorkingCopy();
const selection = useSelection();
const drift = useDrift();
const arrange = useArrange();
const router = useRouter();
const isNewOpen = ref(false);
const site = computed(() => copy.document?.site.name ?? '');

function placeOf(menu: Menu): string {
  const place = copy.document === null ? null : placementOf(copy.document, menu.id)?.place;
  return place == null ? 'not placed' : inWords(placePhrase(place));
}

function show(key: string): void {
  // Drift goes on with the other menu; everything else is arranged.
  const name = router.currentRoute.value.name === 'drift' ? 'drift' : 'arrange';
  void router.push({ name, params: { siteKey: props.siteKey, menuKey: key } });
}

/** A new menu is arranged, whatever was shown before. */
function begin(key: string): void {
  arrange.wantedMenu = key;
  if (router.currentRoute.value.name !== 'arrange')
    void router.push({ name: 'arrange', params: { siteKey: props.siteKey, menuKey: key } });
}
</script>

<template>
  <div class="site">
    <router-link :to="{ name: 'sites' }" class="name" title="All sites">{{ site }}</router-link>
    <span class="mute" aria-hidden="true">/</span>
    <v-menu>
      <template #activator="{ props: activator }">
        <button type="button" class="switch" v-bind="activator" title="Choose a menu">
          <span class="only-heard">Choose a menu:</span>
          <span>{{ selection.menu?.name ?? 'No menu yet' }}</span>
          <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
            <path :d="mdiChevronDown" fill="currentColor" />
          </svg>
        </button>
      </template>
      <v-list density="compact" min-width="260" aria-label="Menus">
        <v-list-item
          v-for="menu in selection.menus"
          :key="menu.id"
          :active="menu.id === selection.menu?.id"
          @click="show(menu.key)"
        >
          <v-list-item-title>{{ menu.name }}</v-list-item-title>
          <v-list-item-subtitle>{{ placeOf(menu) }}</v-list-item-subtitle>
          <template v-if="(drift.counts.get(menu.id) ?? 0) > 0" #append>
            <span class="found" title="Open findings">{{ drift.counts.get(menu.id) }}</span>
          </template>
        </v-list-item>
        <v-divider v-if="selection.menus.length > 0" />
        <v-list-item :prepend-icon="mdiPlus" title="New menu …" @click="isNewOpen = true" />
      </v-list>
    </v-menu>
    <NewMenuDialog v-model="isNewOpen" @made="begin" />
  </div>
</template>

<style scoped>
.site {
  display: flex;
  align-items: center;
  gap: 4px;
  padding-inline-start: 14px;
  border-inline-start: 1px solid var(--line-soft);
  min-width: 0;
}
.name {
  color: var(--ink);
  font-weight: 600;
  text-decoration: none;
  min-height: 30px;
  display: grid;
  place-items: center;
}
.found {
  padding: 0 6px;
  border-radius: 8px;
  background: var(--ochre-tint);
  color: var(--ochre);
  font-size: 0.6875rem;
  font-weight: 600;
}
.name:hover {
  text-decoration: underline;
}
.switch {
  display: inline-flex;
  align-items: center;
  gap: 3px;
  min-height: 30px;
  max-width: min(220px, 34vw);
  padding: 0 6px;
  border: 0;
  border-radius: var(--radius);
  background: none;
  cursor: pointer;
}
.switch span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.switch:hover {
  background: var(--paper-deep);
}
@media (max-width: 760px) {
  .name,
  .name + .mute {
    display: none;
  }
}
</style>
