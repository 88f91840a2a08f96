<script setup lang="ts">
import { onBeforeUnmount, shallowRef, watch } from 'vue';
import { useFit } from '../../stores/fit.ts';
import { useFitChecks, type ShownPage } from '../../stores/fitChecks.ts';
import { useFitWork } from '../../stores/fitWork.ts';
import { useFrame } from '../../stores/frame.ts';
import ContactColumn from './ContactColumn.vue';

/**
 * The columns of the contact sheet where nobody sees them: what only a drawn page can answer for is known without anybody
 * asking, a moment after each change.
 */
const checks = useFitChecks();
const fit = useFit();
const work = useFitWork();
const frame = useFrame();
/** How long nothing must change until the page is drawn again, in ms: what is typed comes first. */
const SETTLING = 900;
const shown = shallowRef<ShownPage | null>(null);
let timer: ReturnType<typeof setTimeout> | undefined;
watch(
  // What the page is made from: it is drawn when nothing changes any more.
  [() => work.shown, () => work.shownFits, () => frame.situation, () => checks.drops, () => fit.mode],
  () => {
    clearTimeout(timer);
    timer = setTimeout(() => (shown.value = checks.pageToShow('main', true)), SETTLING);
  },
  { immediate: true },
);
onBeforeUnmount(() => clearTimeout(timer));
</script>

<template>
  <div class="unseen" aria-hidden="true" inert>
    <ContactColumn
      v-for="width in checks.widths"
      :key="width"
      :title="`Checks at ${width} px`"
      :width="width"
      :scale="1"
      :shown="shown"
      :heights="[]"
      @drawn="checks.note(width, $event)"
    />
  </div>
</template>

<style scoped>
.unseen {
  position: absolute;
  inline-size: 1px;
  block-size: 1px;
  overflow: hidden;
  opacity: 0;
  pointer-events: none;
}
</style>
