<script setup lang="ts">
import { mdiTrashCanOutline } from '@mdi/js';
import { computed, ref } from 'vue';
import {
  isFramePreset,
  removePreset,
  savePreset,
  shippedPresets,
  usePreset,
  type Id,
  type PartSketch,
  type ShippedPreset,
} from '@zorvik/core';
import { useComposer } from '../../stores/composer.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import IconButton from '../common/IconButton.vue';
import LineField from '../common/LineField.vue';

/**
 * Compositions to begin with: those that come with the application, and the site's own, drawn as they part
 * the panel.
 */
const copy = useWorkingCopy();
const composer = useComposer();
const isOpen = ref(false);
const own = computed(() =>
  [...(copy.document?.presets.nodes.values() ?? [])].filter((one) => !isFramePreset(one)),
);

interface Drawn {
  readonly key: string;
  readonly name: string;
  readonly about: string;
  readonly rows: readonly PartSketch[];
  readonly of: ShippedPreset | { readonly preset: Id };
}
const shipped = shippedPresets.map((one): Drawn => ({
  ...one,
  rows: one.rowsFor({ children: 6, page: null, label: 'Heading' }),
  of: one,
}));
const drawn = computed((): Drawn[] => [
  ...shipped,
  ...own.value.map((one): Drawn => ({
    key: one.id,
    name: one.name,
    about: 'Saved on this site',
    rows: one.rows,
    of: { preset: one.id },
  })),
]);

function use(of: Drawn['of']): void {
  isOpen.value = false;
  const owner = composer.owner;
  if (owner !== null) copy.perform((context) => usePreset(context, owner, of));
  composer.choose(null);
}

function save(typed: string, isFinal: boolean): string | null {
  const owner = composer.owner;
  if (!isFinal || typed.trim() === '' || owner === null) return null;
  const done = copy.perform((context) => savePreset(context, owner, typed));
  return done.ok ? null : done.refusal.message;
}

/** What a cell has in it, for the drawing. */
function drawnAs({ parts = [] }: PartSketch): string {
  const kinds = parts.map(({ kind }) => kind);
  if (kinds.includes('tabs')) return 'tabs';
  if (kinds.includes('picture')) return 'picture';
  return kinds.includes('pages') ? 'cards' : kinds.includes('button') ? 'act' : 'links';
}
</script>

<template>
  <v-menu v-model="isOpen" location="top start" :close-on-content-click="false">
    <template #activator="{ props: activator }">
      <button type="button" class="plain-button" v-bind="activator">Presets</button>
    </template>
    <section class="presets" aria-label="Presets">
      <div class="all">
        <div v-for="one in drawn" :key="one.key" class="one">
          <button type="button" class="use" :title="one.about" @click="use(one.of)">
            <span class="drawing" aria-hidden="true">
              <span v-for="(row, at) in one.rows" :key="at" class="row">
                <i
                  v-for="(cell, place) in row.parts ?? []"
                  :key="place"
                  :class="drawnAs(cell)"
                  :style="{ flexGrow: cell.span ?? 12 }"
                />
              </span>
            </span>
            <span class="name">{{ one.name }}</span>
          </button>
          <IconButton
            v-if="'preset' in one.of"
            :label="`Remove the preset “${one.name}”`"
            :icon="mdiTrashCanOutline"
            @press="copy.perform((context) => removePreset(context, one.key))"
          />
        </div>
      </div>
      <LineField
        class="save"
        label="Save this panel as a preset"
        value=""
        placeholder="Preset name, then Enter"
        :keep="save"
      />
    </section>
  </v-menu>
</template>

<style scoped>
.presets {
  display: grid;
  gap: 12px;
  width: 520px;
  max-width: 92vw;
  padding: 14px;
  border-radius: 10px;
  background: var(--sheet);
  box-shadow: var(--shadow);
}
.all {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 8px;
  max-height: 320px;
  overflow: auto;
  padding: 2px;
}
.one {
  position: relative;
}
.one .icon-button {
  position: absolute;
  inset-block-start: 2px;
  inset-inline-end: 2px;
}
.use {
  display: grid;
  gap: 6px;
  width: 100%;
  padding: 8px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--field);
  text-align: start;
  cursor: pointer;
}
.use:hover {
  border-color: var(--accent);
}
.drawing {
  display: grid;
  gap: 3px;
  height: 48px;
  grid-auto-rows: minmax(0, 1fr);
}
.row {
  display: flex;
  gap: 3px;
}
.row i {
  flex-basis: 0;
  border-radius: 2px;
  background: repeating-linear-gradient(var(--sketch) 0 2px, transparent 2px 6px);
}
.row i.picture {
  background: var(--sketch-strong);
}
.row i.cards {
  background: repeating-linear-gradient(90deg, var(--sketch) 0 20px, transparent 20px 24px);
}
.row i.tabs {
  background:
    repeating-linear-gradient(90deg, var(--sketch-strong) 0 24px, transparent 24px 28px) 0 0 / 100% 8px
      no-repeat,
    repeating-linear-gradient(var(--sketch) 0 2px, transparent 2px 6px) 0 12px no-repeat;
}
.row i.act {
  background:
    linear-gradient(var(--accent), var(--accent)) 0 100% / 60% 9px no-repeat,
    repeating-linear-gradient(var(--sketch) 0 2px, transparent 2px 6px);
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  font-weight: 600;
  font-size: 0.75rem;
}
</style>
