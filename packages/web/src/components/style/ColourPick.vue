<script setup lang="ts">
import { mdiChevronDown, mdiEyedropper } from '@mdi/js';
import { computed, ref } from 'vue';
import { colourSteps, plainColour, stepOf, valueOfName, type PaletteEntry } from '@zorvik/core';
import { usePalette } from '../../stores/palette.ts';
import ColourPlane from './ColourPlane.vue';

/**
 * Picks a colour: one of the site with its tints and shades, one that was picked before, one from the screen, or any
 * other on a plane. `isPlain`: only a colour itself, not the name of one.
 */
const props = defineProps<{ isPlain?: boolean; against: string | null }>();
const value = defineModel<string>({ required: true });
const palette = usePalette();
const isPlane = ref(props.isPlain);
const open = ref<string | null>(null);

const colours = computed(() => palette.entriesOf('colour'));
const now = computed(() => plainColour(palette.all, value.value));
const opaque = computed(() => now.value?.slice(0, 7) ?? '#808080');
/** Its opacity in percent. */
const share = computed(() => {
  if (value.value === 'none') return 100;
  const [, said] = /\/(\d{1,3})%$/.exec(value.value) ?? [];
  if (said !== undefined) return Number(said);
  return now.value?.length === 9 ? Math.round(Number.parseInt(now.value.slice(7), 16) / 2.55) : 100;
});
const base = computed(() => value.value.replace(/\/\d{1,3}%$/, ''));

const cssOf = (name: string): string => valueOfName(palette.all, name) ?? 'none';
const family = (
  entry: PaletteEntry,
): readonly { readonly value: string; readonly css: string; readonly label: string }[] =>
  colourSteps.map((step) => ({
    value: `@${entry.key}-${step}`,
    css: stepOf(cssOf(entry.key), step),
    label: `${entry.name} ${step}`,
  }));

function choose(next: string): void {
  value.value = share.value === 100 || !next.startsWith('@') ? next : `${next}/${share.value}%`;
  palette.remember(next);
}
function fade(to: number): void {
  if (base.value.startsWith('@')) value.value = to === 100 ? base.value : `${base.value}/${to}%`;
  else {
    const alpha = Math.round(to * 2.55)
      .toString(16)
      .padStart(2, '0');
    value.value = to === 100 ? opaque.value : opaque.value + alpha;
  }
}

interface Dropper {
  readonly open: () => Promise<{ readonly sRGBHex: string }>;
}
const dropper = (window as { EyeDropper?: new () => Dropper }).EyeDropper;
async function fromScreen(): Promise<void> {
  if (dropper === undefined) return;
  // Escape ends it without a colour.
  const picked = await new dropper().open().catch(() => null);
  if (picked !== null) choose(picked.sRGBHex.toLowerCase());
}
</script>

<template>
  <div class="pick" role="group" aria-label="Choose a colour">
    <template v-if="!isPlain">
      <ul class="names">
        <li v-for="entry in colours" :key="entry.key">
          <button
            type="button"
            class="name"
            :aria-pressed="base === `@${entry.key}`"
            @click="choose(`@${entry.key}`)"
          >
            <i class="chip" :style="{ background: cssOf(entry.key) }" />
            {{ entry.name }}
          </button>
          <button
            type="button"
            class="unfold"
            :aria-expanded="open === entry.key"
            :aria-label="`Tints and shades of ${entry.name}`"
            @click="open = open === entry.key ? null : entry.key"
          >
            <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
              <path :d="mdiChevronDown" fill="currentColor" />
            </svg>
          </button>
          <div v-if="open === entry.key" class="family">
            <button
              v-for="one in family(entry)"
              :key="one.value"
              type="button"
              class="step"
              :style="{ background: one.css }"
              :aria-label="one.label"
              :title="`${one.label}, ${one.css}`"
              :aria-pressed="base === one.value"
              @click="choose(one.value)"
            />
          </div>
        </li>
      </ul>
    </template>
    <div v-if="palette.recent.length > 0" class="recent" role="group" aria-label="Used before">
      <button
        v-for="one in palette.recent"
        :key="one"
        type="button"
        class="step"
        :style="{ background: one }"
        :aria-label="one"
        :title="one"
        @click="choose(one)"
      />
    </div>
    <label v-if="!isPlain" class="share">
      <span>Opacity</span>
      <input
        type="range"
        min="0"
        max="100"
        :value="share"
        :disabled="now === null"
        @input="fade(Number(($event.target as HTMLInputElement).value))"
      />
      <span class="number">{{ share }}%</span>
    </label>
    <div class="more">
      <button v-if="!isPlain" type="button" class="link" @click="choose('none')">None</button>
      <button type="button" class="link" :aria-expanded="isPlane" @click="isPlane = !isPlane">
        {{ isPlane ? 'Hide other colours' : 'Other colours' }}
      </button>
      <button v-if="dropper !== undefined" type="button" class="link" @click="fromScreen">
        <svg viewBox="0 0 24 24" width="14" height="14" aria-hidden="true">
          <path :d="mdiEyedropper" fill="currentColor" />
        </svg>
        From the screen
      </button>
    </div>
    <ColourPlane
      v-if="isPlane"
      :model-value="opaque"
      :against="against"
      @update:model-value="value = $event"
      @pointerup="palette.remember(opaque)"
    />
  </div>
</template>

<style scoped>
.pick {
  display: grid;
  gap: 10px;
  inline-size: 284px;
  max-block-size: min(460px, 80vh);
  overflow: auto;
  padding: 12px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--sheet);
  box-shadow: var(--shadow);
}
.names {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 2px 12px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
}
li:has(.family) {
  grid-column: 1 / -1;
}
.name {
  display: flex;
  flex: 1;
  align-items: center;
  gap: 7px;
  min-block-size: 28px;
  min-inline-size: 0;
  padding: 0 5px;
  border: 0;
  border-radius: 5px;
  background: none;
  text-align: start;
  cursor: pointer;
}
.name:hover {
  background: var(--paper-deep);
}
.name[aria-pressed='true'] {
  background: var(--chosen);
  font-weight: 600;
}
.unfold {
  display: grid;
  place-items: center;
  inline-size: 24px;
  block-size: 24px;
  padding: 0;
  border: 0;
  border-radius: 5px;
  background: none;
  color: var(--mute);
  cursor: pointer;
}
.unfold:hover {
  background: var(--paper-deep);
  color: var(--ink);
}
.unfold[aria-expanded='true'] svg {
  rotate: 180deg;
}
.chip {
  flex: none;
  inline-size: 16px;
  block-size: 16px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
}
.family,
.recent {
  display: flex;
  gap: 3px;
  inline-size: 100%;
  padding-block: 2px 6px;
}
.step {
  flex: 1;
  max-inline-size: 30px;
  block-size: 26px;
  padding: 0;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  cursor: pointer;
}
.step[aria-pressed='true'] {
  outline: 2px solid var(--accent);
  outline-offset: 1px;
}
.share {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) 40px;
  align-items: center;
  gap: 8px;
  font-size: 0.75rem;
}
.share input {
  min-width: 0;
  accent-color: var(--accent-fill);
}
.share .number {
  text-align: end;
}
.more {
  display: flex;
  gap: 14px;
}
.link {
  display: inline-flex;
  align-items: center;
  gap: 4px;
  min-block-size: 24px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--accent);
  font-size: 0.75rem;
  text-decoration: underline;
  cursor: pointer;
}
</style>
