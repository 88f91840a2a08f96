<script setup lang="ts">
import { computed, useId } from 'vue';
import { extents, LEAST_WIDTH, MOST_WIDTH, type PanelFacts } from '@zorvik/core';

/**
 * How far a panel reaches, as small drawings of a bar with its panel: one choice, in which nothing can
 * contradict itself.
 */
const extent = defineModel<NonNullable<PanelFacts['extent']>>({ required: true });
const name = useId();
/** From where to where of 56 units each drawing reaches. */
const drawn = {
  content: [18, 22],
  item: [18, 12],
  bar: [8, 40],
  container: [4, 48],
  page: [0, 56],
  number: [14, 34],
} as const;
const words = { content: 'content', item: 'item', bar: 'bar', container: 'container', page: 'page' } as const;
const tiles = [
  ...extents.map((value) => ({ value, label: words[value], at: drawn[value] })),
  { value: 'number' as const, label: 'px', at: drawn.number },
];
const chosen = computed(() => (typeof extent.value === 'number' ? 'number' : extent.value));
const USUAL = 720;

function choose(value: (typeof tiles)[number]['value']): void {
  extent.value = value === 'number' ? USUAL : value;
}

function type(event: Event): void {
  const typed = Math.round(Number((event.target as HTMLInputElement).value));
  if (Number.isFinite(typed)) extent.value = Math.max(LEAST_WIDTH, Math.min(MOST_WIDTH, typed));
}
</script>

<template>
  <fieldset>
    <legend>Panel width</legend>
    <label v-for="tile in tiles" :key="tile.value" class="tile" :class="{ on: tile.value === chosen }">
      <input type="radio" :name="name" :checked="tile.value === chosen" @change="choose(tile.value)" />
      <svg viewBox="0 0 56 26" width="56" height="26" aria-hidden="true">
        <rect x="8" y="2" width="40" height="4" rx="1.5" class="bar" />
        <rect :x="tile.at[0]" y="10" :width="tile.at[1]" height="14" rx="2" class="panel" />
      </svg>
      <span>{{ tile.label }}</span>
    </label>
    <input
      v-if="typeof extent === 'number'"
      class="px plain-field"
      type="number"
      :min="LEAST_WIDTH"
      :max="MOST_WIDTH"
      step="10"
      :value="extent"
      aria-label="Width (px)"
      @change="type"
    />
  </fieldset>
</template>

<style scoped>
fieldset {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  margin: 0;
  padding: 0;
  border: 0;
}
legend {
  padding: 0;
  margin-bottom: 3px;
  color: var(--mute);
  font-size: 0.75rem;
}
.tile {
  position: relative;
  display: grid;
  justify-items: center;
  gap: 2px;
  padding: 5px 4px 3px;
  min-width: 66px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--field);
  font-size: 0.75rem;
  cursor: pointer;
}
.tile:hover {
  border-color: var(--line-strong);
}
.tile:focus-within {
  outline: 2px solid var(--ink);
  outline-offset: 2px;
}
.tile.on {
  border-color: var(--accent);
  box-shadow: inset 0 0 0 1px var(--accent);
  font-weight: 600;
}
.tile input {
  position: absolute;
  inset: 0;
  margin: 0;
  opacity: 0;
  cursor: pointer;
}
.bar {
  fill: var(--line);
}
.panel {
  fill: var(--sketch);
}
.on .panel {
  fill: var(--accent);
}
.px {
  width: 82px;
}
</style>
