<script setup lang="ts">
import { computed, onBeforeUnmount } from 'vue';
import { counted } from '@zorvik/core';
import ChoiceRow from '../components/common/ChoiceRow.vue';
import ContactSheet from '../components/fit/ContactSheet.vue';
import FitChart from '../components/fit/FitChart.vue';
import PageChecks from '../components/fit/PageChecks.vue';
import FitDetails from '../components/fit/FitDetails.vue';
import DeviceButtons from '../components/live/DeviceButtons.vue';
import FramePage from '../components/frame/FramePage.vue';
import FramePicture from '../components/frame/FramePicture.vue';
import { useDrawnPage } from '../composables/useFrameStage.ts';
import { modeWords, visitorModeWords } from '../stores/laneWords.ts';
import { useComparing } from '../stores/comparing.ts';
import { useEditions } from '../stores/editions.ts';
import { useFit } from '../stores/fit.ts';
import { useFitChecks } from '../stores/fitChecks.ts';
import { useFitWork } from '../stores/fitWork.ts';
import { useLiveView } from '../stores/liveView.ts';

/** Every width at once: what would wrap, break or leave the screen, where, and what mends it. */
const fit = useFit();
const work = useFitWork();
const checks = useFitChecks();
const live = useLiveView();
const comparing = useComparing();
const editions = useEditions();
const drawn = useDrawnPage(() => work.shown, work.dress);
fit.isWhole = true;
onBeforeUnmount(() => {
  fit.isWhole = false;
  fit.previewed = null;
  fit.mode = null;
  work.hasPath = false;
  work.seenWith = null;
  void comparing.choose(null);
});
const otherDrawn = useDrawnPage(
  () => comparing.shown?.document ?? null,
  work.dress,
  () => comparing.shown?.menus ?? null,
);
void editions.loadList();
const compared = computed(() => {
  const { other } = comparing;
  return other === null ? '' : other.kind === 'edition' ? `edition ${other.number}` : `starter ${other.key}`;
});
function compare(event: Event): void {
  const { value } = event.target as HTMLSelectElement;
  void comparing.choose(comparing.choices.find((one) => one.value === value)?.of ?? null);
}
/** Half of the room is no reason to look at another width. */
function follow(room: number): void {
  if (comparing.other === null) live.follow(room);
}
/** What the way of the focus is like at the width of the picture. */
const pathWords = computed(() => {
  if (work.path === null) return '';
  const { stops, back, small } = work.path;
  return [
    counted(stops, '# stop', '# stops'),
    back === 0 ? 'always forwards' : `${back} backwards`,
    small === 0 ? 'all large enough to press' : `${small} under 24 px`,
  ].join(', ');
});
/** What the picture is shown with. */
const shownWith = computed(() =>
  fit.mode !== null ? modeWords[fit.mode] : work.seenWith === null ? null : visitorModeWords[work.seenWith],
);
function showProblems(): void {
  fit.chosen = null;
  fit.view = 'widths';
}
/** With larger text, longer labels, zoom, touch, keys, forced colours or reduced motion. */
const more = computed(() => fit.inModes.length + checks.findings.length);
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
      <span v-if="more > 0" class="more">{{ more }} more for some visitors</span>
      <label class="with">
        <span>Compare with</span>
        <select class="plain-field" :value="compared" @change="compare">
          <option value="">nothing</option>
          <option v-for="one in comparing.choices" :key="one.value" :value="one.value">
            {{ one.label }}
          </option>
        </select>
      </label>
      <ChoiceRow v-model="view" label="View" is-label-hidden :choices="views" />
      <button
        v-if="view === 'widths'"
        type="button"
        class="plain-button"
        :aria-pressed="work.hasPath"
        title="Number what Tab reaches, in its order, and mark what is too small to press"
        @click="work.hasPath = !work.hasPath"
      >
        Focus path
      </button>
      <span v-if="work.hasPath && work.path !== null" class="more">{{ pathWords }}</span>
      <button
        v-if="shownWith !== null"
        type="button"
        class="plain-button mode"
        title="Show the page as it usually is"
        @click="fit.mode = work.seenWith = null"
      >
        Shown with {{ shownWith }} ×
      </button>
      <DeviceButtons v-if="view === 'widths'" class="classes" />
    </div>
    <ContactSheet v-if="view === 'contact'" class="contact" />
    <template v-else>
      <section class="picture" :class="{ pair: comparing.other !== null }" aria-label="Live page">
        <template v-if="comparing.other !== null">
          <h2>Working copy</h2>
          <h2>
            {{ comparing.name }}
            <small>
              {{
                comparing.count === 0
                  ? 'no entry differs'
                  : counted(comparing.count, '# entry differs', '# entries differ')
              }}
            </small>
          </h2>
        </template>
        <FramePicture name="main" title="Live page" :width="live.width" :shown="drawn" @room="follow" />
        <FramePicture
          v-if="comparing.other !== null"
          name="other"
          :title="comparing.name"
          :width="live.width"
          :shown="otherDrawn"
        />
      </section>
      <FitChart class="chart" />
      <FitDetails />
      <PageChecks />
    </template>
  </div>
</template>

<style scoped src="../components/common/viewHead.css"></style>
<style scoped>
.fit {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto minmax(0, 1fr) minmax(0, auto) auto;
  height: 100%;
  background: var(--paper);
}
.head {
  column-gap: 14px;
}
.look {
  color: var(--ochre);
}
.head .plain-button[aria-pressed='true'] {
  border-color: var(--accent);
  color: var(--accent);
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
  margin-inline-start: auto;
  font-size: 0.75rem;
}
.picture {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: minmax(0, 1fr);
  min-height: 0;
  padding: 8px 14px 0;
  background: repeating-linear-gradient(90deg, var(--paper-deep) 0 1px, transparent 1px 80px), var(--stage);
}
.picture.pair {
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  grid-template-rows: auto minmax(0, 1fr);
  gap: 0 14px;
}
.picture h2 {
  padding-block-end: 4px;
  font-size: 0.8125rem;
}
.picture small {
  margin-inline-start: 6px;
  color: var(--mute);
  font-weight: 500;
}
.with {
  display: flex;
  align-items: center;
  gap: 6px;
  color: var(--mute);
  font-size: 0.75rem;
}
.with select {
  max-width: 190px;
}
.contact {
  grid-row: 2 / -1;
}
@media (max-width: 760px) {
  .fit {
    grid-template-rows: auto 16rem auto auto;
    overflow: auto;
  }
  .chart {
    max-height: none;
  }
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
