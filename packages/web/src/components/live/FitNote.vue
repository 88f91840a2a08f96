<script setup lang="ts">
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { counted } from '@zorvik/core';
import { useFit } from '../../stores/fit.ts';
import { useLiveView, WIDEST } from '../../stores/liveView.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/**
 * Says at which widths a bar of the header wraps, and shows the widest of them in Frame. `menu`: of that menu alone, else
 * of the one that wraps on the widest screens.
 */
const props = defineProps<{ menu: string | null }>();
const fit = useFit();
const live = useLiveView();
const copy = useWorkingCopy();
const router = useRouter();
const worst = computed(() => {
  const some = fit.wrappingOf(props.menu);
  return some.toSorted((a, b) => b.to - a.to)[0] ?? null;
});
const words = computed(() => {
  if (worst.value === null) return '';
  const { name, rows, from, to } = worst.value;
  const where = from === to ? `at ${from} px` : `from ${from} to ${to} px`;
  const what = counted(rows, '# row', '# rows');
  return props.menu === null ? `${name}: ${what} ${where}` : `${what} in the header ${where}`;
});
const hint = computed(
  () =>
    `Show the page at ${worst.value?.to ?? 0} px.${fit.isEstimate ? ' An estimate: a font of your system was measured.' : ''}`,
);
async function show(): Promise<void> {
  if (worst.value === null) return;
  const width = Math.min(worst.value.to, WIDEST);
  // The width is in the address, too: first there, then so wide.
  if (props.menu !== null) await router.push({ name: 'frame', params: { siteKey: copy.siteKey } });
  live.width = width;
}
</script>

<template>
  <button v-if="worst !== null" type="button" class="fit" :title="hint" @click="show">
    {{ words }}
  </button>
</template>

<style scoped>
.fit {
  flex: none;
  min-height: 26px;
  padding: 0 6px;
  border: 0;
  border-radius: 5px;
  background: none;
  color: var(--ochre);
  font-size: 0.75rem;
  white-space: nowrap;
  cursor: pointer;
}
/* On a phone, the ruler has no room for it. */
@media (max-width: 700px) {
  .fit {
    display: none;
  }
}
.fit:hover {
  text-decoration: underline;
}
</style>
