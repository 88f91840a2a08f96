<script setup lang="ts">
import { computed } from 'vue';
import type { Sign } from '../../composables/useItemSigns.ts';

/**
 * Signs of an item, each with its words as a tooltip and for screen readers; `most`: what there is room for,
 * the others are counted.
 */
const props = defineProps<{ signs: readonly Sign[]; most: number }>();
const shown = computed(() =>
  props.signs.length > props.most ? props.signs.slice(0, props.most - 1) : props.signs,
);
const others = computed(() => props.signs.slice(shown.value.length));
</script>

<template>
  <span class="signs">
    <span v-for="sign in shown" :key="sign.text" class="sign" :class="sign.tone" :title="sign.text">
      <svg viewBox="0 0 24 24" width="15" height="15" aria-hidden="true">
        <path :d="sign.icon" fill="currentColor" />
      </svg>
      <span class="only-heard">, {{ sign.text }}</span>
    </span>
    <span
      v-if="others.length > 0"
      class="sign plain number"
      :title="others.map(({ text }) => text).join(', ')"
    >
      +{{ others.length }}
      <span class="only-heard">: {{ others.map(({ text }) => text).join(', ') }}</span>
    </span>
  </span>
</template>

<style scoped>
.signs {
  display: flex;
  flex: none;
  align-items: center;
  gap: 2px;
}
.sign {
  position: relative;
  display: grid;
  place-items: center;
  min-width: 1.125rem;
  height: 1.125rem;
  border-radius: 5px;
  color: var(--mute);
  font-size: 0.6875rem;
}
.look {
  background: var(--ochre-tint);
  color: var(--ochre);
}
.bad {
  background: var(--brick-tint);
  color: var(--brick);
}
.good {
  background: var(--moss-tint);
  color: var(--moss);
}
</style>
