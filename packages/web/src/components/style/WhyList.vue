<script setup lang="ts">
import { computed } from 'vue';
import { colourShown, factsOf, plainColour, type ResolvedStyle } from '@zorvik/core';
import { useOrigins } from '../../composables/useOrigins.ts';
import { useFrame } from '../../stores/frame.ts';
import WhyShown from './WhyShown.vue';
import { usePalette } from '../../stores/palette.ts';
import { shownValue, useStyling } from '../../stores/styling.ts';

/** Why something looks as it does: everything that is said of it, what wins first, down to the starter. */
const styling = useStyling();
const palette = usePalette();
const frame = useFrame();
const { originOf } = useOrigins();
const property = computed(() =>
  styling.properties.includes(styling.asked) ? styling.asked : (styling.properties[0] ?? null),
);
const facts = computed(() => (property.value === null ? null : factsOf(property.value)));
const isColour = computed(() => facts.value?.kind === 'colour');
interface Line {
  readonly style: ResolvedStyle;
  readonly words: string;
  readonly value: string;
  readonly css: string | null;
}
const lines = computed((): readonly Line[] =>
  property.value === null
    ? []
    : styling.ranked(property.value, true).map((style) => ({
        style,
        words: originOf(style, true),
        value: isColour.value ? colourShown(palette.all, style.value) : shownValue(style.value),
        css: isColour.value ? plainColour(palette.all, style.value, frame.scheme) : null,
      })),
);
function go({ origin }: ResolvedStyle): void {
  if (origin.from === 'set') styling.goTo(origin.target);
}
</script>

<template>
  <div v-if="facts !== null" class="why" role="group" tabindex="0" aria-label="Why it is like this">
    <h3>Why is “{{ facts.name }}” like this?</h3>
    <ol aria-label="What is said of it, what wins first">
      <li v-for="(line, at) in lines" :key="at" :class="{ lost: at > 0 }">
        <i v-if="isColour" class="chip" :style="{ background: line.css ?? 'none' }" />
        <span class="value">{{ line.value }}</span>
        <button
          v-if="line.style.origin.from === 'set'"
          type="button"
          class="link"
          :title="`Go to ${line.words}`"
          @click="go(line.style)"
        >
          {{ line.words }}
        </button>
        <span v-else class="where">{{ line.words }}</span>
        <b v-if="at === 0">wins</b>
      </li>
    </ol>
    <WhyShown />
  </div>
</template>

<style scoped>
.why {
  display: grid;
  align-content: start;
  gap: 4px;
  min-height: 0;
  overflow: auto;
}
h3 {
  color: var(--mute);
  font-size: 0.75rem;
  font-weight: 500;
}
ol {
  display: grid;
  align-content: start;
  gap: 3px;
  margin: 0;
  padding: 2px;
  list-style: none;
}
li {
  display: flex;
  align-items: baseline;
  gap: 6px;
  min-height: 22px;
  font-size: 0.75rem;
}
.chip {
  flex: none;
  align-self: center;
  inline-size: 14px;
  block-size: 14px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
}
.value {
  font-weight: 600;
}
.lost .value {
  color: var(--mute);
  font-weight: 400;
  text-decoration: line-through;
}
.where {
  color: var(--mute);
}
.link {
  padding: 0;
  border: 0;
  background: none;
  color: var(--accent);
  font-size: 0.75rem;
  text-align: start;
  text-decoration: underline;
  cursor: pointer;
}
</style>
