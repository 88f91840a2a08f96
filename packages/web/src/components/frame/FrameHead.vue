<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import { useFrame, type FrameScope } from '../../stores/frame.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import MenuButton from '../common/MenuButton.vue';
import FrameNotes from './FrameNotes.vue';
import FramePage from './FramePage.vue';

/** Which page is looked at, and which pages a change applies to. */
const sheets = {
  settings: defineAsyncComponent(() => import('./SiteSettings.vue')),
  starters: defineAsyncComponent(() => import('./FrameStarters.vue')),
  preview: defineAsyncComponent(() => import('./PreviewSheet.vue')),
  embed: defineAsyncComponent(() => import('../editions/EmbedSheet.vue')),
};
const open = ref<keyof typeof sheets | null>(null);
const frame = useFrame();
const views = [
  { value: 'picture' as const, label: 'Page' },
  { value: 'table' as const, label: 'Placements' },
];
const view = computed({
  get: () => frame.view,
  set: (next) => (frame.view = next ?? 'picture'),
});
/** What fits into a row of choices. */
const shortened = (name: string): string => (name.length > 18 ? `${name.slice(0, 17)}…` : name);
const scopes = computed(
  (): readonly { readonly value: FrameScope; readonly label: string; readonly hint?: string }[] => {
    const { template } = frame.situation;
    return [
      { value: 'all', label: 'all pages' },
      ...(template === null
        ? []
        : [{ value: 'template' as const, label: `template “${shortened(template)}”`, hint: template }]),
      { value: 'below', label: 'this page and below' },
      { value: 'page', label: 'this page' },
    ];
  },
);
</script>

<template>
  <div class="head">
    <h1>Frame</h1>
    <ChoiceRow v-model="view" label="View" is-label-hidden :choices="views" />
    <FramePage v-if="frame.view === 'picture'" />
    <div v-if="frame.view === 'picture'" class="scope" :class="{ narrowed: frame.scope !== 'all' }">
      <span class="mute" aria-hidden="true">Changes apply to</span>
      <ChoiceRow v-model="frame.scope" label="Changes apply to" is-label-hidden :choices="scopes" />
    </div>
    <FrameNotes v-if="frame.view === 'table'" />
    <span class="settings">
      <MenuButton label="Site" list-label="Site">
        <v-list-item title="Site settings …" @click="open = 'settings'" />
        <v-list-item title="Start from a frame …" @click="open = 'starters'" />
        <v-list-item title="Put it into your pages …" @click="open = 'embed'" />
      </MenuButton>
    </span>
    <button type="button" class="plain-button" @click="open = 'preview'">Preview …</button>
    <component
      :is="sheets[open]"
      v-if="open !== null"
      :model-value="true"
      @update:model-value="open = null"
    />
    <button
      v-if="frame.view === 'picture'"
      type="button"
      class="plain-button try"
      :aria-pressed="frame.isTried"
      title="Follow links and open dropdowns as a visitor does"
      @click="frame.isTried = !frame.isTried"
    >
      {{ frame.isTried ? 'Back to composing' : 'Try it' }}
    </button>
  </div>
</template>

<style scoped src="../common/viewHead.css"></style>
<style scoped>
.scope {
  display: flex;
  align-items: center;
  gap: 8px;
}
.scope.narrowed > span {
  color: var(--ochre);
  font-weight: 600;
}
.settings {
  margin-inline-start: auto;
}
</style>
