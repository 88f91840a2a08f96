<script setup lang="ts">
import { computed, defineAsyncComponent, onBeforeUnmount, watch } from 'vue';
import { previewStyles, selectorsIn, thingOf, type Scheme } from '@zorvik/core';
import { useFrame } from '../stores/frame.ts';
import FramePage from '../components/frame/FramePage.vue';
import FramePicture from '../components/frame/FramePicture.vue';
import ReadabilityState from '../components/style/ReadabilityState.vue';
import StateSheet from '../components/style/StateSheet.vue';
import StyleScope from '../components/style/StyleScope.vue';
import StyleStrip from '../components/style/StyleStrip.vue';
import ChoiceRow from '../components/common/ChoiceRow.vue';
import ColourSheet from '../components/style/ColourSheet.vue';
import FontSheet from '../components/style/FontSheet.vue';
import StarterSheet from '../components/style/StarterSheet.vue';
import { useDrawnPage } from '../composables/useFrameStage.ts';
import VariantSheet from '../components/style/VariantSheet.vue';
import { useLiveView } from '../stores/liveView.ts';
import { useStyling, type SheetName } from '../stores/styling.ts';

// Reading CSS takes a large table of what browsers know.
const OwnCssSheet = defineAsyncComponent(() => import('../components/style/OwnCssSheet.vue'));

/** How everything looks, in every state: the live page, the state sheet below it, and the values of what is chosen. */
const live = useLiveView();
const frame = useFrame();
// States can be forced on it.
const drawn = useDrawnPage(() => frame.styled, previewStyles);
const styling = useStyling();
/** The picture is held in the state that is chosen on the sheet. */
watch(
  () => [styling.below, styling.row, styling.state] as const,
  ([below, row, state]) => {
    const thing = styling.thing;
    frame.heldState =
      below !== 'states' || row === null || thing === null || state === 'normal'
        ? null
        : {
            part: row.part,
            item: row.item,
            selectors: selectorsIn(thingOf(thing).in.normal).filter((one) => !one.includes('::')),
            state,
          };
  },
  { immediate: true },
);
onBeforeUnmount(() => (frame.heldState = null));
/** Who sets values for one scheme looks at that one. */
const scheme = computed({
  get: () => frame.scheme,
  set: (next: Scheme | null) => {
    frame.scheme = next ?? 'light';
    if (styling.scheme !== null) styling.scheme = frame.scheme;
  },
});
const schemeChoices: readonly { readonly value: Scheme; readonly label: string }[] = [
  { value: 'light', label: 'Light' },
  { value: 'dark', label: 'Dark' },
];
const sheetChoices: readonly { readonly value: SheetName; readonly label: string }[] = [
  { value: 'states', label: 'States' },
  { value: 'colours', label: 'Colours' },
  { value: 'fonts', label: 'Fonts' },
  { value: 'variants', label: 'Variants' },
  { value: 'starters', label: 'Starters' },
  { value: 'css', label: 'CSS' },
];
</script>

<template>
  <div class="style">
    <div class="head">
      <h1>Style</h1>
      <FramePage />
      <ChoiceRow
        v-model="styling.below"
        label="What is shown below the page"
        is-label-hidden
        :choices="sheetChoices"
      />
      <ChoiceRow
        v-if="styling.hasDark"
        v-model="scheme"
        label="Show the page in"
        is-label-hidden
        :choices="schemeChoices"
      />
      <label class="stand-ins">
        <input v-model="frame.hasStandIns" type="checkbox" />
        stand-in content
      </label>
      <ReadabilityState />
    </div>
    <section class="picture" aria-label="Live page">
      <FramePicture name="main" title="Live page" :width="live.width" :shown="drawn" @room="live.follow" />
    </section>
    <StyleScope v-show="styling.below === 'states'" />
    <StateSheet v-show="styling.below === 'states'" />
    <StyleStrip v-show="styling.below === 'states'" />
    <ColourSheet v-if="styling.below === 'colours'" class="whole" />
    <FontSheet v-if="styling.below === 'fonts'" class="whole" />
    <VariantSheet v-if="styling.below === 'variants'" class="whole" />
    <OwnCssSheet v-if="styling.below === 'css'" class="whole" />
    <StarterSheet v-if="styling.below === 'starters'" class="whole" />
  </div>
</template>

<style scoped src="../components/common/viewHead.css"></style>
<style scoped>
.style {
  display: grid;
  grid-template-rows: auto minmax(96px, 150px) auto minmax(0, 1fr) auto;
  height: 100%;
  background: var(--stage);
}
.whole {
  grid-row: 3 / -1;
  min-height: 0;
}
.stand-ins {
  display: inline-flex;
  align-items: center;
  gap: 5px;
}
.stand-ins input {
  accent-color: var(--accent-fill);
}
.picture {
  display: grid;
  min-height: 0;
  padding: 8px 14px;
}
</style>
