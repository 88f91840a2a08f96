<script setup lang="ts">
import { mdiCheck, mdiTrashCanOutline } from '@mdi/js';
import { computed, ref } from 'vue';
import {
  chooseStarter,
  chosenStarter,
  counted,
  isRole,
  removeStarter,
  resetToStarter,
  saveStarter,
  valuesOfStyle,
  type AreaName,
} from '@zorvik/core';
import { useStarterDrawings, type DrawnStarter } from '../../composables/useStarterDrawings.ts';
import { useNotices } from '../../stores/notices.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import IconButton from '../common/IconButton.vue';
import LineField from '../common/LineField.vue';
import LookFiles from './LookFiles.vue';
import PageDrawing from '../common/PageDrawing.vue';

/** Complete looks to start from, all seen at once on this site: for all of it, or for one area. */
const copy = useWorkingCopy();
const notices = useNotices();
const place = ref<AreaName | 'site' | null>('site');
const area = computed(() => (place.value === 'site' ? null : place.value));
/** A drawer is as wide as a phone; all else is seen with its first panel below it. */
const size = computed(() =>
  area.value === 'drawer' ? { width: 390, height: 500 } : { width: 1100, height: 357.5 },
);
const places = [
  { value: 'site' as const, label: 'whole site' },
  { value: 'header' as const, label: 'header' },
  { value: 'side' as const, label: 'side area' },
  { value: 'footer' as const, label: 'footer' },
  { value: 'drawer' as const, label: 'drawer' },
];
const shown = ref<boolean | null>(false);
const ways = [
  { value: false, label: 'with your own settings' },
  { value: true, label: 'as they come' },
];
const drawings = useStarterDrawings(
  area,
  computed(() => shown.value === true),
);
/** How much was set by hand for the whole site. */
const count = computed(() => {
  const { document } = copy;
  if (document === null) return 0;
  const own = [...document.styles.nodes.values()].filter(({ owner }) => owner === document.site.id);
  const named = [...document.tokens.nodes.values()].reduce(
    (sum, { key, value, dark }) =>
      isRole(key) ? sum + Number(value !== undefined) + Number(dark !== undefined) : sum,
    0,
  );
  return own.reduce((sum, style) => sum + valuesOfStyle(style).length, named);
});
const isOfItsOwn = computed(
  () => area.value !== null && copy.document?.site.areaStarters?.[area.value] !== undefined,
);
const siteStarter = computed(() => (copy.document === null ? '' : chosenStarter(copy.document.site).name));

const problem = ref<string | null>(null);
function use({ key, name, isChosen }: DrawnStarter): void {
  if (isChosen) return;
  const done = copy.perform((context) => chooseStarter(context, key, area.value));
  problem.value = done.ok ? null : done.refusal.message;
  if (done.ok)
    notices.say(
      count.value === 0
        ? `Switched to “${name}”.`
        : `Switched to “${name}”. What you set yourself is still there, on top of it.`,
    );
}
function asSite(): void {
  copy.perform((context) => chooseStarter(context, null, area.value));
}
function reset(): void {
  const done = copy.perform((context) => resetToStarter(context));
  problem.value = done.ok ? null : done.refusal.message;
  if (done.ok) notices.say('Everything looks as the starter does. Undo brings your settings back.');
}
function save(typed: string, isFinal: boolean): string | null {
  if (!isFinal || typed.trim() === '') return null;
  const done = copy.perform((context) => saveStarter(context, typed));
  return done.ok ? null : done.refusal.message;
}
</script>

<template>
  <section class="starters" aria-label="Starters">
    <div class="head">
      <ChoiceRow v-model="place" label="For" :choices="places" />
      <ChoiceRow v-if="count > 0" v-model="shown" label="Shown" :choices="ways" />
      <button v-if="isOfItsOwn" type="button" class="plain-button" @click="asSite">
        Back to “{{ siteStarter }}”, like the site
      </button>
      <button v-if="count > 0" type="button" class="plain-button end" @click="reset">
        Reset {{ counted(count, '# value', '# values') }} set by hand
      </button>
    </div>
    <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
    <ul :class="{ narrow: area === 'drawer' }">
      <li v-for="one of drawings" :key="one.key" :class="{ on: one.isChosen }">
        <button type="button" class="use" :aria-pressed="one.isChosen" @click="use(one)">
          <PageDrawing class="drawing" :page="one.page" v-bind="size" loading="eager" />
          <span class="name">
            {{ one.name }}
            <span v-if="one.isChosen" class="mute in-use">
              <svg viewBox="0 0 24 24" width="14" height="14" aria-hidden="true">
                <path :d="mdiCheck" fill="currentColor" />
              </svg>
              in use
            </span>
          </span>
          <span class="mute">{{ one.about }}</span>
        </button>
        <IconButton
          v-if="one.isOwn"
          :label="`Delete the starter “${one.name}”`"
          :icon="mdiTrashCanOutline"
          @press="copy.perform((context) => removeStarter(context, one.key))"
        />
      </li>
    </ul>
    <LookFiles />
    <LineField
      class="save"
      label="Save the looks of this site as a starter"
      value=""
      placeholder="Name, then Enter"
      :keep="save"
    />
  </section>
</template>

<style scoped>
.starters {
  display: grid;
  align-content: start;
  gap: 8px;
  overflow: auto;
  padding: 6px 14px 20px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 20px;
  min-block-size: 36px;
}
.head :deep(fieldset) {
  display: flex;
  align-items: center;
  gap: 8px;
}
.head :deep(legend) {
  float: inline-start;
  padding: 0;
}
.end {
  margin-inline-start: auto;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 480px), 1fr));
  gap: 8px 14px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  position: relative;
}
li .icon-button {
  position: absolute;
  inset-block-end: 8px;
  inset-inline-end: 8px;
}
.use {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0 10px;
  align-items: baseline;
  width: 100%;
  padding: 0 0 4px;
  border: 0;
  border-radius: 0;
  background: none;
  color: var(--ink);
  text-align: start;
  cursor: pointer;
}
.drawing {
  grid-column: 1 / -1;
  margin-bottom: 4px;
  border: 2px solid var(--line);
  border-radius: 6px;
}
.use:hover .drawing {
  border-color: var(--line-strong);
}
.on .drawing,
.on .use:hover .drawing {
  border-color: var(--accent);
}
.narrow {
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
}
.name {
  display: flex;
  gap: 6px;
  font-weight: 600;
  white-space: nowrap;
}
.in-use {
  display: inline-flex;
  align-items: center;
  gap: 2px;
  color: var(--accent);
  font-weight: 500;
}
.save {
  max-width: 340px;
}
</style>
