<script setup lang="ts">
import { computed, onBeforeUnmount } from 'vue';
import { counted, deviceClasses } from '@zorvik/core';
import ChoiceRow from '../components/common/ChoiceRow.vue';
import ContactSheet from '../components/fit/ContactSheet.vue';
import FitChart from '../components/fit/FitChart.vue';
import FitDetails from '../components/fit/FitDetails.vue';
import FramePage from '../components/frame/FramePage.vue';
import FramePicture from '../components/frame/FramePicture.vue';
import { useDrawnPage } from '../composables/useFrameStage.ts';
import { modeWords } from '../composables/laneWords.ts';
import { useFit } from '../stores/fit.ts';
import { useLiveView } from '../stores/liveView.ts';

/** Every width at once: what would wrap, break or leave the screen, where, and what mends it. */
const fit = useFit();
const live = useLiveView();
const drawn = useDrawnPage(() => fit.shown, fit.dress);
fit.isWhole = true;
onBeforeUnmount(() => {
  fit.isWhole = false;
  fit.previewed = null;
  fit.mode = null;
});
function showProblems(): void {
  fit.chosen = null;
  fit.view = 'widths';
}
const views = [
  { value: 'widths' as const, label: 'Every width' },
  { value: 'contact' as const, label: 'Contact sheet' },
];
const view = computed({ get: () => fit.view, set: (next) => (fit.view = next ?? 'widths') });
const problems = computed(() =>
  fit.problems.length === 0 ? 'Everything fits' : counted(fit.problems.length, '# problem', '# problems'),
);
</script>

<template>
  <div class="fit">
    <div class="head">
      <h1>Fit</h1>
      <FramePage />
      <button
        type="button"
        class="plain-button"
        :class="{ look: fit.problems.length > 0 }"
        @click="showProblems"
      >
        {{ fit.isKnown ? problems : 'Measuring …' }}
      </button>
      <span v-if="fit.inModes.length > 0" class="more">
        {{
          counted(
            fit.inModes.length,
            '# more with larger text, longer labels or zoom',
            '# more with larger text, longer labels or zoom',
          )
        }}
      </span>
      <ChoiceRow v-model="view" label="View" is-label-hidden :choices="views" />
      <button
        v-if="fit.mode !== null"
        type="button"
        class="plain-button mode"
        title="Show the page as it usually is"
        @click="fit.mode = null"
      >
        Shown with {{ modeWords[fit.mode] }} ×
      </button>
      <div v-if="view === 'widths'" class="classes" role="group" aria-label="Device class">
        <button
          v-for="one in deviceClasses"
          :key="one"
          type="button"
          :class="{ on: live.deviceClass === one }"
          :aria-pressed="live.deviceClass === one"
          @click="live.showClass(one)"
        >
          {{ one }}
        </button>
      </div>
    </div>
    <ContactSheet v-if="view === 'contact'" class="contact" :document="fit.shown" :dress="fit.dress" />
    <template v-else>
      <section class="picture" aria-label="Live page">
        <FramePicture name="main" title="Live page" :width="live.width" :shown="drawn" @room="live.follow" />
      </section>
      <FitChart class="chart" />
      <FitDetails />
    </template>
  </div>
</template>

<style scoped>
.fit {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto minmax(0, 1fr) minmax(0, auto) auto;
  height: 100%;
  background: var(--paper);
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  min-height: 42px;
  padding: 4px 14px;
  border-bottom: 1px solid var(--line);
  background: var(--sheet);
}
h1 {
  font-size: 1rem;
}
.look {
  color: var(--ochre);
}
.mode {
  border-color: var(--accent);
  color: var(--accent);
}
.more {
  color: var(--mute);
  font-size: 0.75rem;
}
.classes {
  display: flex;
  margin-inline-start: auto;
}
.classes button {
  min-height: 26px;
  padding: 0 9px;
  border: 0;
  border-radius: 6px;
  background: none;
  color: var(--mute);
  font-size: 0.75rem;
  cursor: pointer;
}
.classes button:hover {
  background: var(--paper-deep);
  color: var(--ink);
}
.classes button.on {
  color: var(--ink);
  font-weight: 650;
}
.picture {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: minmax(0, 1fr);
  min-height: 0;
  padding: 8px 14px 0;
  background: repeating-linear-gradient(90deg, var(--paper-deep) 0 1px, transparent 1px 80px), var(--stage);
}
.contact {
  grid-row: 2 / -1;
}
@media print {
  .head {
    display: none;
  }
}
.chart {
  max-height: min(18rem, 34dvh);
  border-block-start: 1px solid var(--line);
}
</style>
