<script setup lang="ts">
import { computed } from 'vue';
import { useFit } from '../../stores/fit.ts';
import { NARROWEST, WIDEST } from '../../stores/liveView.ts';

/** The widths at which bars of the header have more than one row, along the ruler. `menu`: of that menu alone. */
const props = defineProps<{ menu: string | null }>();
const fit = useFit();
const span = WIDEST - NARROWEST;
const seen = computed(() =>
  fit
    .wrappingOf(props.menu)
    .filter(({ to }) => to > NARROWEST)
    .map((one) => {
      const [from, to] = [Math.max(one.from, NARROWEST), Math.min(one.to, WIDEST)];
      return { ...one, start: ((from - NARROWEST) / span) * 100, width: ((to - from + 1) / span) * 100 };
    }),
);
</script>

<template>
  <span class="lanes" aria-hidden="true">
    <i
      v-for="one in seen"
      :key="`${one.part} ${one.from}`"
      :class="{ many: one.rows > 2 }"
      :style="{ insetInlineStart: `${one.start}%`, inlineSize: `${one.width}%` }"
    />
  </span>
</template>

<style scoped>
.lanes {
  position: absolute;
  inset-inline: 0;
  inset-block-end: 3px;
  block-size: 4px;
  pointer-events: none;
}
/* Hatched, and more closely where there are more rows: colour is never the only sign. */
i {
  position: absolute;
  block-size: 4px;
  min-inline-size: 2px;
  background: repeating-linear-gradient(90deg, var(--ochre) 0 4px, transparent 4px 7px);
}
.many {
  background: repeating-linear-gradient(90deg, var(--ochre) 0 2px, transparent 2px 3px);
}
</style>
