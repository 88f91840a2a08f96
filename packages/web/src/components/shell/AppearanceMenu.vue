<script setup lang="ts">
import { mdiCheck, mdiThemeLightDark } from '@mdi/js';
import { appearances, useAppearance, type Appearance } from '../../stores/appearance.ts';
import IconButton from '../common/IconButton.vue';

/** Chooses the light or the dark theme, or leaves it to the system. */
const appearance = useAppearance();
const names: Readonly<Record<Appearance, string>> = {
  system: 'Same as the system',
  light: 'Light',
  dark: 'Dark',
};
</script>

<template>
  <v-menu>
    <template #activator="{ props: activator }">
      <IconButton label="Appearance" :icon="mdiThemeLightDark" v-bind="activator" />
    </template>
    <v-list density="compact" min-width="200" aria-label="Appearance">
      <v-list-item
        v-for="one in appearances"
        :key="one"
        :title="names[one]"
        :active="appearance.chosen === one"
        :append-icon="appearance.chosen === one ? mdiCheck : undefined"
        @click="appearance.choose(one)"
      />
    </v-list>
  </v-menu>
</template>
